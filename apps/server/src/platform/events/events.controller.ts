import { Controller, MessageEvent, Req, Sse } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { Request } from 'express';
import { interval, map, merge, takeUntil, type Observable } from 'rxjs';
import { askerOf } from '../access/asker';
import { Endings } from '../access/endings';
import { May } from '../access/may';
import { EventsService } from './events.service';

/** Server-sent events (WHATWG HTML, section 9.2): one stream for the whole studio, with a heartbeat. */
@ApiExcludeController()
@Controller('events')
export class EventsController {
  constructor(
    private readonly events: EventsService,
    private readonly endings: Endings,
  ) {}

  /** Ends with the session by which it is heard. */
  @May('see')
  @Sse()
  stream(@Req() request: Request): Observable<MessageEvent> {
    const heartbeat = interval(15_000).pipe(map((): MessageEvent => ({ type: 'heartbeat', data: {} })));
    return merge(this.events.stream.pipe(map((e): MessageEvent => ({ type: e.type, data: e }))), heartbeat).pipe(
      takeUntil(this.endings.of(askerOf(request)?.session)),
    );
  }
}
