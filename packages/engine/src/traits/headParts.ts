import { clamp, type Lab } from '@urbild/core';
import { besideOf, placeOf, type HeadField } from './headField';

/** What a cell of a figure around a head is. */
export type HeadPart = 'skin' | 'hair' | 'cloth';
const PARTS: readonly HeadPart[] = ['skin', 'hair', 'cloth'];

/** How likely each part is for every cell of a field, 0..1, all 0 where there is ground. */
export type HeadParts = Readonly<Record<HeadPart, Float32Array>>;

/** Times that colours and places are weighed against each other. */
const ROUNDS = 8;
/** Groups of colours that one part may have: what is lit, what is in shade. */
const GROUPS = 2;
/** How much neighbours agree: natural logarithm of the odds that all four of one part give. */
const AGREE = 4;
/** The least spread of a part's colours: of lightness, and of chroma against lightness; and the most of skin. */
const LEAST = [0.05, 0.022, 0.022] as const;
const MOST_OF_SKIN = [0.14, 0.05, 0.05] as const;
/** What is nearer to the hair than this is not what clothes begin with, where at least so many cells are left. */
const HAIRLIKE = 0.1;
const LEAST_CELLS = 30;
/** Clothes are of another colour than the hair where so much of what lies below is. */
const LEAST_OTHER = 0.35;
/** The density of what is none of the parts: eyes, lips, glasses. */
const OTHER = 0.4;

/** Colour as light leaves it: lightness, and a and b against lightness, which shade hardly changes. */
type Seen = readonly [number, number, number];
const seenOf = ([L, a, b]: Lab): Seen => [L, a / (L + 0.1), b / (L + 0.1)];

const rise = (x: number, at: number, over: number): number => 1 / (1 + Math.exp(-(x - at) / over));

/** How likely each part is at a place before any colour is seen; a and b in distances from eyes to chin. */
function expected(a: number, b: number): Record<HeadPart, number> {
  const aside = Math.abs(a);
  const face = Math.exp(-0.5 * ((aside / 0.55) ** 2 + ((b - 0.2) / 0.55) ** 2));
  const neck = 0.5 * rise(0.42, aside, 0.06) * rise(b, 0.95, 0.08) * rise(1.8, b, 0.15);
  const beside = rise(aside, 0.7, 0.07) * (0.8 * rise(2, b, 0.2) + 0.15 * rise(3.2, b, 0.15) * rise(1.5, aside, 0.1));
  return {
    skin: 0.04 + face + neck,
    hair: 0.04 + rise(-0.6, b, 0.09) + beside,
    cloth: 0.004 + 1.5 * rise(b, 1.75, 0.15),
  };
}

/** One group of colours: where they lie, how they spread, how many there are. */
interface Group {
  readonly mean: Seen;
  readonly spread: Seen;
  readonly part: number;
}

const density = ({ mean, spread, part }: Group, x: Seen): number => {
  let d = 0;
  for (let k = 0; k < 3; k++) d += ((x[k] - mean[k]) / spread[k]) ** 2;
  return d > 60 ? 0 : (part * Math.exp(-0.5 * d)) / (spread[0] * spread[1] * spread[2] * 15.75);
};

/** The groups of one part, from how much each cell belongs to it and to which group of before. */
function groupsOf(colours: readonly Seen[], belongs: Float32Array, before: readonly Group[], most?: Seen): Group[] {
  const sums = before.map(() => ({ n: 1e-6, mean: [0, 0, 0], square: [0, 0, 0] }));
  colours.forEach((x, i) => {
    if (belongs[i] < 0.02) return;
    const near = before.map((g) => density(g, x) + 1e-9);
    const all = near.reduce((s, v) => s + v, 0);
    sums.forEach((s, g) => {
      const w = (belongs[i] * near[g]) / all;
      s.n += w;
      for (let k = 0; k < 3; k++) {
        s.mean[k] += w * x[k];
        s.square[k] += w * x[k] * x[k];
      }
    });
  });
  const all = sums.reduce((s, g) => s + g.n, 0);
  return sums.map(({ n, mean, square }) => {
    const at = mean.map((v) => v / n);
    const spread = square.map((v, k) =>
      clamp(Math.sqrt(Math.max(0, v / n - at[k] * at[k])), LEAST[k], most ? most[k] : 0.3),
    );
    return { mean: at as unknown as Seen, spread: spread as unknown as Seen, part: n / all };
  });
}

