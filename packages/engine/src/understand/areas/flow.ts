import { blurPlane, clamp, labToLch, lerp, Random, type Lch, type SeenKind } from '@urbild/core';
import type { SeenPicture } from '../readPicture';

/** A stroke that follows the forms of an area; path and width are parts of the picture's width and height, 0..1. */
export interface FlowStroke {
  readonly path: readonly (readonly [number, number])[];
  readonly width: number;
  readonly colour: Lch;
}

/** Length and width of strokes by what they draw, px of the size that pictures are read at, and the direction where nothing leads, radians. */
const STROKES: Readonly<Record<SeenKind, { length: number; width: number; lies: number }>> = {
  sky: { length: 46, width: 7, lies: 0 },
  water: { length: 34, width: 3.5, lies: 0 },
  ground: { length: 20, width: 5, lies: 0 },
  plants: { length: 9, width: 5, lies: -1.1 },
  building: { length: 16, width: 4, lies: Math.PI / 2 },
  rock: { length: 14, width: 4, lies: 0.8 },
  person: { length: 12, width: 3, lies: Math.PI / 2 },
  thing: { length: 14, width: 4, lies: 0.6 },
  'sun or moon': { length: 10, width: 4, lies: 0 },
  nothing: { length: 0, width: 0, lies: 0 },
};
/** How much of an area's local colour its strokes take, from loosely to closely drawn; sky and water nearly all. */
const LOCAL = { loose: 0.45, close: 0.92, soft: 0.95 } as const;
/** Strokes are this much larger where a picture is followed loosely. */
const SIZE = { loose: 1.25, close: 0.6 } as const;
const MOST = 900;
const SMALLEST = 150;
/** A step along a stroke, px. */
const STEP = 3;

/** The direction along the edges around every pixel, and how clear it is, 0..1 (smoothed structure tensor, Bigun and Granlund 1987). */
function flowOf(L: Float32Array, w: number, h: number, sigma: number): { angle: Float32Array; clear: Float32Array } {
  const [xx, xy, yy] = [new Float32Array(w * h), new Float32Array(w * h), new Float32Array(w * h)];
  for (let y = 1; y < h - 1; y++)
    for (let x = 1; x < w - 1; x++) {
      const i = y * w + x;
      const [gx, gy] = [(L[i + 1] - L[i - 1]) / 2, (L[i + w] - L[i - w]) / 2];
      xx[i] = gx * gx;
      xy[i] = gx * gy;
      yy[i] = gy * gy;
    }
  const [a, b, c] = [xx, xy, yy].map((p) => blurPlane(p, w, h, sigma));
  return {
    angle: a.map((v, i) => 0.5 * Math.atan2(2 * b[i], v - c[i]) + Math.PI / 2),
    clear: a.map((v, i) => Math.hypot(v - c[i], 2 * b[i]) / (v + c[i] + 0.05)),
  };
}

/** Strokes for every area of a picture; `near` 0 loosely .. 1 closely. Pictures of lines and plain grounds have none. */
export function flowStrokes(seen: SeenPicture, near: number): ReadonlyMap<number, readonly FlowStroke[]> {
  const { width: w, height: h, planes, forms, kinds, labels, drawnBy } = seen;
  const out = new Map<number, readonly FlowStroke[]>();
  if (drawnBy === 'lines' || drawnBy === 'flat' || drawnBy === 'solids') return out;
  const { angle, clear } = flowOf(planes[0], w, h, 4);
  const pixels = pixelsOf(labels.of, forms.length);
  const size = lerp(SIZE.loose, SIZE.close, near);
  forms.forEach((form, k) => {
    if (!form || form.size < SMALLEST) return;
    const { kind } = kinds.get(k)!;
    const { length, width, lies } = STROKES[kind];
    if (!length) return;
    const random = new Random(k * 7919 + form.size);
    const wide = Math.max(1.6, Math.min(width, Math.sqrt(form.size) / 7)) * size;
    const long = length * size;
    const soft = kind === 'sky' || kind === 'water';
    const local = soft ? LOCAL.soft : lerp(LOCAL.loose, LOCAL.close, near);
    const count = Math.min(MOST, (form.size / (wide * long)) * (soft ? 3 : 2.2));
    const strokes: FlowStroke[] = [];
    for (let n = 0; n < count; n++) {
      const at = pixels[k][Math.floor(random.next() * pixels[k].length)];
      const lab = planes.map((p, c) => form.lab[c] + (p[at] - form.lab[c]) * local);
      const shift = (random.next() - 0.5) * (1 - near) * 6;
      const colour = labToLch([clamp((lab[0] + shift) / 100, 0.02, 0.99), lab[1] / 400, lab[2] / 400]);
      const path = walk(at, long, { w, h, lies, random, angle, clear });
      if (path.length > 1) strokes.push({ path, width: (wide * random.range(0.6, 1.4)) / w, colour });
    }
    out.set(k, strokes);
  });
  return out;
}

function pixelsOf(of: Int32Array, count: number): number[][] {
  const out: number[][] = Array.from({ length: count }, () => []);
  of.forEach((k, i) => out[k].push(i));
  return out;
}

/** Follows the flow from a pixel, as far as it leads and a little beside it. */
function walk(
  from: number,
  long: number,
  {
    w,
    h,
    lies,
    random,
    angle,
    clear,
  }: { w: number; h: number; lies: number; random: Random; angle: Float32Array; clear: Float32Array },
): (readonly [number, number])[] {
  let [x, y] = [from % w, Math.floor(from / w)];
  const path: (readonly [number, number])[] = [[x / w, y / h]];
  let heading: number | undefined;
  for (let s = 0; s < long; s += STEP) {
    const i = clamp(Math.floor(y), 0, h - 1) * w + clamp(Math.floor(x), 0, w - 1);
    const led = Math.min(1, clear[i] * 1.4);
    const dx = Math.cos(2 * angle[i]) * led + Math.cos(2 * lies) * (1 - led);
    const dy = Math.sin(2 * angle[i]) * led + Math.sin(2 * lies) * (1 - led);
    let way = 0.5 * Math.atan2(dy, dx);
    if (heading === undefined) heading = way + (random.chance(0.5) ? Math.PI : 0) + (random.next() - 0.5) * 0.25;
    else {
      if (Math.cos(way - heading) < 0) way += Math.PI;
      heading += Math.sin(way - heading) * 0.6;
    }
    [x, y] = [x + Math.cos(heading) * STEP, y + Math.sin(heading) * STEP];
    path.push([x / w, y / h]);
  }
  return path;
}
