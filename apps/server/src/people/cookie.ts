import type { CookieOptions, Request, Response } from 'express';
import type { Config } from '../platform/config';

const NAME = 'urbild';

/** True where browsers reach the studio by TLS: its own, or that of a proxy before it. */
export const isSecure = ({ share }: Pick<Config, 'share'>): boolean =>
  !!share && (share.tls !== undefined || share.publicUrl?.startsWith('https:') === true);

/** How the browser holds the token: no script reads it, no other site sends it along (RFC 6265bis). */
function optionsFor(config: Pick<Config, 'share'>): { name: string; options: CookieOptions } {
  const secure = isSecure(config);
  return {
    name: secure ? `__Host-${NAME}` : NAME,
    options: { httpOnly: true, secure, sameSite: 'lax', path: '/' },
  };
}

const FOR = 30 * 86_400_000;

export function setToken(config: Pick<Config, 'share'>, response: Response, token: string): void {
  const { name, options } = optionsFor(config);
  response.cookie(name, token, { ...options, maxAge: FOR });
}

export function clearToken(config: Pick<Config, 'share'>, response: Response): void {
  const { name, options } = optionsFor(config);
  response.clearCookie(name, options);
}

/** The token that came with a request; undefined without one. */
export function tokenOf(config: Pick<Config, 'share'>, request: Request): string | undefined {
  const token = (request.cookies as Record<string, unknown> | undefined)?.[optionsFor(config).name];
  return typeof token === 'string' && token.length < 200 ? token : undefined;
}

/** Held by a browser that has gone to the directory, until it comes back: sent to the way in alone. */
const HOLDER = 'urbild-way';
const WAY = '/api/v1/me/directory';

export function setHolder(config: Pick<Config, 'share'>, response: Response, holder: string): void {
  const options = { httpOnly: true, secure: isSecure(config), sameSite: 'lax', path: WAY } as const;
  response.cookie(HOLDER, holder, { ...options, maxAge: 10 * 60_000 });
}

export function clearHolder(config: Pick<Config, 'share'>, response: Response): void {
  response.clearCookie(HOLDER, { httpOnly: true, secure: isSecure(config), sameSite: 'lax', path: WAY });
}

export function holderOf(request: Request): string | undefined {
  const holder = (request.cookies as Record<string, unknown> | undefined)?.[HOLDER];
  return typeof holder === 'string' && holder.length < 200 ? holder : undefined;
}
