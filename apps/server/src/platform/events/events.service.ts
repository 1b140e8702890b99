import { Injectable } from '@nestjs/common';
import { defer, finalize, Subject, type Observable } from 'rxjs';

/** What happens in the studio, as it is sent to everybody who looks. */
export type StudioEvent =
  | { readonly type: 'reference'; readonly id: string }
  | { readonly type: 'import'; readonly id?: string; readonly state?: string }
  | { readonly type: 'look'; readonly id: string }
  | { readonly type: 'character'; readonly id: string }
  | { readonly type: 'shelf' }
  | { readonly type: 'collection'; readonly id: string }
  | { readonly type: 'project'; readonly id: string }
  | { readonly type: 'person'; readonly id: string }
  /** Who may know of which project is another matter than before: everybody looks at everything again. */
  | { readonly type: 'access' }
  /** Somebody has gone elsewhere in the studio, or holds something else. */
  | { readonly type: 'presence' }
  /** Something was said about a thing, changed or taken back. */
  | { readonly type: 'comment'; readonly id: string; readonly kind: string; readonly thingId: string }
  | { readonly type: 'mix'; readonly id: string }
  | { readonly type: 'series'; readonly id: string }
  | {
      readonly type: 'strip' | 'solve' | 'sequence';
      readonly id: string;
      /** Where it belongs, told of what is new. */
      readonly mixId?: string;
    }
  | {
      readonly type: 'take';
      readonly id: string;
      readonly status: string;
      /** What it belongs to, if anything. */
      readonly mixId?: string;
      readonly shotId?: string;
      /** Where the picture is, told with the status `pictured`: it is finished, but not measured yet. */
      readonly pictureUrl?: string;
    }
  | {
      readonly type: 'progress';
      readonly id: string;
      /** 0..1 */
      readonly fraction: number;
      readonly step: string;
      /** The picture so far, as a data URL. */
      readonly preview?: string;
    }
  | { readonly type: 'studio'; readonly demo: { readonly done: number; readonly total: number } };

/** One stream of events inside the process. */
@Injectable()
export class EventsService {
  private readonly subject = new Subject<StudioEvent>();
  private listening = 0;

  /** All events from now on. */
  get stream(): Observable<StudioEvent> {
    return defer(() => {
      this.listening++;
      return this.subject;
    }).pipe(finalize(() => this.listening--));
  }

  /** How many streams listen just now. */
  get listeners(): number {
    return this.listening;
  }

  publish(event: StudioEvent): void {
    this.subject.next(event);
  }
}
