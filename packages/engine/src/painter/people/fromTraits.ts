import {
  clamp,
  HEIGHTS,
  IDENTITY_PARTS,
  PART_OF_TRAIT,
  labToLch,
  lchToLab,
  lerp,
  mixLch,
  shareAgainstNamedTrait,
  smoothstep,
  type ChoiceTrait,
  type ColourTrait,
  type CreatureBrief,
  type IdentityPart,
  type Lab,
  type Lch,
  type NumberTrait,
  type PersonBrief,
  type Trait,
  type TraitName,
  type TraitSheet,
} from '@urbild/core';
import { SEEN_HATS, seenStyle, type SeenStyle } from '../../traits/kinds';
import { withShape, type ShapePull } from './fromShape';
import { HATS, type HairStyle, type Person } from './person';
import { isRuled, mixedColour, ruling, type Pull } from './pull';
import { pulledCloth } from './pulledCloth';

/** What pulls on one person's traits: the sheets of the references, each with its share of every part of the identity. */
export interface TraitPulls {
  readonly sources: readonly {
    readonly sheet: TraitSheet;
    /** What is made up of them where nothing is known and the words say nothing. */
    readonly imagined?: TraitSheet;
    /** 0..1, one per part; those of all sources and the words sum to 1. */
    readonly shares: Readonly<Record<IdentityPart, number>>;
  }[];
  /** Literalness per part: the sum of pulls where it is above 1, else 1. */
  readonly over: Readonly<Record<IdentityPart, number>>;
  /** The pull of a trait that the words name, 0..2; 1 when absent. */
  readonly words?: number;
}

const STYLE: Readonly<Record<SeenStyle, HairStyle>> = {
  bald: 'bald',
  short: 'short',
  tousled: 'tousled',
  bowl: 'bowl',
  curly: 'curly',
  tied: 'bun',
  long: 'long',
  plait: 'plait',
  'two plaits': 'two plaits',
};

const UPPER_GARMENTS: readonly string[] = ['coat', 'raincoat', 'jacket', 'jumper', 'shirt', 'dress'];

/** The traits that the words name outright. */
export function namedTraits(b: PersonBrief): ReadonlySet<TraitName> {
  const out = new Set<TraitName>();
  const say = (when: unknown, ...names: TraitName[]) => when && names.forEach((n) => out.add(n));
  say(b.skin, 'skin');
  say(b.eyes, 'eyes');
  say(b.hair?.colour, 'hair');
  say(b.hair?.style ?? b.hair?.length, 'hair style', 'hair length');
  say(b.beard ?? b.bare.includes('beard'), 'beard');
  say(b.glasses ?? b.bare.includes('glasses'), 'glasses');
  say(b.build, 'build');
  say(b.size, 'height');
  say(b.clothes, 'upper', 'pattern', 'pattern colour');
  const wears = (kinds: readonly string[]) => b.garments.some((g) => g.colour && kinds.includes(g.kind));
  say(wears(UPPER_GARMENTS), 'upper');
  say(
    b.garments.some((g) => UPPER_GARMENTS.includes(g.kind) && (g.pattern ?? g.colour)),
    'pattern',
    'pattern colour',
  );
  say(wears(['skirt', 'trousers', 'shorts', 'dress']), 'lower');
  say(
    b.garments.some((g) => (SEEN_HATS as readonly string[]).includes(g.kind)) || b.bare.some((w) => /hat|cap/.test(w)),
    'hat',
    'headwear',
  );
  return out;
}

/** Below this confidence a trait counts as not read, above the other it counts fully. */
const UNSURE = [0.12, 0.35] as const;

/**
 * A person of the words under the pull of references: numbers move in proportion to the shares, colours in OKLab, one of
 * several kinds changes over to whoever has the largest share. Against a trait that the words name, pulls of W have W / (W + 1).
 */
