import { distanceTo, piecesOf } from '../lines/masks';
import type { Link } from '../lines/gaps';

/** Which area each pixel belongs to, 1..count; 0 nowhere when an area map is complete. */
export interface AreaLabels {
  readonly of: Int32Array;
  readonly count: number;
}

/** Sizes of the balls that are trapped between lines, px, large ones first, so that a small gap lets no area run out. */
const BALLS = [6, 3, 0.5];

/**
 * The areas that lines enclose: a ball that is rolled about cannot leave through a gap that is narrower than it (trapped-ball
 * segmentation, Zhang et al. 2009). Areas of fewer than `least` px are given to those around them. `balls` false takes lines as they are.
 */
export function facesBetween(
  skeleton: Uint8Array,
  links: readonly Link[],
  {
    w,
    h,
    least = 90,
    balls = true,
  }: { readonly w: number; readonly h: number; readonly least?: number; readonly balls?: boolean },
): AreaLabels {
  const barrier = skeleton.slice();
  for (const link of links) layLink(barrier, link, w);
  const far = distanceTo(barrier, w, h);
  const of = new Int32Array(w * h);
  let count = 0;
  for (const radius of balls ? BALLS : [0.5]) {
    const free = Uint8Array.from(far, (d, i) => (d > radius && !of[i] ? 1 : 0));
    const pieces = piecesOf(free, w, h);
    const name = pieces.sizes.map((size, k) => (k && size >= least ? ++count : 0));
    pieces.of.forEach((piece, i) => piece && name[piece] && (of[i] = name[piece]));
    if (radius > 0.6) grow(of, w, h, Math.ceil(radius) + 1, (i) => !barrier[i]);
  }
  if (!balls) {
    grow(of, w, h);
    return { of, count };
  }
  grow(of, w, h, Infinity, (i) => !barrier[i]);
  const joined = withoutNarrows(of, w);
  grow(joined, w, h);
  return renumbered(joined);
}

/** Areas whose open border is this long were parted by the ball alone: a way between two windows is no gap, px. */
const OPEN = 8;

/** Joins areas that touch along a longer open border than a gap would have. */
function withoutNarrows(of: Int32Array, w: number): Int32Array {
  const touching = new Map<string, { a: number; b: number; length: number }>();
  const meet = (a: number, b: number) => {
    if (!a || !b || a === b) return;
    const key = `${Math.min(a, b)} ${Math.max(a, b)}`;
    const known = touching.get(key);
    if (known) known.length++;
    else touching.set(key, { a, b, length: 1 });
  };
  of.forEach((a, i) => {
    if ((i + 1) % w) meet(a, of[i + 1]);
    if (i + w < of.length) meet(a, of[i + w]);
  });
  const into = new Map<number, number>();
  const find = (k: number): number => (into.has(k) ? find(into.get(k)!) : k);
  for (const { a, b, length } of touching.values())
    if (length >= OPEN && find(a) !== find(b)) into.set(find(b), find(a));
  return of.map((k) => find(k));
}

/** Labels as 1, 2, ... in the order in which they are met. */
export function renumbered(labels: Int32Array): AreaLabels {
  const names = new Map<number, number>();
  const of = Int32Array.from(labels, (k) => {
    if (!names.has(k)) names.set(k, names.size + 1);
    return names.get(k)!;
  });
  return { of, count: names.size };
}

/** A link as part of a barrier, two pixels wide so that nothing slips through at its corners. */
function layLink(barrier: Uint8Array, [[ax, ay], [bx, by]]: Link, w: number): void {
  const steps = Math.ceil(Math.hypot(ax - bx, ay - by) * 2) || 1;
  for (let i = 0; i <= steps; i++) {
    const [x, y] = [Math.round(ax + ((bx - ax) * i) / steps), Math.round(ay + ((by - ay) * i) / steps)];
    barrier[y * w + x] = 1;
    if (x + 1 < w) barrier[y * w + x + 1] = 1;
  }
}

/** Lets areas grow into what belongs to none, pixel by pixel, as far as `rounds` and `may` allow. Changes `of`. */
export function grow(
  of: Int32Array,
  w: number,
  h: number,
  rounds = Infinity,
  may: (i: number) => boolean = () => true,
): void {
  let front: number[] = [];
  of.forEach((area, i) => area && front.push(i));
  for (let k = 0; k < rounds && front.length; k++) {
    const next: number[] = [];
    for (const i of front) {
      const x = i % w;
      for (const j of [x ? i - 1 : -1, x < w - 1 ? i + 1 : -1, i - w, i + w])
        if (j >= 0 && j < w * h && !of[j] && may(j)) {
          of[j] = of[i];
          next.push(j);
        }
    }
    front = next;
  }
}
