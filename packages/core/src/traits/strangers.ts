import { lchToLab, type Lch } from '../colour/oklch';
import { Random } from '../maths/random';
import type { Trait, TraitSheet } from './types';

const colour = (lch: Lch): Trait => ({ colour: lchToLab(lch), confidence: 1 });
const choice = (value: string): Trait => ({ choice: value, confidence: 1 });

interface Stranger {
  readonly skin: Lch;
  readonly hair: Lch;
  readonly eyes: Lch;
  readonly upper: Lch;
  readonly style: string;
  readonly length: string;
  readonly beard?: boolean;
}

/** Eight people who have nothing to do with anybody's cast: broad in skin, hair and clothes. */
const PEOPLE: readonly Stranger[] = [
  {
    skin: [0.84, 0.07, 58],
    hair: [0.8, 0.1, 86],
    eyes: [0.55, 0.08, 240],
    upper: [0.55, 0.18, 27],
    style: 'long',
    length: 'long',
  },
  {
    skin: [0.5, 0.085, 50],
    hair: [0.22, 0.02, 60],
    eyes: [0.3, 0.04, 50],
    upper: [0.85, 0.15, 95],
    style: 'curly',
    length: 'short',
  },
  {
    skin: [0.75, 0.085, 54],
    hair: [0.24, 0.02, 270],
    eyes: [0.3, 0.04, 50],
    upper: [0.54, 0.13, 250],
    style: 'bowl',
    length: 'short',
  },
  {
    skin: [0.82, 0.06, 50],
    hair: [0.9, 0.01, 90],
    eyes: [0.5, 0.03, 250],
    upper: [0.4, 0.05, 60],
    style: 'short',
    length: 'short',
    beard: true,
  },
  {
    skin: [0.8, 0.08, 56],
    hair: [0.53, 0.13, 44],
    eyes: [0.5, 0.09, 140],
    upper: [0.56, 0.13, 145],
    style: 'plait',
    length: 'long',
  },
  {
    skin: [0.62, 0.09, 52],
    hair: [0.38, 0.06, 52],
    eyes: [0.35, 0.05, 50],
    upper: [0.34, 0.07, 262],
    style: 'tied',
    length: 'long',
  },
  {
    skin: [0.86, 0.05, 60],
    hair: [0.7, 0.01, 250],
    eyes: [0.5, 0.05, 230],
    upper: [0.9, 0.02, 85],
    style: 'tied',
    length: 'long',
  },
  {
    skin: [0.48, 0.08, 48],
    hair: [0.2, 0.02, 40],
    eyes: [0.28, 0.03, 50],
    upper: [0.46, 0.14, 305],
    style: 'short',
    length: 'short',
  },
];

const SKINS: readonly Lch[] = [
  [0.88, 0.045, 60],
  [0.82, 0.06, 56],
  [0.76, 0.08, 56],
  [0.66, 0.085, 54],
  [0.55, 0.085, 50],
  [0.43, 0.07, 48],
];
/** Dark skin goes with the first of them, light skin with all. */
const HAIRS: readonly Lch[] = [
  [0.2, 0.02, 50],
  [0.28, 0.04, 52],
  [0.75, 0.01, 250],
  [0.4, 0.07, 52],
  [0.53, 0.13, 44],
  [0.8, 0.1, 86],
  [0.9, 0.01, 90],
];
const STYLES = [
  ['short', 'short'],
  ['bowl', 'short'],
  ['tied', 'short'],
  ['curly', 'short'],
  ['bald', 'none'],
  ['long', 'long'],
  ['plait', 'long'],
] as const;
/** So many more strangers are made up. */
const CROWD = 40;

/** Somebody made up: `k` is the same one everywhere. */
function madeUp(k: number): TraitSheet {
  const random = new Random(7301 + 97 * k);
  const tone = random.integer(0, SKINS.length - 1);
  const [style, length] = random.pick(STYLES);
  const hair = HAIRS[random.integer(0, tone > 3 ? 2 : HAIRS.length - 1)];
  return {
    skin: colour(SKINS[tone]),
    ...(style === 'bald' ? {} : { hair: colour(hair) }),
    eyes: colour([random.range(0.28, 0.55), 0.05, random.range(40, 250)]),
    upper: colour([random.range(0.3, 0.85), random.range(0.02, 0.17), random.range(0, 360)]),
    'hair style': choice(style),
    'hair length': choice(length),
    beard: choice(random.chance(0.25) ? 'yes' : 'no'),
    glasses: choice(random.chance(0.25) ? 'yes' : 'no'),
    headwear: choice(random.chance(0.2) ? 'hat' : 'none'),
  };
}

/**
 * Trait sheets of people who are nobody's references, broad in all that is seen of people: what a picture has in common with them says
 * nothing of anybody.
 */
export const STRANGERS: readonly TraitSheet[] = [
  ...PEOPLE.map(({ skin, hair, eyes, upper, style, length, beard }) => ({
    skin: colour(skin),
    hair: colour(hair),
    eyes: colour(eyes),
    upper: colour(upper),
    'hair style': choice(style),
    'hair length': choice(length),
    beard: choice(beard ? 'yes' : 'no'),
  })),
  ...Array.from({ length: CROWD }, (_, k) => madeUp(k)),
];
