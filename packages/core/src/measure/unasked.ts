import { connected } from '../mask/connected';
import type { Box } from '../mask/salience';
import { blurPlane } from '../picture/filter';
import { levelOf, resamplePlane } from '../picture/resample';
import { CHROMA_GAIN, type Picture } from '../picture/picture';

/** What may be in a picture though nobody asked for it, and what may be wrong with it. */
export const UNASKED_KINDS = ['white-sky', 'piece', 'splashes', 'burnt', 'missing', 'cropped'] as const;
export type UnaskedKind = (typeof UNASKED_KINDS)[number];

/** Something that nobody asked for, and where it is. */
export interface Unasked {
  readonly kind: UnaskedKind;
  /** In parts of the picture. */
  readonly box: Box;
  /** Who it is about, as the words call them. */
  readonly who?: string;
}

/** What a take is looked at with. */
export interface UnaskedInput {
  readonly take: Picture;
  /** The same words, seed and shape without any reference; one of another shape tells nothing. Small sizes are kept with both. */
  readonly control: Picture;
  /** 1 where the stage has sky, at the size of the take. */
  readonly sky: Float32Array;
}

const SIDE = 160;
/** Sky of less than this part of the picture is not judged. */
const LEAST_SKY = 0.06;
/** A white sky: this light, with less colour than this, over this part of it. OKLab. */
const WHITE = { lightness: 0.9, chroma: 0.035, part: 0.7 };
/** A piece: so much farther from the sky around it than anything of the control, over this part of the picture. OKLab. */
const PIECE = { contrast: 0.075, area: 0.006 };
/** Splashes: specks this much off what is around them, so many, and so many times as many as in the control. */
const SPLASH = { contrast: 0.16, count: 14, times: 4 };
/** Burnt: this part of the picture more than in the control lies in pure white or black. */
const BURNT = { part: 0.06, light: 0.985, dark: 0.06 };

/**
 * Marks what a take shows that its words alone - its control - do not: a sky without colour, pieces of a reference in the sky,
 * specks, burnt parts. Only the sky is searched for pieces: elsewhere structure may be what was asked for.
 */
export function unaskedIn({ take, control, sky }: UnaskedInput): Unasked[] {
  const a = levelOf(take, SIDE);
  const b = levelOf(control, SIDE);
  const { width: w, height: h } = a;
  if (b.width !== w || b.height !== h) return [];
  const mask = resamplePlane(sky, take.width, take.height, w, h).map((v) => (v > 0.9 ? 1 : 0));
  const area = mask.reduce((s, v) => s + v, 0) / mask.length;
  const out: Unasked[] = [];
  if (area >= LEAST_SKY) {
    const white = (planes: readonly Float32Array[]) =>
      mask.reduce((s, m, i) => s + (m && isWhite(planes, i) ? 1 : 0), 0) / (area * mask.length);
    if (white(a.planes) > WHITE.part && white(b.planes) < WHITE.part / 2)
      out.push({ kind: 'white-sky', box: boxOf(mask, w, h) });
    for (const box of piecesIn(a.planes, b.planes, mask, w, h)) out.push({ kind: 'piece', box });
  }
  const splashes = specksIn(take);
  if (splashes.count >= SPLASH.count && splashes.count > SPLASH.times * (1 + specksIn(control).count))
    out.push({ kind: 'splashes', box: splashes.box });
  const burnt = burntIn(a.planes[0]);
  if (burnt.part > BURNT.part + burntIn(b.planes[0]).part) out.push({ kind: 'burnt', box: boxOf(burnt.mask, w, h) });
  return out;
}

const isWhite = ([L, a, b]: readonly Float32Array[], i: number): boolean =>
  L[i] > WHITE.lightness && Math.hypot(a[i], b[i]) / CHROMA_GAIN < WHITE.chroma;

/** The sky of a picture: 1 where it is, how much of it is near, and the same without its edge. */
interface Sky {
  readonly mask: Float32Array;
  readonly weight: Float32Array;
  readonly inner: Float32Array;
  readonly width: number;
  readonly height: number;
}

/** How far apart a piece of sky and the sky around it are looked at, px. */
const AROUND = 14;

