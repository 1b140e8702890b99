import { SAID_TRAITS, type SaidTrait, type Trait, type TraitName, type TraitSheet } from '../traits/types';

/** Traits that were read with less confidence count as not seen. */
const SEEN = 0.2;
/** Colours nearer than this (hue counts more than lightness, as light changes that), and numbers nearer than the other, are the same. */
const SAME_COLOUR = 0.11;
const SAME_NUMBER = 0.25;

/** What one take shows of somebody, and what its words say outright. */
export interface ShownTraits {
  readonly traits: TraitSheet;
  readonly named: ReadonlySet<TraitName>;
}

/** How one trait fared over several takes. */
export interface TraitTally {
  readonly trait: SaidTrait;
  /** Takes in which it could be seen. */
  readonly seen: number;
  /** Of these, takes in which it is the same as in most. */
  readonly kept: number;
  /** Who decided it in most: the words named it, the reference has it so, or neither - it came as it came. */
  readonly by: 'words' | 'reference' | 'neither';
}

/** True where two values of a trait are one for the eye. */
function same(a: Trait, b: Trait): boolean {
  if (a.colour && b.colour) {
    const [l, p, q] = a.colour.map((v, k) => v - b.colour![k]);
    return Math.hypot(0.6 * l, 1.5 * p, 1.5 * q) < SAME_COLOUR;
  }
  if (a.number !== undefined && b.number !== undefined) return Math.abs(a.number - b.number) < SAME_NUMBER;
  return a.choice !== undefined && a.choice === b.choice;
}

/**
 * Counts over several takes which traits of somebody were kept and which changed, and whether words, the reference or neither
 * decided them; traits that were seen in fewer than two takes are left out.
 */
export function tallyTraits(takes: readonly ShownTraits[], reference: TraitSheet): TraitTally[] {
  return SAID_TRAITS.flatMap((trait): TraitTally[] => {
    const shown = takes.flatMap(({ traits, named }) => {
      const value = traits[trait];
      return value && value.confidence >= SEEN ? [{ value, named: named.has(trait) }] : [];
    });
    if (shown.length < 2) return [];
    const groups = shown.map((one) => shown.filter((other) => same(one.value, other.value)));
    const most = groups.reduce((a, b) => (b.length > a.length ? b : a));
    const wanted = reference[trait];
    const asWanted = wanted && most.filter((one) => same(one.value, wanted)).length > most.length / 2;
    const by = most.filter((one) => one.named).length > most.length / 2 ? 'words' : asWanted ? 'reference' : 'neither';
    return [{ trait, seen: shown.length, kept: most.length, by }];
  });
}
