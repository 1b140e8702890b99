import { understand, type KnownName } from '@urbild/core';
import { CREATURES } from '../creatures';
import { PERSON_HEIGHT } from './actors';
import { personFrom } from '../people/fromWords';

/**
 * How tall somebody is by their name and description alone, against a grown person (1): people as they are painted, creatures by their
 * kind.
 */
export function usualHeight(who: KnownName): number {
  const [entity] = understand(who.name, '', [who]).entities;
  if (entity?.kind === 'person') return personFrom(entity).stature;
  if (entity?.kind === 'creature') return (CREATURES[entity.species]?.height ?? PERSON_HEIGHT) / PERSON_HEIGHT;
  return 1;
}
