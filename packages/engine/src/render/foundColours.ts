import {
  CHROMA_GAIN,
  clamp,
  COLOUR_VALUES,
  colourDistance,
  lchToLab,
  resampleToLongSide,
  type Claim,
  type Lab,
  type Picture,
  type SceneBrief,
} from '@urbild/core';
import { HAIR_COLOURS } from '../painter/people/invented';
import { SAME_COLOUR } from '../painter/witness/scene';
import type { SceneSeen } from '../painter/scene/seen';
import { SIDE, smallMap } from './smallMap';

/** Axes whose words name a colour of somebody or something. */
const COLOURS: ReadonlySet<string> = new Set(['colour', 'hair colour']);
/** The fewest pixels of the small picture that tell a colour. */
const LEAST_PIXELS = 8;
/** What is less colourful is white, grey or black, OKLab chroma. */
const COLOURFUL = 0.035;
/** So much of its colourfulness a colour may lose and be called the same; turned by less than the first angle it is, by the second it is another. */
const ENOUGH = 0.7;
const TURN = { same: Math.cos((25 * Math.PI) / 180), other: Math.cos((70 * Math.PI) / 180) } as const;
/** So much darker, white is not white any more, and so much lighter, black is not black, OKLab L; so colourful neither is. */
const SHADE = 0.4;
const TINT = 0.1;

/** A colour that the words name, where it was painted: pixels of the small picture, and their mean in it, OKLab. */
export interface ColourLook {
  readonly claim: Claim;
  readonly pixels: readonly number[];
  readonly was: Lab;
}

/** Where the colours that the words name are in the picture as it was painted; those that cannot be seen there are left out. */
export function colourLooks(brief: SceneBrief, seen: SceneSeen, painted: Picture): ColourLook[] {
  const named = brief.claims.filter(({ axis, entity }) => COLOURS.has(axis) && entity !== undefined);
  if (!named.length) return [];
  const small = resampleToLongSide(painted, SIDE);
  const { codes } = smallMap(seen, small.width, small.height);
  return named.flatMap((claim) => {
    const pixels = pixelsOf(claim, { seen, small, codes });
    const was = pixels.length < LEAST_PIXELS ? undefined : meanOver(pixels, small);
    return was ? [{ claim, pixels, was }] : [];
  });
}

/** How much of its name a colour still has in a finished picture, 0..1, for each look. */
export function coloursFound(looks: readonly ColourLook[], finished: Picture): number[] {
  if (!looks.length) return [];
  const small = resampleToLongSide(finished, SIDE);
  return looks.map(({ pixels, was }) => colourKept(was, meanOver(pixels, small)));
}

/** How much a colour is still called by its name, 0..1: the same hue, and colourful; or, of white and black, as light or as dark. */
export function colourKept(was: Lab, now: Lab): number {
  const [chroma, then] = [Math.hypot(was[1], was[2]), Math.hypot(now[1], now[2])];
  if (chroma < COLOURFUL) {
    const off = was[0] > 0.7 ? was[0] - now[0] : was[0] < 0.4 ? now[0] - was[0] : Math.abs(was[0] - now[0]);
    return clamp(1 - Math.max(0, off) / SHADE) * clamp(1 - Math.max(0, then - chroma - 0.02) / TINT);
  }
  const along = (was[1] * now[1] + was[2] * now[2]) / chroma;
  const cosine = then ? along / then : 0;
  return clamp(along / (ENOUGH * chroma)) * clamp((cosine - TURN.other) / (TURN.same - TURN.other));
}

/** The pixels of what a claim is about that are painted most like its colour: as many as were put down in it. */
function pixelsOf(
  { axis, value, entity }: Claim,
  { seen, small, codes }: { seen: SceneSeen; small: Picture; codes: Uint8Array },
): number[] {
  const wanted = axis === 'hair colour' ? (HAIR_COLOURS[value] ?? COLOUR_VALUES[value]) : COLOUR_VALUES[value];
  const items = seen.items.filter((item) => item.entity === entity);
  if (!wanted || !items.length) return [];
  const put = items.flatMap(({ colours }) =>
    colours.filter(({ lch, depth }) =>
      [wanted, seen.grade(wanted, depth, seen.light.figureKeep)].some((w) => colourDistance(lch, w) < SAME_COLOUR),
    ),
  );
  const all = put.reduce((sum, { pixels }) => sum + pixels, 0);
  if (!all) return [];
  const mean = [0, 1, 2].map((c) => put.reduce((s, p) => s + lchToLab(p.lch)[c] * p.pixels, 0) / all);
  const own = new Set(items.flatMap((item) => item.codes));
  const off: [pixel: number, distance: number][] = [];
  codes.forEach((code, i) => {
    if (own.has(code)) off.push([i, Math.hypot(...labAt(small, i).map((v, c) => v - mean[c]))]);
  });
  const count = Math.floor((0.8 * all * codes.length) / (seen.width * seen.height));
  return off
    .sort((a, b) => a[1] - b[1])
    .slice(0, count)
    .map(([i]) => i);
}

const labAt = ({ planes }: Picture, i: number): Lab => [
  planes[0][i],
  planes[1][i] / CHROMA_GAIN,
  planes[2][i] / CHROMA_GAIN,
];

function meanOver(pixels: readonly number[], picture: Picture): Lab {
  const sum: [number, number, number] = [0, 0, 0];
  for (const i of pixels) labAt(picture, i).forEach((v, c) => (sum[c] += v / pixels.length));
  return sum;
}
