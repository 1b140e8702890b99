import { clamp, median, type Lab } from '@urbild/core';
import { colourGap } from './features';
import { besideOf, CELL_AREA, placeOf, type HeadField } from './headField';
import { headParts, type HeadParts } from './headParts';

/** Hair as it is found in a picture: what of the figure is neither face nor clothes nor ground. */
export interface HairSeen {
  /** 1 where a cell of the field is hair. */
  readonly mask: Uint8Array;
  /** What else the figure is made of. */
  readonly parts: HeadParts;
  /** Absent where there is too little of it. */
  readonly colour?: Lab;
  /** How far down it reaches beside the face: 0 the eyes, 1 the chin; absent without hair beside it. */
  readonly length?: number;
  /** Areas over the brow, beside the face, and below the chin, in squares of the distance from eyes to chin. */
  readonly above: number;
  readonly beside: number;
  readonly below: number;
  /** 0..1: how far it stands out from the skin. */
  readonly clear: number;
}

/** Half width, top and foot of a face without its hair, in distances from eyes to chin. */
const FACE = { half: 0.76, top: -0.68, foot: 1.02 } as const;
/** Where the skin shows, and the part of it that its usual gap covers. */
const CHEEKS = { half: 0.45, from: 0.15, to: 0.6, part: 0.8 } as const;
/** From here on a colour is another one than the skin's: as many times the skin's usual gap, but for so much, within bounds. */
const OTHER = { times: 1.5, more: 0.03, least: 0.045, most: 0.11 } as const;
/** Less hair than this tells no colour, in squares of the distance from eyes to chin. */
const LEAST = 0.06;

/** How far from the skin's colour the skin itself goes: flat colours end early, a face in strong light late. */
function skinEnds(field: HeadField, skin: Lab): number {
  const gaps = field.lab.flatMap((c, k) => {
    const [a, b] = placeOf(field, k);
    return Math.abs(a) < CHEEKS.half && b > CHEEKS.from && b < CHEEKS.to ? [colourGap(c, skin)] : [];
  });
  gaps.sort((p, q) => p - q);
  const usual = gaps[Math.floor(CHEEKS.part * gaps.length)];
  return clamp(OTHER.times * usual + OTHER.more, OTHER.least, OTHER.most);
}

const inFace = (a: number, b: number): boolean => {
  const middle = (FACE.top + FACE.foot) / 2;
  return Math.hypot(a / FACE.half, (b - middle) / ((FACE.foot - FACE.top) / 2)) < 1;
};
/** From here down hair shows below what is worn on the head. */
const HATLINE = -0.42;

/** Finds the hair of a head whose skin has a known colour; `covered` where a hat or a cap hides the crown. */
export function hairSeen(field: HeadField, skin: Lab, covered = false): HairSeen {
  const { lab, alpha } = field;
  const places = lab.map((_, k) => placeOf(field, k));
  const figure = (k: number) => alpha[k] > 0.5;
  const other = skinEnds(field, skin);
  const skinLike = (k: number) => colourGap(lab[k], skin) < other;
  const cells = (test: (a: number, b: number, k: number) => boolean) =>
    lab.flatMap((_, k) => (test(places[k][0], places[k][1], k) ? [k] : []));
  const seeds = cells((a, b, k) => {
    const over = !covered && b > -1.35 && b < -0.62 && Math.abs(a) < 0.7;
    const top = covered ? HATLINE : -0.8;
    const aside = Math.abs(a) > FACE.half && Math.abs(a) < 1.15 && b > top && b < 0.25;
    return (over || aside) && figure(k) && !inFace(a, b) && !skinLike(k);
  });
  const neverHair = (k: number) => (covered && places[k][1] < HATLINE) || (inFace(...places[k]) && places[k][1] > -0.3);
  const parts = headParts(field, { skin, hair: seeds, neverHair });
  const mask = new Uint8Array(lab.length);
  const open = seeds.filter((k) => parts.hair[k] > 0.5);
  for (const k of open) mask[k] = 1;
  while (open.length)
    for (const n of besideOf(field, open.pop()!))
      if (!mask[n] && parts.hair[n] > 0.5) {
        mask[n] = 1;
        open.push(n);
      }
  return { mask, parts, ...measured(field, mask, skin) };
}

/** Colour, length and areas of hair that was found. */
function measured(field: HeadField, mask: Uint8Array, skin: Lab): Omit<HairSeen, 'mask' | 'parts'> {
  const own: number[] = [];
  mask.forEach((is, k) => is && own.push(k));
  const area = (test: (a: number, b: number) => boolean) =>
    own.filter((k) => test(...placeOf(field, k))).length * CELL_AREA;
  const areas = {
    above: area((_, b) => b < -0.3),
    beside: area((a, b) => b >= -0.3 && b < 1 && Math.abs(a) > 0.5),
    below: area((_, b) => b >= 1),
  };
  if (own.length * CELL_AREA < LEAST) return { ...areas, clear: 0 };
  const colour = litColour(own.map((k) => field.lab[k]));
  const low = own.map((k) => placeOf(field, k)).flatMap(([a, b]) => (Math.abs(a) > 0.5 ? [b] : []));
  low.sort((p, q) => p - q);
  return {
    ...areas,
    colour,
    clear: Math.min(1, colourGap(colour, skin) / 0.25),
    ...(low.length > 8 ? { length: low[Math.floor(0.97 * (low.length - 1))] } : {}),
  };
}

/** The part of its colours, by lightness, that tells what hair is: what is lit, but for highlights. */
const LIT = [0.45, 0.85] as const;

/** The median of those colours that are lighter than most, but for the lightest: neither what is in shadow nor highlights. */
function litColour(colours: readonly Lab[]): Lab {
  const sorted = [...colours].sort((p, q) => p[0] - q[0]);
  const some = sorted.slice(Math.floor(LIT[0] * sorted.length), Math.max(1, Math.ceil(LIT[1] * sorted.length)));
  const axis = (k: 0 | 1 | 2) => median(some.map((c) => c[k]));
  return [axis(0), axis(1), axis(2)];
}
