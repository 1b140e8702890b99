import { renumbered, type AreaLabels } from './faces';
import type { Planes } from './superpixels';

/** How areas are merged, and when that ends. */
export interface MergeRules {
  /** Ends at so many areas ... */
  readonly count: number;
  /** ... but not before the next step would cost so much, in squared steps of colour. */
  readonly least: number;
  /** How far a difference of means may exceed the step across the border, in squares of that step: gradients have none. */
  readonly cap: number;
  /** How strongly small areas go first: the power of their size. */
  readonly small: number;
  /** What never belongs together. */
  readonly apart?: (a: number, b: number) => boolean;
}

/** The step across a border is taken between places this far on both sides, px. */
const ACROSS = 3;
/** Areas smaller than this go as if their power were 1, px. */
const TINY = 60;
/** What the step across a border counts by itself, and what differences of hue count against those of lightness. */
const STEP = 1.5;
const HUE = 1.3;

interface Area {
  readonly sum: Float64Array;
  size: number;
  readonly beside: Map<number, { step: number; length: number }>;
  alive: boolean;
  version: number;
}

/** A pair of areas in the queue; those whose versions have passed are out of date. */
type Entry = readonly [cost: number, a: number, b: number, versionA: number, versionB: number];

/** A queue that gives the cheapest first (binary heap). */
class Cheapest {
  readonly #heap: Entry[] = [];

  get size(): number {
    return this.#heap.length;
  }

  push(entry: Entry): void {
    const heap = this.#heap;
    let i = heap.push(entry) - 1;
    while (i && heap[(i - 1) >> 1][0] > entry[0]) {
      heap[i] = heap[(i - 1) >> 1];
      i = (i - 1) >> 1;
    }
    heap[i] = entry;
  }

  pop(): Entry {
    const heap = this.#heap;
    const first = heap[0];
    const last = heap.pop()!;
    if (!heap.length) return first;
    let i = 0;
    for (let child = 1; child < heap.length; child = 2 * i + 1) {
      if (child + 1 < heap.length && heap[child + 1][0] < heap[child][0]) child++;
      if (heap[child][0] >= last[0]) break;
      heap[i] = heap[child];
      i = child;
    }
    heap[i] = last;
    return first;
  }
}

/**
 * Merges areas greedily, the pair that costs least first. What counts is the step across their border rather than the difference of
 * their means, so that a sky that grows lighter stays one area (after Felzenszwalb and Huttenlocher 2004, who compare borders with
 * what is inside).
 */
export function merged(labels: AreaLabels, planes: Planes, w: number, h: number, rules: MergeRules): AreaLabels {
  const areas = areasOf(labels, planes, w, h);
  const cost = (a: number, b: number) => costOf(areas[a], areas[b], areas[a].beside.get(b)!, rules);
  const into = Int32Array.from({ length: labels.count + 1 }, (_, i) => i);
  const find = (i: number): number => {
    while (into[i] !== i) i = into[i] = into[into[i]];
    return i;
  };
  const queue = new Cheapest();
  const offer = (a: number, b: number) => {
    const [p, q] = a < b ? [a, b] : [b, a];
    if (!rules.apart?.(p, q)) queue.push([cost(p, q), p, q, areas[p].version, areas[q].version]);
  };
  let alive = 0;
  areas.forEach((area, a) => {
    if (area.alive) alive++;
    for (const b of area.beside.keys()) if (a < b) offer(a, b);
  });
  while (queue.size) {
    const [least, a, b, va, vb] = queue.pop();
    const [p, q] = [areas[a], areas[b]];
    if (!p.alive || !q.alive || p.version !== va || q.version !== vb) continue;
    if (alive <= rules.count && least > rules.least) break;
    absorb(areas, a, b);
    into[b] = a;
    alive--;
    for (const k of p.beside.keys()) offer(a, k);
  }
  return renumbered(Int32Array.from(labels.of, (k) => find(k)));
}

function areasOf({ of, count }: AreaLabels, planes: Planes, w: number, h: number): Area[] {
  const areas = Array.from({ length: count + 1 }, (): Area => ({
    sum: new Float64Array(3),
    size: 0,
    beside: new Map(),
    alive: false,
    version: 0,
  }));
  const meet = (a: number, b: number, step: number) => {
    const edge = areas[a].beside.get(b);
    if (edge) {
      edge.step += step;
      edge.length++;
    } else areas[a].beside.set(b, { step, length: 1 });
  };
  const apart = (i: number, j: number) => Math.hypot(...planes.map((p) => p[i] - p[j]));
  for (let i = 0; i < w * h; i++) {
    const area = areas[of[i]];
    const [x, y] = [i % w, Math.floor(i / w)];
    area.size++;
    area.alive = true;
    planes.forEach((p, c) => (area.sum[c] += p[i]));
    if (x < w - 1 && of[i + 1] !== of[i]) {
      const step = apart(y * w + Math.max(0, x - ACROSS), y * w + Math.min(w - 1, x + 1 + ACROSS));
      meet(of[i], of[i + 1], step);
      meet(of[i + 1], of[i], step);
    }
    if (y < h - 1 && of[i + w] !== of[i]) {
      const step = apart(Math.max(0, y - ACROSS) * w + x, Math.min(h - 1, y + 1 + ACROSS) * w + x);
      meet(of[i], of[i + w], step);
      meet(of[i + w], of[i], step);
    }
  }
  return areas;
}

function costOf(p: Area, q: Area, edge: { step: number; length: number }, { cap, small }: MergeRules): number {
  let apart = 0;
  for (let c = 0; c < 3; c++) apart += ((p.sum[c] / p.size - q.sum[c] / q.size) * (c ? HUE : 1)) ** 2;
  const step = (edge.step / edge.length) ** 2;
  const seen = Math.min(apart, cap * step + 0.15 * apart);
  const size = (p.size * q.size) / (p.size + q.size);
  const weight = size < TINY ? size * TINY ** (small - 1) : size ** small;
  return (seen + STEP * step + 1) * weight;
}

/** Makes b a part of a. */
function absorb(areas: readonly Area[], a: number, b: number): void {
  const [p, q] = [areas[a], areas[b]];
  p.size += q.size;
  for (let c = 0; c < 3; c++) p.sum[c] += q.sum[c];
  q.alive = false;
  p.version++;
  p.beside.delete(b);
  for (const [k, edge] of q.beside) {
    if (k === a) continue;
    const own = p.beside.get(k);
    const both = own ? { step: own.step + edge.step, length: own.length + edge.length } : { ...edge };
    p.beside.set(k, both);
    areas[k].beside.delete(b);
    areas[k].beside.set(a, { ...both });
  }
}
