import { COLOUR_VALUES, mixLch, Random, type Garment, type Lch, type PersonBrief } from '@urbild/core';
import { CAST } from './cast';
import { CLOTH, HAIR_COLOURS, invented, seedOf } from './invented';
import { HATS, OVERS, type HairStyle, type HatKind, type OverKind, type Person, type TopKind } from './person';

const isOne = (list: readonly string[], word: string): boolean => list.includes(word);

/** Colours of skin by the words for it. */
export const SKINS: Readonly<Record<'dark' | 'brown' | 'pale', Lch>> = {
  dark: [0.48, 0.08, 48],
  brown: [0.68, 0.09, 54],
  pale: [0.88, 0.055, 60],
};
const STYLES: Readonly<Record<string, HairStyle>> = {
  plait: 'plait',
  'two plaits': 'two plaits',
  ponytail: 'ponytail',
  bun: 'bun',
  bob: 'bowl',
  curls: 'curly',
  wavy: 'wavy',
  bald: 'bald',
  tousled: 'tousled',
};
const TOP_WORDS: Readonly<Record<string, TopKind>> = {
  coat: 'coat',
  raincoat: 'oilskin',
  jacket: 'jacket',
  jumper: 'jumper',
  shirt: 'shirt',
  dress: 'dress',
};
const USUAL_COLOUR: Readonly<Record<string, Lch>> = {
  raincoat: COLOUR_VALUES.yellow,
  shirt: COLOUR_VALUES.beige,
  apron: [0.9, 0.02, 85],
  dungarees: COLOUR_VALUES.blue,
  'straw hat': [0.83, 0.1, 88],
  hat: [0.45, 0.06, 55],
  "sou'wester": [0.8, 0.15, 92],
  'top hat': COLOUR_VALUES.black,
  beret: COLOUR_VALUES.red,
  crown: COLOUR_VALUES.gold,
  'flat cap': [0.45, 0.03, 70],
  satchel: [0.5, 0.085, 60],
  boots: [0.34, 0.05, 55],
  shoes: [0.32, 0.05, 45],
  trousers: [0.4, 0.05, 250],
};

/**
 * A person from the words that describe one. What the words leave open is chosen by the description itself, not by the
 * seed of the picture: the same words give the same person in every picture. `nth` tells several of one kind apart.
 */
export function personFrom(brief: PersonBrief, nth = 0): Person {
  const base = brief.cast && brief.cast !== 'Brom' ? CAST[brief.cast] : invented(brief, nth);
  return dressed(described(base, brief), brief, nth);
}

/** A named colour as eyes have it: never so light, nor so strong. */
export const eyeColour = ([L, C, h]: Lch): Lch => [Math.min(0.6, L), C * 0.75, h];

