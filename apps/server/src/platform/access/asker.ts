import type { Role } from '@urbild/core';
import type { Request } from 'express';

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

/** Notes who sent a request. */
export const setAsker = (request: Request, asker: Asker): void => void ASKERS.set(request, asker);

/** Who sent a request; undefined before the guard, and for what anybody may ask. */
export const askerOf = (request: Request): Asker | undefined => ASKERS.get(request);
