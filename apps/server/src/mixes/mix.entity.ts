import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { Emphasis, Gives, IdentityPart, Medium, Reading } from '@urbild/core';
import { NAMES_BLOBS_INSIDE } from '../platform/blobs/blobFields';

/** Sides of a plate, as it is asked for. */
export const ASPECTS = ['1:1', '3:2', '2:3', '4:3', '3:4', '16:9', '2:1'] as const;
export type Aspect = (typeof ASPECTS)[number];

/** How large a take is rendered. */
export const QUALITIES = ['draft', 'proof', 'print'] as const;
export type Quality = (typeof QUALITIES)[number];

/** Settings of a mix besides words and influences. */
export interface MixSettings {
  readonly aspect: Aspect;
  readonly seed: number;
  /** 0..2, 1 is neutral. */
  readonly balance: number;
  /** How freely the seed composes, 0..1; 1 when absent. */
  readonly spread?: number;
  /** How strictly the words hold against references, 0..1; .5 when absent. */
  readonly strictness?: number;
  /** How ornate the painter draws, 0..1; .5 when absent. */
  readonly ornateness?: number;
  /** Words that count more or less than the others. */
  readonly emphases?: readonly Emphasis[];
  /** The words' own, or the one nearest to the looks, when absent. */
  readonly medium?: Medium;
  /** A picture to start from. */
  readonly start?: MixStart;
  /** The only part of the start picture that changes. */
  readonly mask?: MixMask;
}

/** A take or reference that a mix starts from. */
export interface MixStart {
  readonly of: 'take' | 'reference';
  readonly id: string;
  /** 0 the picture itself .. 1 nothing of it. */
  readonly change: number;
}

/** A painted mask: grey, white where something acts. */
export interface MixMask {
  /** Hash of its picture, which was sent before. */
  readonly content: string;
  readonly invert: boolean;
  /** Width of the soft edge in parts of the longer side, 0..0.1. */
  readonly feather: number;
}

/** What can be an influence. */
export const SOURCE_KINDS = ['reference', 'look', 'character'] as const;
export type SourceKind = (typeof SOURCE_KINDS)[number];

/** One reference, look or character in a mix. */
export interface MixInfluence {
  readonly id: string;
  /** What stands behind it; a reference when absent. */
  readonly of?: SourceKind;
  /** The id of the reference, look or character. */
  readonly referenceId: string;
  readonly gives: Gives;
  readonly weight: number;
  readonly from: number;
  readonly to: number;
  readonly reading: Reading;
  readonly on: boolean;
  /** Whose identity it carries; a character's own name when absent. */
  readonly subject?: string;
  /** Which parts of a character; all when absent. */
  readonly parts?: readonly IdentityPart[];
  /** Of a shape: what the picture fills. */
  readonly fill?: 'inside' | 'around';
  /** How large its strokes and motifs come out, .5..1.5. */
  readonly motif?: number;
  /** Where in the picture it acts; everywhere when absent. */
  readonly region?: MixMask;
  /** References of a look or a character that are left out. */
  readonly except?: readonly string[];
}

/** What of a mix makes a picture. */
export interface MixState {
  readonly prompt: string;
  readonly avoid: string;
  readonly settings: MixSettings;
  readonly influences: readonly MixInfluence[];
}

/** Prompt, settings and influences, saved under a name. */
export const MixEntity = defineEntity({
  name: 'Mix',
  tableName: 'mix',
  properties: {
    id: p.string().primary(),
    name: p.string(),
    prompt: p.text(),
    avoid: p.text(),
    settings: p.json<MixSettings>().comment(NAMES_BLOBS_INSIDE),
    influences: p.json<MixInfluence[]>().comment(NAMES_BLOBS_INSIDE),
    createdAt: p.datetime(),
    updatedAt: p.datetime().index(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Mix = InferEntity<typeof MixEntity>;

/** A state of a mix as it was when a take was asked of it. */
export const MixVersionEntity = defineEntity({
  name: 'MixVersion',
  tableName: 'mix_version',
  properties: {
    id: p.string().primary(),
    mixId: p.string().index(),
    number: p.integer(),
    state: p.json<MixState>().comment(NAMES_BLOBS_INSIDE),
    createdAt: p.datetime(),
  },
});
export type MixVersion = InferEntity<typeof MixVersionEntity>;
