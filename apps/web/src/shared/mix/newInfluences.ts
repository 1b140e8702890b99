import { characterInfluence as ofCharacter, type Gives } from '@urbild/core';
import type { MixInfluence, Reference } from '../../api/client';

/** What a reference gives at first, by its kind, with the weight and span that people found to work. */
const FIRST: Readonly<Record<Reference['kind'], Pick<MixInfluence, 'gives' | 'weight' | 'from' | 'to'>>> = {
  style: { gives: 'look', weight: 0.8, from: 0, to: 1 },
  image: { gives: 'everything', weight: 0.4, from: 0, to: 0.5 },
  character: { gives: 'character', weight: 0.8, from: 0, to: 1 },
  face: { gives: 'face', weight: 0.8, from: 0, to: 1 },
};
/** What a character gives where the engine cannot take characters. */
const COLOURS_ONLY = { gives: 'palette', weight: 0.4, from: 0, to: 0.6 } as const;

const newId = () => crypto.randomUUID().slice(0, 8);

/** A new influence for a reference. */
export const newInfluence = (reference: Reference): MixInfluence => ({
  id: newId(),
  referenceId: reference.id,
  reading: 'normal',
  on: true,
  ...FIRST[reference.kind],
});

/** A new influence for a look: its surface and colours, a little less than full weight. */
export const lookInfluence = (lookId: string): MixInfluence => ({
  id: newId(),
  of: 'look',
  referenceId: lookId,
  reading: 'normal',
  on: true,
  ...FIRST.style,
});

/** A new influence for a character at its usual weight; it gives what the engine can take of a character. */
export const characterInfluence = (characterId: string, weight: number, able: readonly Gives[]): MixInfluence => ({
  ...(ofCharacter(newId(), characterId, weight) as MixInfluence),
  ...(able.includes('character') ? {} : COLOURS_ONLY),
});
