import type { Gives } from '../mix/gives';
import type { OwnDifference, OwnSettings } from '../mix/own';
import type { MixInfluence } from '../mix/mix';
import type { TraitSheet } from '../traits/types';
import type { Compared } from './spread';

/** Whoever an influence gives an identity to, in one take. */
export interface SubjectFacts {
  /** False when the picture shows nobody whom it could be. */
  readonly there: boolean;
  /** Height in parts of the picture's height; may be above 1 for a half figure. */
  readonly height: number;
  /** Turn of the face in degrees, 0 to the viewer; absent when no face can be seen. */
  readonly yaw?: number;
  /** What the picture shows of them; empty where the face is too small or turned away. */
  readonly traits: TraitSheet;
  /** The outfit that the words call. */
  readonly outfit?: string;
  /** The share that each influence had in who they are, 0..1, by influence. */
  readonly shares: Readonly<Record<string, number>>;
}

/** One shot of a series: what it was made from and what came of it. */
export interface ShotFacts<I extends MixInfluence = MixInfluence> {
  readonly prompt: string;
  readonly seed: number;
  readonly own: OwnSettings<I>;
  /** What its own settings really change. */
  readonly differs: readonly OwnDifference[];
  /** By influence, 0..1. */
  readonly arrivals: Readonly<Record<string, number | undefined>>;
  readonly picture: Pick<Compared, 'surface' | 'palette'>;
  /** By the influence that gives the identity. */
  readonly subjects: Readonly<Record<string, SubjectFacts>>;
  /** The share that each influence had in the surface, 0..1, by influence. */
  readonly surfaceShares: Readonly<Record<string, number>>;
}

/** An influence of the series as it is judged. */
export interface JudgedInfluence {
  readonly id: string;
  readonly name: string;
  readonly gives: Gives;
  readonly weight: number;
  readonly subject?: string;
  /** What is known of the character that it shows. */
  readonly sheet?: TraitSheet;
}

/** What has slipped. */
export type Slipped = 'identity' | 'look' | 'arrival';

/** Why a shot falls out. */
export const CAUSES = [
  'own setting',
  'other reference',
  'words',
  'nobody',
  'turned away',
  'too small',
  'seed',
] as const;
export type Cause = (typeof CAUSES)[number];
