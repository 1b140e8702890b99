import { EntityManager } from '@mikro-orm/better-sqlite';
import { Controller, MessageEvent, Req, Sse } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { Request } from 'express';
import { concatMap, filter, from, interval, map, merge, takeUntil, type Observable } from 'rxjs';
import { ALONE, askerOf } from '../access/asker';
import { Endings } from '../access/endings';
import { May } from '../access/may';
import { Reaches } from '../access/reaches';
import { EventsService, type StudioEvent } from './events.service';
import { VisibleEvents } from './visibleEvents';

/** Server-sent events (WHATWG HTML, section 9.2): one stream for each window, with a heartbeat. */
@ApiExcludeController()
@Controller('events')
export class EventsController {
  constructor(
    private readonly events: EventsService,
    private readonly endings: Endings,
    private readonly reaches: Reaches,
    private readonly em: EntityManager,
  ) {}

  /** What happens in the projects that one knows of. Ends with the session by which it is heard. */
  @May('see')
  @Sse()
  stream(@Req() request: Request): Observable<MessageEvent> {
    const asker = askerOf(request) ?? ALONE;
    const heartbeat = interval(15_000).pipe(map((): MessageEvent => ({ type: 'heartbeat', data: {} })));
    const heard = asker.person ? this.events.stream.pipe(this.shownTo(asker)) : this.events.stream;
    return merge(heard.pipe(map((e): MessageEvent => ({ type: e.type, data: e }))), heartbeat).pipe(
      takeUntil(this.endings.of(asker.session)),
    );
  }

  /** Lets through what somebody may hear, in the order in which it happened, by what they may know at that moment. */
  private shownTo(asker: typeof ALONE) {
    const visible = new VisibleEvents(() => this.em.fork());
    const shows = async (event: StudioEvent) => visible.shows(event, await this.reaches.of(asker));
    return (events: Observable<StudioEvent>): Observable<StudioEvent> =>
      events.pipe(
        concatMap((event) => from(shows(event).catch(() => false)).pipe(map((shown) => ({ event, shown })))),
        filter(({ shown }) => shown),
        map(({ event }) => event),
      );
  }
}
