import type { IdentityPart } from '../mix/influence/parts';
import type { TraitName, TraitSheet } from './types';

/** The part of an identity that a trait belongs to. */
export const PART_OF_TRAIT: Readonly<Partial<Record<TraitName, IdentityPart>>> = {
  skin: 'face',
  eyes: 'face',
  lips: 'face',
  beard: 'face',
  glasses: 'face',
  'face width': 'face',
  jaw: 'face',
  'eye size': 'face',
  'brow thickness': 'face',
  'nose length': 'face',
  'mouth fullness': 'face',
  'face shape': 'face',
  hair: 'hair',
  'hair style': 'hair',
  'hair length': 'hair',
  build: 'build',
  height: 'build',
  upper: 'clothes',
  pattern: 'clothes',
  'pattern colour': 'clothes',
  lower: 'clothes',
  hat: 'clothes',
  headwear: 'clothes',
  species: 'build',
  body: 'build',
};

/** True for a trait of what is worn: it may be changed. */
export const isWornTrait = (name: string): boolean => PART_OF_TRAIT[name as TraitName] === 'clothes';

/** What is known of somebody who wears something else: their own sheet with the clothes of another one, or with none that are known. */
export const inOtherClothes = (sheet: TraitSheet, clothes: TraitSheet = {}): TraitSheet => ({
  ...Object.fromEntries(Object.entries(sheet).filter(([name]) => !isWornTrait(name))),
  ...traitsOfParts(clothes, ['clothes']),
});

/** The traits of a sheet that belong to some parts of an identity. */
export const traitsOfParts = (sheet: TraitSheet, parts: readonly IdentityPart[]): TraitSheet =>
  Object.fromEntries(
    Object.entries(sheet).filter(([name]) => {
      const part = PART_OF_TRAIT[name as TraitName];
      return part !== undefined && parts.includes(part);
    }),
  );
