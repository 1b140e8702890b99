import { colourName } from '../reading/colourNames';
import { traitApart, weightOf } from '../traits/apart';
import { ALL_TRAITS, type Trait, type TraitName, type TraitSheet } from '../traits/types';

/** What of somebody in a picture is as it is known of them, and what is not: in words, what counts most first. */
export interface IdentityEvidence {
  /** "hair", "skin", "form of the face". */
  readonly same: readonly string[];
  /** "hair black instead of copper", "no glasses". */
  readonly unlike: readonly string[];
}

/** What a trait has to be read with to be told of, and what is the same and what another, on the scale of {@link traitApart}. */
const READ = 0.3;
const SAME = 0.35;
const ANOTHER = 0.7;

const NOUNS: Readonly<Partial<Record<TraitName, string>>> = {
  upper: 'clothes',
  lower: 'skirt or trousers',
  hat: 'colour of the hat',
  body: 'colour',
  'face shape': 'form of the face',
  species: 'kind of creature',
};
const nounOf = (name: TraitName): string => NOUNS[name] ?? name;

/** Numbers of a face are hardly better than guesses: they are counted, but nobody is told of them. */
const isTold = ({ number }: Trait): boolean => number === undefined;

function unlike(name: TraitName, seen: Trait, own: Trait): string {
  if (seen.colour && own.colour) {
    const [is, was] = [colourName(seen.colour), colourName(own.colour)];
    if (is !== was) return `${nounOf(name)} ${is} instead of ${was}`;
    const lighter = seen.colour[0] - own.colour[0];
    return `${nounOf(name)} ${Math.abs(lighter) < 0.06 ? 'of another hue' : lighter > 0 ? 'too light' : 'too dark'}`;
  }
  if (own.shape) return `another ${nounOf(name)}`;
  if (seen.choice === 'no' || seen.choice === 'none')
    return name === 'headwear' ? `no ${own.choice}` : `no ${name === 'hair length' ? 'hair' : nounOf(name)}`;
  if (seen.choice === 'yes') return nounOf(name);
  if (own.choice === 'none') return `${seen.choice}`;
  return `${nounOf(name)} ${seen.choice} instead of ${own.choice}`;
}

/** What speaks for and against whoever a picture shows being the person of a sheet. */
export function identityEvidence(seen: TraitSheet, own: TraitSheet): IdentityEvidence {
  const told = ALL_TRAITS.flatMap((name) => {
    const [s, t] = [seen[name], own[name]];
    if (!s || !t || !isTold(s) || Math.min(s.confidence, t.confidence) < READ) return [];
    return [{ name, s, t, apart: traitApart(s, t), weight: weightOf(name) }];
  }).sort((a, b) => b.weight - a.weight);
  return {
    // that somebody has no beard tells nobody from anybody
    same: told.filter((e) => e.apart < SAME && !/^no(ne)?$/.test(e.t.choice ?? '')).map((e) => nounOf(e.name)),
    unlike: told
      .filter((e) => e.apart > ANOTHER)
      .sort((a, b) => b.weight * b.apart - a.weight * a.apart)
      .map((e) => unlike(e.name, e.s, e.t)),
  };
}
