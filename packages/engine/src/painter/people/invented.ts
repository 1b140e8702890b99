import { COLOUR_VALUES, hashText, mixLch, Random, type Lch, type PersonBrief } from '@urbild/core';
import { withInventedFace } from './inventedFace';
import type { HairStyle, Person, TopKind } from './person';

const USUAL_SKINS: readonly Lch[] = [
  [0.84, 0.072, 58],
  [0.8, 0.08, 56],
  [0.75, 0.085, 54],
  [0.62, 0.09, 52],
  [0.52, 0.085, 50],
];
/** Colours of hair by name. */
export const HAIR_COLOURS: Readonly<Record<string, Lch>> = {
  blond: [0.8, 0.105, 86],
  yellow: [0.8, 0.11, 88],
  gold: [0.77, 0.115, 84],
  red: [0.55, 0.14, 43],
  rust: [0.53, 0.13, 44],
  orange: [0.62, 0.15, 50],
  brown: [0.38, 0.065, 52],
  black: [0.23, 0.018, 270],
  grey: [0.7, 0.012, 250],
  white: [0.9, 0.01, 90],
};
/** Colours of cloth that nobody named. */
export const CLOTH: readonly Lch[] = [
  COLOUR_VALUES.rust,
  COLOUR_VALUES.teal,
  COLOUR_VALUES.mustard,
  COLOUR_VALUES.navy,
  COLOUR_VALUES.olive,
  COLOUR_VALUES.purple,
  COLOUR_VALUES.beige,
  COLOUR_VALUES.red,
  COLOUR_VALUES.blue,
  COLOUR_VALUES.green,
];
/** A seed from the description alone: the same words, the same person. */
export function seedOf(
  { age, sex, build, skin, hair, beard, garments, clothes, variant = 0 }: PersonBrief,
  nth: number,
): number {
  return hashText(
    JSON.stringify([
      age,
      sex,
      build,
      skin,
      hair,
      beard,
      garments.map((g) => [g.kind, g.colour?.name]),
      clothes?.name,
      nth + 1000 * variant,
    ]),
  );
}

/** Somebody nobody has seen before: proportions by age and sex, the rest by chance. One of several has a face of their own. */
export function invented(brief: PersonBrief, nth: number): Person {
  const seed = seedOf(brief, nth);
  return brief.variant ? withInventedFace(usual(brief, seed), seed ^ 0x5f3c) : usual(brief, seed);
}

function usual(brief: PersonBrief, seed: number): Person {
  const r = new Random(seed);
  const age = brief.age ?? 'grown';
  const woman = brief.sex ? brief.sex === 'woman' : r.chance(0.5);
  const child = age === 'child';
  const old = age === 'old';
  const fair = ['blond', 'red', 'rust', 'orange', 'gold', 'yellow'].includes(brief.hair?.colour?.name ?? '');
  const skin = r.pick(fair ? USUAL_SKINS.slice(0, 2) : USUAL_SKINS);
  const dark = skin[0] < 0.66;
  const hair: Lch = old
    ? [r.range(0.72, 0.92), 0.012, 90]
    : dark
      ? [r.range(0.2, 0.27), 0.025, 40]
      : r.pick([
          HAIR_COLOURS.brown,
          HAIR_COLOURS.black,
          HAIR_COLOURS.blond,
          HAIR_COLOURS.rust,
          [0.48, 0.075, 60] as Lch,
        ]);
  const style: HairStyle = woman
    ? r.pick<HairStyle>(
        old
          ? ['bun', 'short', 'bun']
          : child
            ? ['bowl', 'long', 'ponytail', 'two plaits']
            : ['long', 'wavy', 'bun', 'ponytail', 'plait'],
      )
    : r.pick<HairStyle>(
        old ? ['short', 'short', 'bald'] : child ? ['tousled', 'bowl', 'short'] : ['short', 'tousled', 'short'],
      );
  const cloth = () => r.pick(CLOTH);
  const top: TopKind = woman && r.chance(0.6) ? 'dress' : r.pick<TopKind>(['jumper', 'shirt', 'jacket', 'jumper']);
  const colour = cloth();
  return {
    skin,
    face: {
      width: r.range(0.95, 1.04) * (child ? 1.05 : 1),
      length: r.range(0.97, 1.03) * (child ? 0.93 : 1),
      jaw: woman || child ? r.range(0.15, 0.45) : r.range(0.55, 0.95),
      cheek: child ? r.range(0.7, 1) : r.range(0.1, 0.6),
      chin: child ? 0.1 : woman ? r.range(0.2, 0.4) : r.range(0.4, 0.7),
    },
    eyes: {
      size: child ? r.range(1.12, 1.22) : old ? r.range(0.8, 0.9) : woman ? r.range(1, 1.12) : r.range(0.85, 0.98),
      spacing: r.range(0.98, 1.06),
      colour: r.pick<Lch>([
        [0.5, 0.08, 235],
        [0.38, 0.06, 55],
        [0.54, 0.08, 150],
        [0.32, 0.05, 50],
      ]),
      tilt: r.range(-0.04, 0.09),
      lashes: woman && !old,
    },
    brow: {
      colour: mixLch(hair, [0.25, 0.03, 50], old ? 0.1 : 0.3),
      thickness: woman ? r.range(0.9, 1.2) : old ? 1.9 : r.range(1.3, 1.7),
      arch: r.range(0.2, 0.7),
      angle: r.range(-0.03, 0.05),
    },
    nose: {
      length: child ? r.range(0.7, 0.85) : old ? r.range(1.1, 1.35) : r.range(0.85, 1.15),
      width: r.range(0.85, dark ? 1.35 : 1.15) * (old ? 1.15 : 1),
      snub: child ? 0.9 : r.range(0, 0.6),
      hook: old ? r.range(0.2, 0.6) : 0,
    },
    mouth: {
      width: r.range(0.9, 1.06),
      fullness: old ? 0.5 : woman ? r.range(0.8, 1.2) : r.range(0.5, 0.9),
      colour: dark ? [0.5, 0.12, 22] : [0.62, 0.12, 24],
    },
    freckles: !dark && !old && r.chance(0.15),
    wrinkles: old,
    blush: child ? 1.05 : r.range(0.5, 0.9),
    hair: { style, colour: hair, volume: r.range(0.95, 1.1) },
    beard: old && !woman && r.chance(0.4) ? mixLch(hair, [0.9, 0.01, 90], 0.4) : undefined,
    shoulders: child ? 0.52 : woman ? 0.6 : 0.71,
    girth: child ? 0.92 : woman ? 0.97 : 1.06,
    stature: child ? r.range(0.72, 0.8) : woman ? r.range(0.95, 1.01) : r.range(1, 1.06),
    headScale: child ? 1.1 : 1,
    top: { kind: top, colour },
    bottom:
      top === 'dress'
        ? { kind: 'skirt', colour }
        : {
            kind: 'trousers',
            colour: r.pick<Lch>([
              [0.38, 0.05, 250],
              [0.42, 0.04, 70],
              [0.34, 0.03, 285],
              [0.45, 0.06, 130],
            ]),
          },
    feet: { kind: r.chance(0.5) ? 'boots' : 'shoes', colour: [0.32, 0.04, 50] },
  };
}
