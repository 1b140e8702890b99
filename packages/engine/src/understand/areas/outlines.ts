import type { AreaLabels } from './faces';

export type XY = readonly [x: number, y: number];
/** A closed outline, px; holes are outlines of their own. */
export type Ring = readonly XY[];

/** How closely outlines follow: the tolerance of a simplification, px, and rounds of smoothing. */
export interface OutlineRules {
  readonly tolerance: number;
  readonly smooth: number;
}

/** A short arc keeps its form: the tolerance is at most this, and so much more for every pixel of its length. */
const KEPT = { least: 0.6, perPx: 0.03 } as const;
/** Where an outline turns by more than this it stays a corner: the cosine of the turn. */
const CORNER = 0.45;
/** Rings of fewer points than this are specks. */
const SPECK = 8;

const DX = [1, 0, -1, 0];
const DY = [0, 1, 0, -1];

/** A point of the lattice of pixel corners as a number. */
const latticeKey = ([x, y]: XY, w: number): number => y * (w + 1) + x;

/**
 * The outlines of all areas, by area. They run along the corners of pixels and are split where three areas meet; every arc between two
 * such places is simplified once (Douglas and Peucker 1973) and smoothed (Chaikin 1974) for both areas, so that no slit opens between them.
 */
export function outlinesOf({ of, count }: AreaLabels, w: number, h: number, rules: OutlineRules): Ring[][] {
  const at = (x: number, y: number) => (x < 0 || y < 0 || x >= w || y >= h ? 0 : of[y * w + x]);
  const meets = meetingPlaces(at, w, h);
  const arcs = new Map<string, readonly XY[]>();
  const rings: Ring[][] = Array.from({ length: count + 1 }, () => []);
  const seen = new Uint8Array((w + 1) * (h + 1) * 4);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const area = at(x, y);
      if (at(x, y - 1) === area || seen[latticeKey([x, y], w) * 4]) continue;
      const ring = walked([x, y], area, at, seen, w);
      if (ring.length >= SPECK) rings[area].push(ofArcs(ring, meets, arcs, w, h, rules));
    }
  return rings;
}

/** Corners where more than two areas meet. */
function meetingPlaces(at: (x: number, y: number) => number, w: number, h: number): Uint8Array {
  const out = new Uint8Array((w + 1) * (h + 1));
  for (let y = 0; y <= h; y++)
    for (let x = 0; x <= w; x++) {
      const [a, b, c, d] = [at(x - 1, y - 1), at(x, y - 1), at(x - 1, y), at(x, y)];
      out[y * (w + 1) + x] = +(+(a !== b) + +(c !== d) + +(a !== c) + +(b !== d) > 2);
    }
  return out;
}

/** Walks round an area with it on the right hand, from a corner whose upper edge is its border. */
function walked(start: XY, area: number, at: (x: number, y: number) => number, seen: Uint8Array, w: number): XY[] {
  const inside = (x: number, y: number, d: number): boolean => {
    if (d === 0) return at(x, y) === area && at(x, y - 1) !== area;
    if (d === 1) return at(x - 1, y) === area && at(x, y) !== area;
    if (d === 2) return at(x - 1, y - 1) === area && at(x - 1, y) !== area;
    return at(x, y - 1) === area && at(x - 1, y - 1) !== area;
  };
  let [x, y, d] = [start[0], start[1], 0];
  const ring: XY[] = [];
  do {
    seen[latticeKey([x, y], w) * 4 + d] = 1;
    ring.push([x, y]);
    [x, y] = [x + DX[d], y + DY[d]];
    const turn = [1, 0, 3].find((t) => inside(x, y, (d + t) % 4));
    if (turn === undefined) break;
    d = (d + turn) % 4;
  } while (x !== start[0] || y !== start[1] || d !== 0);
  return ring;
}

/** A ring put together of arcs that are shared with its neighbours. */
function ofArcs(
  ring: readonly XY[],
  meets: Uint8Array,
  arcs: Map<string, readonly XY[]>,
  w: number,
  h: number,
  rules: OutlineRules,
): Ring {
  const first = ring.findIndex((p) => meets[latticeKey(p, w)]);
  // a ring without a meeting place begins at its first corner in reading order, whoever walks it
  const from =
    first >= 0 ? first : ring.reduce((best, p, i) => (latticeKey(p, w) < latticeKey(ring[best], w) ? i : best), 0);
  const turned = [...ring.slice(from), ...ring.slice(0, from + 1)];
  const out: XY[] = [];
  for (let i = 1, start = 0; i < turned.length; i++) {
    if (i < turned.length - 1 && !meets[latticeKey(turned[i], w)]) continue;
    out.push(...sharedArc(turned.slice(start, i + 1), arcs, w, h, rules).slice(0, -1));
    start = i;
  }
  return out;
}