/** How far every pixel of the inner sky is from the sky around it, after softening: what is no grain and no gradient. OKLab. */
function standsOut(planes: readonly Float32Array[], { mask, weight, inner, width: w, height: h }: Sky): Float32Array {
  const out = new Float32Array(mask.length);
  const masked = new Float32Array(mask.length);
  for (let c = 0; c < planes.length; c++) {
    const plane = planes[c];
    const gain = c ? 1 / CHROMA_GAIN : 1;
    const near = blurPlane(plane, w, h, 1.5);
    for (let i = 0; i < masked.length; i++) masked[i] = plane[i] * mask[i];
    const around = blurPlane(masked, w, h, AROUND);
    for (let i = 0; i < out.length; i++)
      if (inner[i]) out[i] += (gain * (near[i] - around[i] / Math.max(1e-3, weight[i]))) ** 2;
  }
  for (let i = 0; i < out.length; i++) out[i] = Math.sqrt(out[i]);
  return out;
}

/** The largest of some numbers of at least 0. */
function largest(values: Float32Array): number {
  let most = 0;
  for (let i = 0; i < values.length; i++) if (values[i] > most) most = values[i];
  return most;
}

/** Connected parts of the sky that stand out more than anything of the control does near there. */
function piecesIn(
  take: readonly Float32Array[],
  control: readonly Float32Array[],
  mask: Float32Array,
  w: number,
  h: number,
): Box[] {
  // the edge of the sky belongs to what stands before it
  const inner = blurPlane(mask, w, h, 2).map((v, i) => (mask[i] && v > 0.97 ? 1 : 0));
  const sky = { mask, inner, weight: blurPlane(mask, w, h, AROUND), width: w, height: h };
  const here = standsOut(take, sky);
  if (largest(here) <= PIECE.contrast) return [];
  const limit = Math.max(PIECE.contrast, 1.25 * largest(standsOut(control, sky)));
  const marked = Uint8Array.from(here, (v) => (v > limit ? 1 : 0));
  return connectedBoxes(marked, w, h, PIECE.area * w * h);
}

/** Boxes of connected marked areas of at least a size in px, in parts of the picture. */
function connectedBoxes(marked: Uint8Array, w: number, h: number, least: number): Box[] {
  const { part, areas } = connected(marked, w, h, 0);
  const wanted = new Set(areas.flatMap((area, k) => (area >= least ? [k] : [])));
  const boxes = new Map<number, Box>();
  if (!wanted.size) return [];
  part.forEach((k, i) => {
    if (!wanted.has(k)) return;
    const [x, y] = [(i % w) / w, Math.floor(i / w) / h];
    const b = boxes.get(k) ?? NOWHERE;
    boxes.set(k, around(b, { left: x, top: y, right: x + 1 / w, bottom: y + 1 / h }));
  });
  return [...boxes.values()];
}

/** The box around two boxes. */
const around = (a: Box, b: Box): Box => ({
  left: Math.min(a.left, b.left),
  top: Math.min(a.top, b.top),
  right: Math.max(a.right, b.right),
  bottom: Math.max(a.bottom, b.bottom),
});
const NOWHERE: Box = { left: 1, top: 1, right: 0, bottom: 0 };

/** The box around everything that is marked, in parts of the picture. */
const boxOf = (marked: ArrayLike<number>, w: number, h: number): Box =>
  connectedBoxes(Uint8Array.from(marked), w, h, 1).reduce(around, NOWHERE);

/** Small specks that stand out of even surroundings, and the box around them. */
function specksIn(picture: Picture): { count: number; box: Box } {
  const { width: w, height: h, planes } = levelOf(picture, 2 * SIDE);
  const L = planes[0];
  const soft = blurPlane(L, w, h, 3);
  const off = new Float32Array(L.length);
  for (let i = 0; i < off.length; i++) off[i] = Math.abs(L[i] - soft[i]);
  const uneven = blurPlane(off, w, h, 6);
  const marked = new Uint8Array(L.length);
  for (let i = 0; i < L.length; i++) if (off[i] > SPLASH.contrast && uneven[i] < 0.03) marked[i] = 1;
  const boxes = connectedBoxes(marked, w, h, 2).filter((b) => (b.right - b.left) * w < 8 && (b.bottom - b.top) * h < 8);
  const all = boxes.reduce(around, NOWHERE);
  return { count: boxes.length, box: all };
}

/** The part of a picture without any drawing left in its lights or darks. */
function burntIn(L: Float32Array): { part: number; mask: Float32Array } {
  const mask = L.map((v) => (v > BURNT.light || v < BURNT.dark ? 1 : 0));
  return { part: mask.reduce((s, v) => s + v, 0) / mask.length, mask };
}
