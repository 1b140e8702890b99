import { dilatePlane, erodePlane } from '../picture/filter';
import { CHROMA_GAIN, type Picture } from '../picture/picture';
import { resamplePlane, levelOf } from '../picture/resample';

/** What was found of a plain background. */
export interface PlainBackground {
  /** 1 per pixel of the background, else 0. */
  readonly mask: Uint8Array;
  readonly width: number;
  readonly height: number;
  /** Part of the picture that is background, 0..1. */
  readonly share: number;
  /** Part of all pixels that lie on an edge, 0..1: high in a picture full of small things. */
  readonly edges: number;
  /** Part of the border that the background covers, 0..1. */
  readonly border: number;
  /** How far its pixels lie from their mean colour: root mean square distance in OKLab. */
  readonly spread: number;
}

const EDGE = 0.06;
const STEP = 0.035;

const CHROMA = 4 / CHROMA_GAIN ** 2;

function differ(planes: Picture['planes'], i: number, j: number): number {
  const l = planes[0][i] - planes[0][j];
  const a = planes[1][i] - planes[1][j];
  const b = planes[2][i] - planes[2][j];
  return Math.sqrt(l * l + CHROMA * (a * a + b * b));
}

/**
 * Finds a plain background by flooding inwards from the border through pixels that hardly differ from their neighbours
 * (in OKLab). Read at 160 px.
 */
export function findPlainBackground(picture: Picture): PlainBackground {
  let found = kept.get(picture);
  if (!found) kept.set(picture, (found = flood(picture)));
  return found;
}

const kept = new WeakMap<Picture, PlainBackground>();

function flood(picture: Picture): PlainBackground {
  const small = levelOf(picture, 160);
  const { width: w, height: h, planes } = small;
  const n = w * h;
  const onEdge = new Uint8Array(n);
  let edges = 0;
  for (let y = 0; y < h - 1; y++)
    for (let x = 0; x < w - 1; x++) {
      const i = y * w + x;
      if (differ(planes, i, i + 1) > EDGE || differ(planes, i, i + w) > EDGE) {
        onEdge[i] = 1;
        edges++;
      }
    }
  const mask = new Uint8Array(n);
  const open = new Int32Array(n);
  let waiting = 0;
  let borderLength = 0;
  const enter = (i: number) => {
    mask[i] = 1;
    open[waiting++] = i;
  };
  const start = (i: number) => {
    borderLength++;
    if (!onEdge[i] && !mask[i]) enter(i);
  };
  for (let x = 0; x < w; x++) {
    start(x);
    start((h - 1) * w + x);
  }
  for (let y = 1; y < h - 1; y++) {
    start(y * w);
    start(y * w + w - 1);
  }
  const spread = (i: number, j: number) => {
    if (!mask[j] && !onEdge[j] && differ(planes, i, j) < STEP) enter(j);
  };
  while (waiting) {
    const i = open[--waiting];
    const x = i % w;
    if (x > 0) spread(i, i - 1);
    if (x < w - 1) spread(i, i + 1);
    if (i >= w) spread(i, i - w);
    if (i + w < n) spread(i, i + w);
  }
  let covered = 0;
  let border = 0;
  for (let i = 0; i < n; i++) {
    covered += mask[i];
    const x = i % w;
    if (mask[i] && (x === 0 || x === w - 1 || i < w || i >= n - w)) border++;
  }
  return {
    mask,
    width: w,
    height: h,
    share: covered / n,
    edges: edges / n,
    border: border / borderLength,
    spread: covered ? spreadOf(planes, mask, covered) : 0,
  };
}

function spreadOf(planes: Picture['planes'], mask: Uint8Array, covered: number): number {
  let squares = 0;
  planes.forEach((plane, c) => {
    const gain = c ? CHROMA_GAIN : 1;
    let sum = 0;
    let sum2 = 0;
    for (let i = 0; i < mask.length; i++)
      if (mask[i]) {
        const v = plane[i] / gain;
        sum += v;
        sum2 += v * v;
      }
    squares += Math.max(0, sum2 / covered - (sum / covered) ** 2);
  });
  return Math.sqrt(squares);
}

/** A background is plain when it covers this part of a picture that has few edges, and is of about one colour. */
export const isPlain = (b: PlainBackground): boolean =>
  b.share > 0.45 && b.edges < 0.09 && b.border > 0.6 && b.spread < 0.065;

/**
 * The alpha (0..1, one a pixel of `width` x `height`) that cuts the subject out of its plain background, with an edge about
 * two pixels soft; 1 everywhere when nothing would be left.
 */
export function cutOutAlpha(background: PlainBackground, width: number, height: number): Float32Array {
  const { mask, width: w, height: h } = background;
  const subject = Float32Array.from(mask, (v) => 1 - v);
  if (!subject.some((v) => v > 0)) return new Float32Array(width * height).fill(1);
  // small holes close; the rim that belongs to the background's edge goes
  const closed = erodePlane(dilatePlane(subject, w, h, 1), w, h, 2);
  const alpha = resamplePlane(closed, w, h, width, height);
  for (let i = 0; i < alpha.length; i++) alpha[i] = Math.min(1, Math.max(0, (alpha[i] - 0.25) * 2));
  return alpha;
}
