import { Controller, MessageEvent, Sse } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import { interval, map, merge, type Observable } from 'rxjs';
import { EventsService } from './events.service';

/** Server-sent events (WHATWG HTML, section 9.2): one stream for the whole studio, with a heartbeat. */
@ApiExcludeController()
@Controller('events')
export class EventsController {
  constructor(private readonly events: EventsService) {}

  @Sse()
  stream(): Observable<MessageEvent> {
    const heartbeat = interval(15_000).pipe(map((): MessageEvent => ({ type: 'heartbeat', data: {} })));
    return merge(this.events.stream.pipe(map((e): MessageEvent => ({ type: e.type, data: e }))), heartbeat);
  }
}
