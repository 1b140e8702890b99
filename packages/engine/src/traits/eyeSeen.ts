import { CHROMA_GAIN, type Lab, type Picture } from '@urbild/core';
import { colourGap } from './features';

/** A point of a face mesh, parts of width and height. */
type Place = readonly [x: number, y: number];

/** Points of the mesh of each eye: its corners, the middle of its lids, and its iris (the middle, then four of its rim). */
const EYES = [
  { corners: [33, 133], lids: [159, 145], iris: [473, 474, 475, 476, 477] },
  { corners: [362, 263], lids: [386, 374], iris: [468, 469, 470, 471, 472] },
] as const;
/** The iris against the width of the eye, where the mesh has none. */
const USUAL_RADIUS = 0.21;
/** The middle of an iris is looked for this far around, in radii: the darkest disc. */
const SHIFT = 0.6;
/** Its rim is looked for from the first of these radii to the second: where it grows lighter most (Daugman 1993). */
const RIM = { from: 0.5, to: 1.4, step: 0.05, over: 0.12 } as const;
/** A rim is one of those that grow so much lighter as the strongest. */
const STRONG = 0.6;
/** The part of the radius that is neither pupil nor rim. */
const RING = [0.45, 0.85] as const;
/** Only what lies to the left and right is looked at, tangent: above and below are lids and lashes. */
const ASIDE = 0.9;
/** Lids that are nearer than so many radii are closed. */
const OPEN = 0.5;
/** What is so near to the skin is lid; what is so much lighter than the iris as a whole is white or a light in it. */
const LID = 0.05;
const LIGHT = 0.14;
/** A drawn iris is looked for out to so many radii; it is where the lightness changes less than this per px. */
const WIDE = 1.7;
const EVEN = 0.02;
/** So many even pixels tell it, of an eye whose white and pupil differ so much, and this part of what is no white. */
const LEAST = 30;
const CONTRAST = 0.35;
const PART = 0.25;
/** An iris of fewer px than the first tells nothing, one of the second all, radius. */
const SIZE = [1.6, 5] as const;

/** The eyes of a face: their colour, and how large they are in the picture. */
export interface EyeSeen {
  readonly colour: Lab;
  /** 0 hardly told .. 1. */
  readonly clear: number;
}

/** A place of a picture in px, and a length. */
interface Disc {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

/** The pixels of a ring between two radii to the left and right of its middle; of the whole disc where `all` is asked for. */
function* pixelsOf({ width, height }: Picture, { x, y, r }: Disc, from: number, all = false): Generator<number> {
  for (let py = Math.max(0, Math.floor(y - r)); py <= Math.min(height - 1, Math.ceil(y + r)); py++)
    for (let px = Math.max(0, Math.floor(x - r)); px <= Math.min(width - 1, Math.ceil(x + r)); px++) {
      const [dx, dy] = [px + 0.5 - x, py + 0.5 - y];
      const d = Math.hypot(dx, dy);
      if (d <= r && d >= from && (all || Math.abs(dy) <= ASIDE * Math.abs(dx))) yield py * width + px;
    }
}

const middleOf = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1];

function meanLightness(picture: Picture, disc: Disc, from: number, all = false): number | undefined {
  let [sum, n] = [0, 0];
  for (const i of pixelsOf(picture, disc, from, all)) {
    sum += picture.planes[0][i];
    n++;
  }
  return n ? sum / n : undefined;
}