/** The traits that the words name. */
function described(base: Person, b: PersonBrief): Person {
  let p = base;
  const bare = new Set(b.bare);
  if (b.skin) p = { ...p, skin: SKINS[b.skin] };
  if (b.build === 'thin')
    p = {
      ...p,
      girth: p.girth * 0.8,
      shoulders: p.shoulders * 0.92,
      face: { ...p.face, width: p.face.width * 0.95, cheek: 0 },
    };
  if (b.build === 'round')
    p = {
      ...p,
      girth: p.girth * 1.34,
      shoulders: p.shoulders * 1.08,
      face: { ...p.face, width: p.face.width * 1.09, cheek: 1 },
    };
  if (b.size === 'tall' || b.size === 'big') p = { ...p, stature: p.stature * 1.12 };
  if (b.size === 'short' || b.size === 'small') p = { ...p, stature: p.stature * 0.86 };
  if (b.hair) {
    const named = b.hair.style && STYLES[b.hair.style];
    const usual =
      b.hair.length === 'long'
        ? b.sex === 'man'
          ? 'wavy'
          : 'long'
        : b.hair.length === 'short'
          ? b.sex === 'woman'
            ? 'bowl'
            : 'short'
          : undefined;
    const style = named || usual || (p.hair.style === 'bald' ? 'short' : p.hair.style);
    const c = b.hair.colour;
    const colour = c ? (HAIR_COLOURS[c.name] ?? c.lch) : p.hair.colour;
    p = {
      ...p,
      hair: { ...p.hair, style, colour },
      brow: { ...p.brow, colour: mixLch(colour, [0.25, 0.03, 50], 0.25) },
    };
  }
  if (b.beard)
    p = {
      ...p,
      beard: b.beard.colour
        ? (HAIR_COLOURS[b.beard.colour.name] ?? b.beard.colour.lch)
        : b.hair?.colour
          ? p.hair.colour
          : (p.beard ?? p.hair.colour),
    };
  if (b.moustache) p = { ...p, moustache: p.beard ?? p.hair.colour };
  if (b.freckles) p = { ...p, freckles: true };
  if (b.glasses) p = { ...p, glasses: p.glasses ?? [0.3, 0.05, 40] };
  if (b.earring) p = { ...p, earring: [0.8, 0.13, 85] };
  if (b.eyes) p = { ...p, eyes: { ...p.eyes, colour: eyeColour(b.eyes.lch) } };
  if (bare.has('beard')) p = { ...p, beard: undefined };
  if (bare.has('glasses')) p = { ...p, glasses: undefined };
  if (bare.has('satchel')) p = { ...p, satchel: undefined };
  if (HATS.some((h) => bare.has(h))) p = { ...p, hat: undefined };
  return p;
}

function dressed(base: Person, b: PersonBrief, nth: number): Person {
  const r = new Random(seedOf(b, nth) ^ 0x77);
  let p = base;
  if (b.clothes) {
    const colour = b.clothes.lch;
    p = {
      ...p,
      top: { ...p.top, colour, second: undefined, pattern: undefined },
      bottom: p.top.kind === 'dress' ? { ...p.bottom, colour } : p.bottom,
    };
  }
  for (const g of b.garments) p = wearing(p, g, () => r.pick(CLOTH));
  return p;
}

function wearing(p: Person, g: Garment, any: () => Lch): Person {
  const colour = g.colour?.lch ?? USUAL_COLOUR[g.kind] ?? any();
  const cloth = { colour, second: g.second?.lch, pattern: g.pattern };
  if (isOne(HATS, g.kind)) return { ...p, hat: { kind: g.kind as HatKind, colour } };
  if (isOne(OVERS, g.kind)) {
    const over = { ...cloth, kind: g.kind as OverKind };
    return g.kind === 'dungarees'
      ? {
          ...p,
          over,
          bottom: { kind: 'trousers', colour },
          top: p.top.kind === 'dress' ? { kind: 'shirt', colour: [0.88, 0.03, 80] } : p.top,
        }
      : { ...p, over };
  }
  if (TOP_WORDS[g.kind]) {
    const kind = TOP_WORDS[g.kind];
    const bottom: Person['bottom'] =
      kind === 'dress'
        ? { kind: 'skirt', ...cloth }
        : p.top.kind === 'dress' && kind !== 'coat'
          ? { kind: 'skirt', colour: p.bottom.colour }
          : p.bottom;
    return { ...p, top: { ...cloth, kind }, over: p.over?.kind === 'shawl' ? undefined : p.over, bottom };
  }
  switch (g.kind) {
    case 'skirt':
    case 'trousers':
    case 'shorts':
      return {
        ...p,
        bottom: { ...cloth, kind: g.kind },
        top: p.top.kind === 'dress' ? { ...p.top, kind: 'shirt' } : p.top,
      };
    case 'scarf':
      return { ...p, scarf: { ...cloth, pattern: g.pattern ?? 'stripes', second: g.second?.lch } };
    case 'boots':
    case 'shoes':
      return { ...p, feet: { kind: g.kind, colour } };
    case 'barefoot':
      return { ...p, feet: { kind: 'bare', colour: p.skin } };
    case 'satchel':
      return { ...p, satchel: colour };
    default:
      return p;
  }
}
