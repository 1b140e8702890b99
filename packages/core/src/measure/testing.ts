import { QUANTILES } from '../colour/quantiles';
import { PALETTE_DIRECTIONS } from '../describe/palette';
import { SURFACE_LENGTH } from '../describe/surface';
import type { OwnSettings } from '../mix/own';
import type { TraitSheet } from '../traits/types';
import type { JudgedInfluence, ShotFacts, SubjectFacts } from './shotFacts';

/** A red-haired person of whom everything is known. */
export const SHEET: TraitSheet = {
  hair: { colour: [0.5, 0.1, 0.08], confidence: 0.9 },
  skin: { colour: [0.75, 0.03, 0.05], confidence: 0.9 },
  upper: { colour: [0.7, 0.02, 0.12], confidence: 0.9 },
  'hair style': { choice: 'plait', confidence: 0.8 },
  beard: { choice: 'no', confidence: 0.9 },
  glasses: { choice: 'no', confidence: 0.9 },
  headwear: { choice: 'none', confidence: 0.9 },
};

/** The same person as a picture shows her: hair a little lighter or darker, as light changes it. */
export const shown = (lighter = 0): TraitSheet => ({
  ...SHEET,
  hair: { colour: [0.5 + lighter, 0.1, 0.08], confidence: 0.8 },
});

/** Somebody else. */
export const STRANGER: TraitSheet = {
  ...SHEET,
  hair: { colour: [0.9, 0, 0.01], confidence: 0.8 },
  upper: { colour: [0.3, -0.05, -0.05], confidence: 0.8 },
  beard: { choice: 'yes', confidence: 0.8 },
};

export const WHO: JudgedInfluence = { id: 'who', name: 'Ilse', gives: 'character', weight: 1, sheet: SHEET };
export const LOOK: JudgedInfluence = { id: 'look', name: 'Chalk', gives: 'look', weight: 0.8 };

const filled = (length: number, value: number) => new Float32Array(length).fill(value);

/** What a test says of a shot; the rest is as usual. */
export interface MadeShot {
  readonly prompt?: string;
  readonly own?: OwnSettings;
  readonly differs?: ShotFacts['differs'];
  readonly subject?: Partial<SubjectFacts>;
  readonly arrivals?: ShotFacts['arrivals'];
  readonly surfaceShares?: ShotFacts['surfaceShares'];
  /** How far its picture is from that of the others, on surface and colour. */
  readonly apart?: number;
}

/** The k-th shot of a series in which everything wanders a little. */
export function madeShot(k: number, made: MadeShot = {}): ShotFacts {
  const wander = 0.01 * ((k * 7) % 5);
  const apart = made.apart ?? 0;
  return {
    prompt: made.prompt ?? 'half figure of a young woman on the pier',
    seed: 100 + k,
    own: made.own ?? {},
    differs: made.differs ?? [],
    // a picture that is far from the others is one where the look has not arrived
    arrivals: made.arrivals ?? { who: 0.7 + wander, look: (apart ? 0.2 : 0.6) + wander },
    picture: {
      surface: filled(SURFACE_LENGTH, wander / 20 + apart),
      palette: filled(PALETTE_DIRECTIONS * QUANTILES, wander / 20 + apart),
    },
    subjects: {
      who: { there: true, height: 0.8, yaw: 10, traits: shown(wander), shares: { who: 0.9, look: 0 }, ...made.subject },
    },
    surfaceShares: made.surfaceShares ?? { look: 0.8, who: 0 },
  };
}

/** Twelve shots of which some are as `made` says. */
export const madeSeries = (made: Readonly<Record<number, MadeShot>> = {}): ShotFacts[] =>
  Array.from({ length: 12 }, (_, k) => madeShot(k, made[k]));
