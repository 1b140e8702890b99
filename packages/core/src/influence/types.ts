/** What an influence carries over from its reference. */
export const GIVES = [
  'everything',
  'look',
  'palette',
  'light',
  'layout',
  'shape',
  'pose',
  'place',
  'thing',
  'character',
  'face',
  'outfit',
] as const;
export type Gives = (typeof GIVES)[number];

/** The separately decided qualities of a picture. */
export const CHANNELS = ['layout', 'pose', 'identity', 'colour', 'surface'] as const;
export type Channel = (typeof CHANNELS)[number];

/** What an identity is made of; a character may carry some of them only. */
export const IDENTITY_PARTS = ['face', 'hair', 'build', 'clothes'] as const;
export type IdentityPart = (typeof IDENTITY_PARTS)[number];

/** How closely a reference is read, apart from its weight. */
export const READINGS = ['hint', 'loose', 'normal', 'close'] as const;
export type Reading = (typeof READINGS)[number];

/** The usual upper end of a weight; up to {@link TYPED_MAX_WEIGHT} can be typed, with a warning. */
export const MAX_WEIGHT = 2;
export const TYPED_MAX_WEIGHT = 4;

/** One reference in a mix, as far as the formula needs it. */
export interface Influence {
  readonly id: string;
  readonly gives: Gives;
  /** 0..2, up to 4 typed. */
  readonly weight: number;
  /** Start of the span on the course, 0..1. */
  readonly from: number;
  /** End of the span, 0..1, not before `from`. */
  readonly to: number;
  /** Switched off: kept in the mix, pulls nothing. */
  readonly on: boolean;
  /** Whose identity this carries, where two subjects stand in one picture; undefined acts on every subject. */
  readonly subject?: string;
  /** The parts of an identity that a character carries; all of them when absent. */
  readonly parts?: readonly IdentityPart[];
}

/** What the formula needs of a mix. */
export interface Weighing {
  readonly influences: readonly Influence[];
  /** Multiplies every reference, 0..2, 1 is neutral. */
  readonly balance: number;
}
