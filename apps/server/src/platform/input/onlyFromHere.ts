import type { NextFunction, Request, Response } from 'express';
import { Problem } from '../problems/problem';

const LOCAL_NAMES = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;
/** What a browser says of a request by a page of our own, or by the person: typed, or a bookmark. */
const OWN_SITES = ['same-origin', 'none'];

/**
 * Refuses requests that were addressed to another name or come from another page: without accounts, no foreign web page may use the
 * studio through somebody's browser. A link on a foreign page may open the studio's own page, and nothing else: where the browser says
 * who asks (Fetch Metadata, `Sec-Fetch-Site`), everything below /api is for pages of our own.
 */
export function onlyFromHere(request: Request, response: Response, next: NextFunction): void {
  const { host, origin } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const foreign =
    !LOCAL_NAMES.test(host ?? '') ||
    (origin !== undefined && origin !== `http://${host}`) ||
    (request.path.startsWith('/api') && typeof site === 'string' && !OWN_SITES.includes(site));
  if (!foreign) return next();
  const { document } = Problem.forbidden('This studio answers only to pages of its own on this machine.');
  response.status(document.status).type('application/problem+json').send(JSON.stringify(document));
}
