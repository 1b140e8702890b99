import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { Problem } from '../problems/problem';
import type { Share } from '../share';

const LOCAL_NAMES = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;
/** What a browser says of a request by a page of our own, or by the person: typed, or a bookmark. */
const OWN_SITES = ['same-origin', 'none'];

/**
 * Refuses requests that were addressed to another name or come from another page: no foreign web page may use the studio through
 * somebody's browser, by what that browser holds or, in a studio of one's own, by nothing at all. A link on a foreign page may open the
 * studio's own page, and nothing else: where the browser says who asks (Fetch Metadata, `Sec-Fetch-Site`), everything below /api is for
 * pages of our own. A shared studio goes by any name unless it was told the one by which it is found.
 */
export function onlyFromHere(share: Share | undefined): RequestHandler {
  const found = share?.publicUrl && new URL(share.publicUrl).host;
  const isOurs = (host: string) => LOCAL_NAMES.test(host) || (share !== undefined && (!found || host === found));
  return (request: Request, response: Response, next: NextFunction): void => {
    const { host = '', origin } = request.headers;
    const site = request.headers['sec-fetch-site'];
    const foreign =
      !isOurs(host) ||
      (origin !== undefined && hostOf(origin, share !== undefined) !== host) ||
      (request.path.startsWith('/api') &&
        typeof site === 'string' &&
        !OWN_SITES.includes(site) &&
        !isSentBack(request));
    if (!foreign) return next();
    const { document } = Problem.forbidden('This studio answers only to pages of its own.');
    response.status(document.status).type('application/problem+json').send(JSON.stringify(document));
  };
}

/** Where a directory sends browsers back to, as a page of its own: who comes there is looked at more closely. */
const SENT_BACK = '/api/v1/me/directory/answer';

const isSentBack = ({ method, path, headers }: Request): boolean =>
  method === 'GET' && path === SENT_BACK && headers['sec-fetch-mode'] === 'navigate';

/** The host of a page's origin; none for one that is reached otherwise than the studio is: by TLS only where it is shared. */
function hostOf(origin: string, secureToo: boolean): string | undefined {
  const url = URL.canParse(origin) ? new URL(origin) : undefined;
  return url && (url.protocol === 'http:' || (secureToo && url.protocol === 'https:')) ? url.host : undefined;
}
