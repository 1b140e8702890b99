import type { Targets } from '@urbild/core';
import { arrivalsOf } from '../takes/arrivals';
import type { Take } from '../takes/take.entity';

/** An influence whose arrival nobody can tell from some takes, and the sentence that says why. */
export interface Untold {
  readonly influence: string;
  readonly why: string;
}

/** Where a channel cannot be told for no reason that was given. */
const NO_REASON = 'what it gives leaves nothing in a picture that could be measured.';

/** The targets of a search that none of its takes says anything of. */
export function untoldIn(takes: readonly Pick<Take, 'measurements'>[], { arrivals }: Targets): Untold[] {
  return Object.keys(arrivals).flatMap((influence) => {
    const found = takes.map((take) => arrivalsOf(take)[influence]);
    if (found.some((arrival) => arrival?.overall !== undefined)) return [];
    const why = found.flatMap((arrival) => Object.values(arrival?.untold ?? {}))[0] ?? NO_REASON;
    return [{ influence, why }];
  });
}
