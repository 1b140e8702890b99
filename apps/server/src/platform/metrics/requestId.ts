import { randomUUID } from 'crypto';
import type { IncomingMessage, ServerResponse } from 'http';

/** The header by which a request is known, in answers, logs and problem documents. */
export const REQUEST_ID = 'x-request-id';

/** What another program may call its request. */
const PLAIN = /^[A-Za-z0-9._-]{1,64}$/;

/** The id of a request: what it calls itself where that is plain, else a new one. The answer says it too. */
export function requestId(request: IncomingMessage, response: ServerResponse): string {
  const given = request.headers[REQUEST_ID];
  const id = typeof given === 'string' && PLAIN.test(given) ? given : randomUUID();
  response.setHeader(REQUEST_ID, id);
  return id;
}