export function withTraits(person: Person, brief: PersonBrief, { sources, over, words }: TraitPulls): Person {
  const said = namedTraits(brief);
  const pullsOn = <T>(name: TraitName, value: (t: Trait, sheet: TraitSheet) => T | undefined): Pull<T>[] => {
    const part = PART_OF_TRAIT[name];
    if (!part) return [];
    const total = sources.reduce((s, one) => s + one.shares[part], 0);
    if (total <= 0) return [];
    const pull = over[part] > 1 ? over[part] : total;
    const held = said.has(name) ? shareAgainstNamedTrait(pull, words) : total;
    return sources.flatMap(({ sheet, imagined, shares }) => {
      const trait = (said.has(name) ? undefined : imagined?.[name]) ?? sheet[name];
      const v = trait && value(trait, sheet);
      const share = trait ? (held * shares[part]) / total : 0;
      return v !== undefined && share > 0
        ? [{ value: v, share: share * smoothstep(UNSURE[0], UNSURE[1], trait!.confidence) }]
        : [];
    });
  };
  const colour = (name: ColourTrait, own: Lch): Lch =>
    mixedColour(
      own,
      pullsOn(name, (t) => t.colour),
    );
  const number = (name: NumberTrait, own: number): number =>
    // who has a face of their own has its numbers in it
    pullsOn(name, (t, sheet) => (name !== 'height' && sheet['face shape'] && !t.locked ? undefined : t.number)).reduce(
      (sum, p) => sum + p.share * (p.value - own),
      own,
    );
  const choice = (name: ChoiceTrait, own: string): string =>
    ruling(
      own,
      pullsOn(name, (t) => t.choice),
    );

  const hair = colour('hair', person.hair.colour);
  const styles = pullsOn('hair style', (t) => t.choice);
  const style = hairStyle(person, ruling(seenStyle(person.hair.style), styles) as SeenStyle, styles);
  const beard = choice('beard', person.beard ? 'yes' : 'no');
  const glasses = choice('glasses', person.glasses ? 'yes' : 'no');
  const { face, eyes, brow, nose, mouth } = withShape(person, shapePulls(sources), over.face);
  const upper = pullsOn('upper', (t) => t.colour);
  const pattern = pullsOn('pattern', (t) => t.choice);
  const top = pulledCloth(person.top, { colour: upper, pattern, second: pullsOn('pattern colour', (t) => t.colour) });
  const bottom = { ...person.bottom, colour: colour('lower', person.bottom.colour) };
  const size = choice('build', 'usual');
  const girth = size === 'thin' ? 0.84 : size === 'round' ? 1.28 : 1;
  return {
    ...person,
    skin: colour('skin', person.skin),
    face: { ...face, width: number('face width', face.width), jaw: number('jaw', face.jaw) },
    eyes: { ...eyes, size: number('eye size', eyes.size), colour: colour('eyes', eyes.colour) },
    brow: { ...brow, thickness: number('brow thickness', brow.thickness), colour: mixedBrow(person, hair) },
    nose: { ...nose, length: number('nose length', nose.length) },
    mouth: { ...mouth, fullness: number('mouth fullness', mouth.fullness), colour: colour('lips', mouth.colour) },
    hair: { ...person.hair, style, colour: hair },
    beard: beard === 'yes' ? (person.beard ? mixedColour(person.beard, shade(hair, person)) : hair) : undefined,
    moustache: beard === 'yes' ? person.moustache : person.beard ? undefined : person.moustache,
    glasses: glasses === 'yes' ? (person.glasses ?? [0.3, 0.05, 40]) : undefined,
    hat: hatOf(person, choice('headwear', wornHat(person)), (own) => colour('hat', own)),
    girth: person.girth * girth,
    stature: clamp(number('height', person.stature), HEIGHTS.least, HEIGHTS.most),
    top,
    bottom: top.kind === 'dress' ? { ...top, kind: bottom.kind } : bottom,
    over:
      isRuled(upper) && person.over && person.over.kind !== 'apron'
        ? { ...person.over, colour: top.colour }
        : person.over,
  };
}

/** A creature takes the colour of its body from references, as far as their shares pass those of its own kind. */
export function withBody(brief: CreatureBrief, { sources, words }: TraitPulls): CreatureBrief {
  const pulls = sources.flatMap(({ sheet, shares }) =>
    sheet.body?.colour && sheet.body.confidence > UNSURE[0] ? [{ value: sheet.body.colour, share: shares.build }] : [],
  );
  const total = pulls.reduce((s, p) => s + p.share, 0);
  if (total <= 0.02) return brief;
  const lab = [0, 1, 2].map((k) => pulls.reduce((s, p) => s + (p.share / total) * p.value[k], 0)) as unknown as Lab;
  const own = brief.colour ?? { name: 'its own', lch: [0.6, 0.06, 70] as const };
  const share = brief.colour ? shareAgainstNamedTrait(total, words) : total;
  return { ...brief, colour: { name: own.name, lch: labToLch(mixLab(lchToLab(own.lch), lab, share)) } };
}

const mixLab = (a: Lab, b: Lab, t: number): Lab => [lerp(a[0], b[0], t), lerp(a[1], b[1], t), lerp(a[2], b[2], t)];

/** True when a person has any share at all that could change it. */
export const isPulled = ({ sources }: TraitPulls): boolean =>
  sources.some((s) => IDENTITY_PARTS.some((part) => s.shares[part] > 0));

/** Brows follow the hair, as far as it moved. */
const mixedBrow = (person: Person, hair: Lch): Lch =>
  hair === person.hair.colour ? person.brow.colour : mixLch(hair, [0.25, 0.03, 50], 0.3);

/** A beard follows the hair half of the way. */
const shade = (hair: Lch, person: Person): Pull<Lab>[] =>
  hair === person.hair.colour ? [] : [{ value: lchToLab(hair), share: 0.5 }];

/** What references rule is worn alike in every picture, even where the words alone would have tied it in another way. */
function hairStyle(person: Person, seen: SeenStyle, pulls: readonly Pull<string>[]): HairStyle {
  const ruled = pulls.reduce((s, p) => s + (p.value === seen ? p.share : 0), 0) > 0.5;
  return seenStyle(person.hair.style) === seen && !ruled ? person.hair.style : (STYLE[seen] ?? person.hair.style);
}

const wornHat = ({ hat }: Person): string => hat?.kind ?? 'none';

/** The faces that act on somebody. */
const shapePulls = (sources: TraitPulls['sources']): ShapePull[] =>
  sources.flatMap(({ sheet: { 'face shape': face }, shares }) =>
    face?.shape ? [{ shape: face.shape, share: shares.face, sure: face.confidence }] : [],
  );

/** Nothing where the choice is "none", or one that a person made up. */
function hatOf(person: Person, choice: string, colour: (own: Lch) => Lch): Person['hat'] {
  const kind = HATS.find((hat) => hat === choice);
  if (!kind) return undefined;
  const own = person.hat?.colour ?? hatLike(person.top.colour);
  return { kind, colour: colour(own) };
}

/** A hat that nobody described is a darker shade of the clothes. */
const hatLike = ([L, C, h]: Lch): Lch => [lerp(L, 0.3, 0.4), C * 0.8, h];
