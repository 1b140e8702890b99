import { AsyncLocalStorage } from 'async_hooks';
import type { Role } from '@urbild/core';
import type { NextFunction, Request, Response } from 'express';
import { EVERYWHERE, type Reach } from './reach';

/** Whoever asks for something: a person of the studio, or the one who works alone. */
export interface Asker {
  /** The person's id; undefined for the one who works alone. */
  readonly person?: string;
  readonly name: string;
  readonly role: Role;
  readonly mayExport: boolean;
  /** The session it comes by; undefined for the one who works alone. */
  readonly session?: string;
}

/** Who works in a studio that nobody else can reach: everything is theirs. */
export const ALONE: Asker = { name: 'You', role: 'owner', mayExport: true };

const ASKERS = new WeakMap<Request, Asker>();

const asking = new AsyncLocalStorage<{ person?: string; reach?: Reach }>();

/** Opens a place for who asks, which everything that a request sets going can look up. */
export const withAsker = (_: Request, __: Response, next: NextFunction): void => asking.run({}, next);

/** The id of the person for whom something is done just now; undefined for whoever works alone, and for what the studio does by itself. */
export const personAsking = (): string | undefined => asking.getStore()?.person;

/** How far whoever asks just now sees; everywhere for whoever works alone, and for what the studio does by itself. */
export const reachNow = (): Reach => asking.getStore()?.reach ?? EVERYWHERE;

/** Does something for somebody who asked for it earlier. */
export const onBehalfOf = <T>(person: string | undefined, doing: () => T): T => asking.run({ person }, doing);

/** Notes how far whoever sent the request of just now sees. */
export function setReach(reach: Reach): void {
  const place = asking.getStore();
  if (place) place.reach = reach;
}

/** Notes who sent a request. */
export function setAsker(request: Request, asker: Asker): void {
  ASKERS.set(request, asker);
  const place = asking.getStore();
  if (place) place.person = asker.person;
}

/** Who sent a request; undefined before the guard, and for what anybody may ask. */
export const askerOf = (request: Request): Asker | undefined => ASKERS.get(request);
