import type { Lab } from '../colour/oklab';
import type { FaceShape } from './faceShape';

/** Traits that are colours, OKLab. */
export const COLOUR_TRAITS = [
  'skin',
  'hair',
  'eyes',
  'lips',
  'upper',
  'pattern colour',
  'lower',
  'hat',
  'body',
] as const;
/** Traits of the face that are numbers; 1 is the usual. */
export const FACE_NUMBER_TRAITS = [
  'face width',
  'jaw',
  'eye size',
  'brow thickness',
  'nose length',
  'mouth fullness',
] as const;
/** All traits that are numbers; a height is against that of a grown person. */
export const NUMBER_TRAITS = [...FACE_NUMBER_TRAITS, 'height'] as const;
/** Traits that are one of several words. */
export const CHOICE_TRAITS = [
  'hair style',
  'hair length',
  'headwear',
  'beard',
  'glasses',
  'pattern',
  'build',
  'species',
] as const;

/** Traits that are contours. */
export const SHAPE_TRAITS = ['face shape'] as const;

/** Heights that somebody can have, against a grown person's. */
export const HEIGHTS = { least: 0.4, most: 1.6 } as const;

export type ColourTrait = (typeof COLOUR_TRAITS)[number];
export type NumberTrait = (typeof NUMBER_TRAITS)[number];
export type ChoiceTrait = (typeof CHOICE_TRAITS)[number];
export type ShapeTrait = (typeof SHAPE_TRAITS)[number];
/** Traits that can be said in a word, a number or a colour. */
export type SaidTrait = ColourTrait | NumberTrait | ChoiceTrait;
export type TraitName = SaidTrait | ShapeTrait;

/** All of them. */
export const SAID_TRAITS: readonly SaidTrait[] = [...COLOUR_TRAITS, ...NUMBER_TRAITS, ...CHOICE_TRAITS];
/** All traits: colours, numbers, choices, shapes. */
export const ALL_TRAITS: readonly TraitName[] = [...SAID_TRAITS, ...SHAPE_TRAITS];

/** One trait with what it rests on. Exactly one of colour, number, choice and shape is there, as its name says. */
export interface Trait {
  readonly colour?: Lab;
  readonly number?: number;
  readonly choice?: string;
  readonly shape?: FaceShape;
  /** 0 a guess .. 1 certain; 1 for what a person set. */
  readonly confidence: number;
  /** Set by a person: new pictures do not change it. */
  readonly locked?: boolean;
}

/** What is known of a person or creature. */
export type TraitSheet = Readonly<Partial<Record<TraitName, Trait>>>;
