import type { MixInfluence, ShotPlan } from '@urbild/core';
import { isDeepStrictEqual } from 'util';
import type { Take } from '../takes/take.entity';

/** A remedy as it is tried: its label and the shot as it would be. */
export interface TriedRemedy {
  readonly label: string;
  readonly plan: ShotPlan<MixInfluence>;
}

const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

/** The take of a shot in which a remedy was tried in the place of `lead`: the newest that was not stopped; undefined for none. */
export const takeOfRemedy = (own: readonly Take[], { label, plan }: TriedRemedy, lead: string): Take | undefined =>
  own.find(
    ({ trial, fromTakeId, status }) =>
      trial?.kind === 'remedy' &&
      !trial.kept &&
      trial.label === label &&
      fromTakeId === lead &&
      status !== 'cancelled' &&
      isDeepStrictEqual(plain(trial.plan), plain(plan)),
  );