/** Groups to begin with: the darker and the lighter half of some cells. */
function begin(colours: readonly Seen[]): Group[] {
  if (!colours.length) return [];
  const sorted = [...colours].sort((p, q) => p[0] - q[0]);
  return Array.from({ length: GROUPS }, (_, g) => {
    const own = sorted.slice(
      Math.floor((g * sorted.length) / GROUPS),
      Math.ceil(((g + 1) * sorted.length) / GROUPS) || 1,
    );
    const middle = (k: number) => own.map((x) => x[k]).sort((p, q) => p - q)[own.length >> 1];
    return { mean: [middle(0), middle(1), middle(2)], spread: [0.1, 0.06, 0.06], part: 1 / GROUPS };
  });
}

const likeAny = (groups: readonly Group[], x: Seen): boolean =>
  groups.some(({ mean }) => Math.hypot(x[0] - mean[0], x[1] - mean[1], x[2] - mean[2]) < HAIRLIKE);

/** What the skin and the hair of a head begin with. */
export interface PartSeeds {
  /** The colour of the skin as it is known so far. */
  readonly skin: Lab;
  /** Cells that are hair, most likely. */
  readonly hair: readonly number[];
  /** True for cells that cannot be hair, wherever it may be. */
  readonly neverHair: (k: number) => boolean;
}

/**
 * Tells skin, hair and clothes of a figure apart: where each is expected, what colours each turns out to have, and what the neighbours
 * are, weighed against each other a few times (expectation-maximisation of Gaussian mixtures, with the mean of the neighbours' odds for
 * their agreement).
 */
export function headParts(field: HeadField, { skin, hair, neverHair }: PartSeeds): HeadParts {
  const { lab, alpha, there } = field;
  const cells = [...alpha.keys()].filter((k) => there[k] && alpha[k] > 0.5);
  const index = new Int32Array(alpha.length).fill(-1);
  cells.forEach((k, i) => (index[k] = i));
  const colours = cells.map((k) => seenOf(lab[k]));
  const places = cells.map((k) => placeOf(field, k));
  const prior = places.map(([a, b]) => expected(a, b));
  const never = cells.map(neverHair);
  const odds = PARTS.map(() => new Float32Array(cells.length));
  const own = seenOf(skin);
  const below = colours.filter((_, i) => places[i][1] > 2);
  const ownHair = begin(hair.map((k) => seenOf(lab[k])));
  // hair hangs over clothes, not the other way round
  const clothes = below.filter((x) => !likeAny(ownHair, x));
  // where nearly all below is like the hair, the clothes are
  const others = clothes.length > Math.max(LEAST_CELLS, LEAST_OTHER * below.length);
  const models: Record<HeadPart, Group[]> = {
    skin: [{ mean: own, spread: [0.08, 0.035, 0.035], part: 1 }],
    hair: ownHair,
    cloth: begin(others ? clothes : below),
  };
  for (let round = 0; round < ROUNDS; round++) {
    const before = odds.map((o) => Float32Array.from(o));
    for (let i = 0; i < cells.length; i++) {
      const around = [0, 0, 0];
      if (round)
        for (const n of besideOf(field, cells[i]))
          if (index[n] >= 0) PARTS.forEach((_, p) => (around[p] += before[p][index[n]]));
      const values = PARTS.map((part, p) => {
        if (part === 'hair' && never[i]) return 0;
        const seen = models[part].reduce((s, g) => s + density(g, colours[i]), 0);
        return prior[i][part] * (seen + 1e-4) * Math.exp((AGREE / 4) * around[p]);
      });
      const all = values[0] + values[1] + values[2] + OTHER * 0.05;
      values.forEach((v, p) => (odds[p][i] = v / all));
    }
    models.skin = groupsOf(colours, odds[0], models.skin, MOST_OF_SKIN);
    if (models.hair.length) models.hair = groupsOf(colours, odds[1], models.hair);
    if (!models.cloth.length) continue;
    const worn = others ? odds[2].map((v, i) => (likeAny(models.hair, colours[i]) ? 0 : v)) : odds[2];
    models.cloth = groupsOf(colours, worn, models.cloth);
  }
  const out = PARTS.map(() => new Float32Array(alpha.length));
  cells.forEach((k, i) => PARTS.forEach((_, p) => (out[p][k] = odds[p][i])));
  return { skin: out[0], hair: out[1], cloth: out[2] };
}
