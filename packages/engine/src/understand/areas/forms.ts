import { boxPlane } from '@urbild/core';
import { distanceTo } from '../lines/masks';
import type { AreaLabels } from './faces';
import type { Ring } from './outlines';
import type { Planes } from './superpixels';

/** What an area looks like and where it lies, px of the picture that was read. */
export interface AreaForm {
  readonly size: number;
  /** Part of the picture. */
  readonly share: number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
  readonly width: number;
  readonly height: number;
  readonly x: number;
  readonly y: number;
  /** How many px of it lie on each side of the picture. */
  readonly edge: { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number };
  /** Mean colour, in even steps; chroma and hue (degrees) of it. */
  readonly lab: readonly [number, number, number];
  readonly chroma: number;
  readonly hue: number;
  /** Mean difference of its lightness from what is around it: texture. */
  readonly texture: number;
  /** Standard deviation of its lightness. */
  readonly spread: number;
  /** Borders with others: px, by area. */
  readonly beside: ReadonlyMap<number, number>;
  /** Part of its box that it fills; the same with its holes filled. */
  readonly fills: number;
  readonly outerFills: number;
  /** 1 a circle .. 0 a line (isoperimetric quotient), from its outer outline. */
  readonly roundness: number;
  /** Part of it that the largest disc in it covers. */
  readonly disc: number;
  /** How wide it is near its top, in parts of its whole width. */
  readonly upper: number;
  /** Wider below than above like a gable; as wide all the way like a wall. */
  readonly gable: boolean;
  readonly boxy: boolean;
}

/** Small and large window in which texture is seen, px. */
const TEXTURE = [2, 5] as const;

/** Measures every area; `outlines` are their rings, by area. Areas of a number that does not occur are undefined. */
export function formsOf(
  labels: AreaLabels,
  outlines: readonly (readonly Ring[])[],
  planes: Planes,
  w: number,
  h: number,
): (AreaForm | undefined)[] {
  const { of, count } = labels;
  const fine = boxPlane(planes[0], w, h, TEXTURE[0]);
  const coarse = boxPlane(fine, w, h, TEXTURE[1]);
  const discs = largestDiscs(labels, w, h);
  const raw = Array.from({ length: count + 1 }, () => ({
    size: 0,
    box: [w, h, -1, -1],
    sum: [0, 0, 0, 0, 0, 0, 0],
    edge: { left: 0, right: 0, top: 0, bottom: 0 },
    beside: new Map<number, number>(),
  }));
  const meet = (a: number, b: number) => {
    if (a === b) return;
    raw[a].beside.set(b, (raw[a].beside.get(b) ?? 0) + 1);
    raw[b].beside.set(a, (raw[b].beside.get(a) ?? 0) + 1);
  };
  for (let i = 0; i < w * h; i++) {
    const [x, y] = [i % w, Math.floor(i / w)];
    const a = raw[of[i]];
    a.size++;
    a.box = [Math.min(a.box[0], x), Math.min(a.box[1], y), Math.max(a.box[2], x), Math.max(a.box[3], y)];
    const L = planes[0][i];
    [x, y, L, planes[1][i], planes[2][i], L * L, Math.abs(fine[i] - coarse[i])].forEach((v, k) => (a.sum[k] += v));
    if (!x) a.edge.left++;
    if (x === w - 1) a.edge.right++;
    if (!y) a.edge.top++;
    if (y === h - 1) a.edge.bottom++;
    if (x < w - 1) meet(of[i], of[i + 1]);
    if (y < h - 1) meet(of[i], of[i + w]);
  }
  return raw.map(({ size, box: [left, top, right, bottom], sum, edge, beside }, k): AreaForm | undefined => {
    if (!size) return undefined;
    const [x, y, L, A, B, LL, texture] = sum.map((v) => v / size);
    const [width, height] = [right - left + 1, bottom - top + 1];
    return {
      ...{ size, share: size / (w * h), left, right, top, bottom, width, height, x, y, edge, beside, texture },
      lab: [L, A, B],
      chroma: Math.hypot(A, B),
      hue: ((Math.atan2(B, A) * 180) / Math.PI + 360) % 360,
      spread: Math.sqrt(Math.max(0, LL - L * L)),
      fills: size / (width * height),
      disc: (Math.PI * discs[k] ** 2) / size,
      ...outerForm(outlines[k] ?? [], { top, width, height }),
    };
  });
}

/** Radius of the largest disc in every area, px. */
function largestDiscs({ of, count }: AreaLabels, w: number, h: number): Float32Array {
  const border = new Uint8Array(w * h);
  for (let i = 0; i < w * h - w - 1; i++) if (of[i] !== of[i + 1] || of[i] !== of[i + w]) border[i] = 1;
  const far = distanceTo(border, w, h);
  const out = new Float32Array(count + 1);
  far.forEach((d, i) => (out[of[i]] = Math.max(out[of[i]], Math.min(d, w + h))));
  return out;
}

/** What the outer outline of an area tells of its form; holes count as filled. */
function outerForm(rings: readonly Ring[], { top, width, height }: { top: number; width: number; height: number }) {
  const ring = rings.reduce<Ring>((longest, r) => (r.length > longest.length ? r : longest), []);
  let [area, around] = [0, 0];
  ring.forEach(([x, y], k) => {
    const [nx, ny] = ring[(k + 1) % ring.length];
    area += x * ny - y * nx;
    around += Math.hypot(nx - x, ny - y);
  });
  const outer = Math.abs(area) / 2;
  const across = (at: number): number => {
    const y = top + height * at;
    let [least, most] = [Infinity, -Infinity];
    ring.forEach(([ax, ay], k) => {
      const [bx, by] = ring[(k + 1) % ring.length];
      if ((ay - y) * (by - y) > 0 || ay === by) return;
      const x = ax + ((bx - ax) * (y - ay)) / (by - ay);
      [least, most] = [Math.min(least, x), Math.max(most, x)];
    });
    return Math.max(0, most - least) / width;
  };
  const [upper, middle, lower] = [across(0.15), across(0.5), across(0.85)];
  const outerFills = outer / (width * height);
  const [narrowest, widest] = [Math.min(upper, middle, lower), Math.max(upper, middle, lower)];
  return {
    outerFills,
    upper,
    roundness: (4 * Math.PI * outer) / (around * around + 1),
    gable: upper < 0.38 && middle > 0.33 && middle < 0.75 && lower > 0.65 && outerFills > 0.38 && outerFills < 0.68,
    boxy: outerFills > 0.76 || (narrowest > 0.62 && widest - narrowest < 0.22 && outerFills > 0.55),
  };
}
