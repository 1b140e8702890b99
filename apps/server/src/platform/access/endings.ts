import { Injectable } from '@nestjs/common';
import { filter, NEVER, Subject, take, type Observable } from 'rxjs';

/** Tells of sessions that are over, so that what was open for them ends too. */
@Injectable()
export class Endings {
  private readonly over = new Subject<string>();

  end(session: string): void {
    this.over.next(session);
  }

  /** The sessions that are over, from now on. */
  get all(): Observable<string> {
    return this.over;
  }

  /** Emits once when a session is over; never for whoever works alone. */
  of(session: string | undefined): Observable<string> {
    return session === undefined
      ? NEVER
      : this.over.pipe(
          filter((ended) => ended === session),
          take(1),
        );
  }
}
