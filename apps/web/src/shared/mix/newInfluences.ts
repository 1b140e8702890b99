import { characterInfluence as ofCharacter, give, type Gives } from '@urbild/core';
import type { MixInfluence, Reference } from '../../api/client';

/** What a reference gives at first, by its kind. */
const FIRST: Readonly<Record<Reference['kind'], Gives>> = {
  style: 'look',
  image: 'everything',
  character: 'character',
  face: 'face',
};

/** What a character gives where the engine cannot take characters. */
const COLOURS_ONLY: Gives = 'palette';

const newId = () => crypto.randomUUID().slice(0, 8);

/** An influence that gives something, with the weight and span that are usual for it. */
const giving = (gives: Gives): Pick<MixInfluence, 'gives' | 'weight' | 'from' | 'to'> => ({
  gives,
  ...give(gives).usual,
});

/** A new influence for a reference: what it gives at first by its kind, or what is asked of it. */
export const newInfluence = (reference: Reference, gives: Gives = FIRST[reference.kind]): MixInfluence => ({
  id: newId(),
  referenceId: reference.id,
  reading: 'normal',
  on: true,
  ...giving(gives),
});

/** A new influence for a look: its surface and colours, a little less than full weight. */
export const lookInfluence = (lookId: string): MixInfluence => ({
  id: newId(),
  of: 'look',
  referenceId: lookId,
  reading: 'normal',
  on: true,
  ...giving(FIRST.style),
});

/** A new influence for a character at its usual weight; it gives what the engine can take of a character. */
export const characterInfluence = (characterId: string, weight: number, able: readonly Gives[]): MixInfluence => ({
  ...(ofCharacter(newId(), characterId, weight) as MixInfluence),
  ...(able.includes('character') ? {} : giving(COLOURS_ONLY)),
});