/** Where the mesh puts an iris, px; undefined where it is too small, or the eye is closed. */
function expectedIris(
  { width, height }: Picture,
  mesh: readonly Place[],
  eye: (typeof EYES)[number],
): Disc | undefined {
  const at = (k: number): Place => [mesh[k][0] * width, mesh[k][1] * height];
  const [p, q] = eye.corners.map(at);
  const span = Math.hypot(p[0] - q[0], p[1] - q[1]);
  const hasIris = mesh.length >= 478;
  const [x, y] = hasIris ? at(eye.iris[0]) : [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
  const rim = hasIris ? eye.iris.slice(1).map((k) => Math.hypot(at(k)[0] - x, at(k)[1] - y)) : [];
  const r = Math.min(rim.length ? middleOf(rim) : Infinity, USUAL_RADIUS * span * 1.3);
  const [upper, lower] = eye.lids.map(at);
  const isOpen = Math.hypot(upper[0] - lower[0], upper[1] - lower[1]) > OPEN * r;
  return isOpen && r > SIZE[0] ? { x, y, r } : undefined;
}

/** Where an iris really is: the darkest disc near the expected one, out to where it grows lighter most. */
function foundIris(picture: Picture, { x: x0, y: y0, r }: Disc): Disc {
  let best = { x: x0, y: y0, L: Infinity };
  for (let dy = -SHIFT; dy <= SHIFT; dy += SHIFT / 2)
    for (let dx = -SHIFT; dx <= SHIFT; dx += SHIFT / 2) {
      const [x, y] = [x0 + dx * r, y0 + dy * r];
      // as dark as the middle is better than a little darker elsewhere
      const L = (meanLightness(picture, { x, y, r: 0.7 * r }, 0, true) ?? Infinity) + 0.03 * Math.hypot(dx, dy);
      if (L < best.L) best = { x, y, L };
    }
  const rises: { readonly r: number; readonly rise: number }[] = [];
  for (let k: number = RIM.from; k <= RIM.to; k += RIM.step) {
    const within = meanLightness(picture, { ...best, r: k * r }, (k - RIM.over) * r);
    const beyond = meanLightness(picture, { ...best, r: (k + RIM.over) * r }, k * r);
    if (within !== undefined && beyond !== undefined) rises.push({ r: k * r, rise: beyond - within });
  }
  const most = Math.max(...rises.map(({ rise }) => rise));
  // the pupil has a rim too: the outermost counts
  const rim = rises.filter(({ rise }) => rise >= STRONG * most).at(-1);
  return { x: best.x, y: best.y, r: rim?.r ?? r };
}

const labAt = ({ planes }: Picture, i: number): Lab => [
  planes[0][i],
  planes[1][i] / CHROMA_GAIN,
  planes[2][i] / CHROMA_GAIN,
];

/** How steeply the lightness of a picture changes at a pixel. */
function slopeAt({ width, height, planes: [L] }: Picture, i: number): number {
  const [x, y] = [i % width, Math.floor(i / width)];
  if (x < 1 || y < 1 || x >= width - 1 || y >= height - 1) return Infinity;
  return Math.hypot(L[i + 1] - L[i - 1], L[i + width] - L[i - width]) / 2;
}

/**
 * The colours of a drawn iris around a large pupil: even areas beside the dark middle that are neither as dark nor white. Empty where there is no
 * such area, as in an eye without a pupil, or one so small that all of it is blurred.
 */
function aroundPupil(picture: Picture, { x, y, r }: Disc, skin: Lab): Lab[] {
  const even = [...pixelsOf(picture, { x, y, r: WIDE * r }, 0)].filter((i) => slopeAt(picture, i) < EVEN);
  const seen = even.map((i) => labAt(picture, i)).filter((lab) => colourGap(lab, skin) > LID);
  if (seen.length < LEAST) return [];
  const lightness = seen.map(([L]) => L).sort((p, q) => p - q);
  const [dark, white] = [
    lightness[Math.floor(0.05 * lightness.length)],
    lightness[Math.floor(0.95 * lightness.length)],
  ];
  if (white - dark < CONTRAST) return [];
  const between = seen.filter(([L]) => L > dark + 0.25 * (white - dark) && L < white - 0.2 * (white - dark));
  const darks = seen.filter(([L]) => L <= dark + 0.25 * (white - dark));
  return between.length >= PART * (between.length + darks.length) ? between : [];
}

/** The colours of one iris, without pupil, rim, lids, white and the light in it. */
function irisColours(picture: Picture, expected: Disc, skin: Lab): Lab[] {
  const iris = foundIris(picture, expected);
  const drawn = aroundPupil(picture, { ...iris, r: expected.r }, skin);
  if (drawn.length) return drawn;
  const seen: Lab[] = [];
  for (const i of pixelsOf(picture, { ...iris, r: RING[1] * iris.r }, RING[0] * iris.r)) {
    const lab = labAt(picture, i);
    if (colourGap(lab, skin) > LID) seen.push(lab);
  }
  if (!seen.length) return [];
  const usual = middleOf(seen.map(([L]) => L));
  return seen.filter(([L]) => L < usual + LIGHT);
}

/** The colour of the irises of a face; undefined where they are too small or hidden. */
export function eyeSeen(picture: Picture, mesh: readonly Place[], skin: Lab): EyeSeen | undefined {
  if (mesh.length < 468) return undefined;
  const irises = EYES.flatMap((eye) => {
    const expected = expectedIris(picture, mesh, eye);
    return expected ? [expected] : [];
  });
  const colours = irises.flatMap((iris) => irisColours(picture, iris, skin));
  if (colours.length < 6) return undefined;
  const radius = Math.max(...irises.map(({ r }) => r));
  const colour = [0, 1, 2].map((k) => middleOf(colours.map((c) => c[k]))) as unknown as Lab;
  return { colour, clear: Math.min(1, Math.max(0, (radius - SIZE[0]) / (SIZE[1] - SIZE[0]))) };
}