function sharedArc(
  arc: readonly XY[],
  arcs: Map<string, readonly XY[]>,
  w: number,
  h: number,
  rules: OutlineRules,
): readonly XY[] {
  const keys = arc.map((p) => latticeKey(p, w));
  const back =
    keys[0] > keys[keys.length - 1] || (keys[0] === keys[keys.length - 1] && keys[1] > keys[keys.length - 2]);
  const forward = back ? [...arc].reverse() : arc;
  const name = `${latticeKey(forward[0], w)} ${latticeKey(forward[1], w)} ${latticeKey(forward[forward.length - 1], w)} ${latticeKey(forward[forward.length - 2], w)}`;
  if (!arcs.has(name)) arcs.set(name, simplified(forward, w, h, rules));
  const known = arcs.get(name)!;
  return back ? [...known].reverse() : known;
}

/** An arc with fewer points; along the edge of the picture it is straight. */
function simplified(arc: readonly XY[], w: number, h: number, { tolerance, smooth }: OutlineRules): readonly XY[] {
  const onEdge = ([x, y]: XY) => x === 0 || y === 0 || x === w || y === h;
  if (arc.every(onEdge)) {
    const corner = ([x, y]: XY) => (x === 0 || x === w) && (y === 0 || y === h);
    return [arc[0], ...arc.slice(1, -1).filter(corner), arc[arc.length - 1]];
  }
  return smoothed(simplifiedPath(softened(arc), Math.min(tolerance, KEPT.least + KEPT.perPx * arc.length)), smooth);
}

/** An arc without its stairs: every point the mean of those beside it; its ends stay. */
const softened = (arc: readonly XY[]): XY[] =>
  arc.map((p, i) => {
    const r = Math.min(2, i, arc.length - 1 - i);
    if (!r) return p;
    let [x, y] = [0, 0];
    for (let k = -r; k <= r; k++) [x, y] = [x + arc[i + k][0], y + arc[i + k][1]];
    return [x / (2 * r + 1), y / (2 * r + 1)];
  });

/** A path with only the points that it needs to stay within a tolerance, px (Douglas and Peucker 1973); its ends stay. */
export function simplifiedPath(path: readonly XY[], tolerance: number): XY[] {
  const keep = new Uint8Array(path.length);
  keep[0] = keep[path.length - 1] = 1;
  const open: [number, number][] = [[0, path.length - 1]];
  while (open.length) {
    const [a, b] = open.pop()!;
    const [[ax, ay], [bx, by]] = [path[a], path[b]];
    const length = Math.hypot(bx - ax, by - ay);
    let [worst, at] = [tolerance, -1];
    for (let i = a + 1; i < b; i++) {
      const [x, y] = path[i];
      const off =
        length < 1e-6 ? Math.hypot(x - ax, y - ay) : Math.abs((bx - ax) * (ay - y) - (ax - x) * (by - ay)) / length;
      if (off > worst) [worst, at] = [off, i];
    }
    if (at < 0) continue;
    keep[at] = 1;
    open.push([a, at], [at, b]);
  }
  return path.filter((_, i) => keep[i]);
}

/** Cuts the corners of a path (Chaikin 1974), but sharp ones and its ends stay. */
function smoothed(path: readonly XY[], rounds: number): readonly XY[] {
  let out = path;
  for (let k = 0; k < rounds; k++) {
    const s = out;
    const isCorner = (j: number): boolean => {
      if (j <= 0 || j >= s.length - 1) return true;
      const [ax, ay] = [s[j][0] - s[j - 1][0], s[j][1] - s[j - 1][1]];
      const [bx, by] = [s[j + 1][0] - s[j][0], s[j + 1][1] - s[j][1]];
      return (ax * bx + ay * by) / (Math.hypot(ax, ay) * Math.hypot(bx, by) + 1e-6) < CORNER;
    };
    const mix = (u: XY, v: XY, t: number): XY => [u[0] + (v[0] - u[0]) * t, u[1] + (v[1] - u[1]) * t];
    const next: XY[] = [s[0]];
    for (let i = 0; i < s.length - 1; i++) {
      if (!isCorner(i)) next.push(mix(s[i], s[i + 1], 0.25));
      else if (i) next.push(s[i]);
      if (i < s.length - 2 && !isCorner(i + 1)) next.push(mix(s[i], s[i + 1], 0.75));
    }
    next.push(s[s.length - 1]);
    out = next;
  }
  return out;
}
