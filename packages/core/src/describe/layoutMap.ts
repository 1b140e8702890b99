import { labToLch } from '../colour/oklch';
import type { Lab } from '../colour/oklab';
import { CHROMA_GAIN, type Picture } from '../picture/picture';
import { levelOf } from '../picture/resample';
import { swatchesOf } from './palette';

/** What a flat colour of a plan may stand for; `somebody` is where the first figure is to be. */
export const AREA_KINDS = ['sky', 'water', 'ground', 'trees', 'hills', 'rock', 'building', 'somebody'] as const;
export type AreaKind = (typeof AREA_KINDS)[number];

/** A flat colour of a plan and what it stands for. */
export interface NamedArea {
  /** #rrggbb */
  readonly colour: string;
  readonly is: AreaKind;
}

/**
 * How a layout is drawn when it is not a picture of its arrangement but a map of it: flat areas that stand for kinds of places,
 * or a map of near and far in grey.
 */
export type LayoutMap =
  | { readonly read: 'areas'; readonly areas: readonly NamedArea[] }
  | { readonly read: 'distance'; readonly near: 'light' | 'dark' };

/** How many colours of a plan can be named. */
export const MAX_AREAS = 12;
/** Colours of a plan that are nearer than this to a swatch are drawn in it: OKLab. */
const NEAR = 0.06;

/** For each pixel, which of some colours lies nearest to it. */
export function nearestColours({ planes: [L, A, B] }: Picture, colours: readonly Lab[]): Uint8Array {
  const out = new Uint8Array(L.length);
  for (let i = 0; i < out.length; i++) {
    let least = Infinity;
    for (let k = 0; k < colours.length; k++) {
      const [l, a, b] = colours[k];
      const [dl, da, db] = [L[i] - l, A[i] / CHROMA_GAIN - a, B[i] / CHROMA_GAIN - b];
      const d = dl * dl + 2.5 * (da * da + db * db);
      if (d < least) {
        least = d;
        out[i] = k;
      }
    }
  }
  return out;
}

/** A colour of which a smaller part than this lies inside its area is an edge. */
const EDGE = 0.2;

/** The flat colours of a plan, largest first, what each most likely stands for, and how flat the picture is. */
export interface PlanColours {
  /** Part of the picture that lies in flat colours, 0..1; above about .9 it is a plan. */
  readonly flat: number;
  readonly colours: readonly { readonly lab: Lab; readonly part: number; readonly is: AreaKind }[];
}

/** Finds the flat colours of a picture and guesses from colour and height what they stand for. */
export function planColours(picture: Picture): PlanColours {
  const small = levelOf(picture, 96);
  const swatches = swatchesOf(small, 8).filter((s) => s.weight > 0.004);
  const labs = swatches.map((s) => s.lab);
  const nearest = nearestColours(small, labs);
  const { width: w, height: h, planes } = small;
  const seen = labs.map(() => ({ heights: 0, count: 0, inside: 0 }));
  let flat = 0;
  for (let i = 0; i < nearest.length; i++) {
    const k = nearest[i];
    seen[k].heights += Math.floor(i / w) / h;
    seen[k].count++;
    if ([i - 1, i + 1, i - w, i + w].every((j) => nearest[j] === undefined || nearest[j] === k)) seen[k].inside++;
    const [l, a, b] = labs[k];
    const [dl, da, db] = [planes[0][i] - l, planes[1][i] / CHROMA_GAIN - a, planes[2][i] / CHROMA_GAIN - b];
    if (dl * dl + da * da + db * db < NEAR * NEAR) flat++;
  }
  return {
    flat: flat / nearest.length,
    colours: swatches.flatMap(({ lab, weight }, k) => {
      const { heights, count, inside } = seen[k];
      // the soft edge between two areas is no area
      if (inside < EDGE * count || !count) return [];
      return [{ lab, part: weight, is: guess(lab, heights / count, weight) }];
    }),
  };
}

/** Hues of OKLCH, degrees. */
const WARM: readonly [number, number] = [-30, 62];
const YELLOW: readonly [number, number] = [62, 105];
const GREEN: readonly [number, number] = [105, 185];
const BLUE: readonly [number, number] = [185, 285];

/** What a flat colour stands for by custom: blue above is sky and below water, green is trees, ochre ground. `y` 0 top .. 1 foot. */
function guess(lab: Lab, y: number, part: number): AreaKind {
  const [L, C, h] = labToLch(lab);
  const hue = ((h + 750) % 360) - 30;
  const within = ([from, to]: readonly [number, number]) => hue >= from && hue < to;
  if (C < 0.035) {
    if (L < 0.35 && part < 0.15) return 'somebody';
    return L > 0.78 && y < 0.5 ? 'sky' : L > 0.78 ? 'ground' : 'rock';
  }
  if (within(BLUE)) return y < 0.45 ? 'sky' : 'water';
  if (within(GREEN)) return L > 0.72 && y > 0.5 ? 'ground' : 'trees';
  if (within(YELLOW)) return y < 0.3 ? 'sky' : 'ground';
  if (within(WARM)) return part < 0.05 ? 'somebody' : 'building';
  return 'hills';
}
