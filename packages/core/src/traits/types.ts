import type { Lab } from '../colour/oklab';

/** Traits that are colours, OKLab. */
export const COLOUR_TRAITS = ['skin', 'hair', 'eyes', 'lips', 'upper', 'lower', 'hat', 'body'] as const;
/** Traits of the face that are numbers; 1 is the usual. */
export const NUMBER_TRAITS = [
  'face width',
  'jaw',
  'eye size',
  'brow thickness',
  'nose length',
  'mouth fullness',
] as const;
/** Traits that are one of several words. */
export const CHOICE_TRAITS = ['hair style', 'hair length', 'headwear', 'beard', 'glasses', 'build', 'species'] as const;

export type ColourTrait = (typeof COLOUR_TRAITS)[number];
export type NumberTrait = (typeof NUMBER_TRAITS)[number];
export type ChoiceTrait = (typeof CHOICE_TRAITS)[number];
export type TraitName = ColourTrait | NumberTrait | ChoiceTrait;

/** All traits: colours, numbers, choices. */
export const ALL_TRAITS: readonly TraitName[] = [...COLOUR_TRAITS, ...NUMBER_TRAITS, ...CHOICE_TRAITS];

/** One trait with what it rests on. Exactly one of colour, number and choice is there, as its name says. */
export interface Trait {
  readonly colour?: Lab;
  readonly number?: number;
  readonly choice?: string;
  /** 0 a guess .. 1 certain; 1 for what a person set. */
  readonly confidence: number;
  /** Set by a person: new pictures do not change it. */
  readonly locked?: boolean;
}

/** What is known of a person or creature. */
export type TraitSheet = Readonly<Partial<Record<TraitName, Trait>>>;
