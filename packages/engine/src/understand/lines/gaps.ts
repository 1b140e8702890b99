import type { Stroke } from './strokes';

/** A straight piece that closes a gap, px. */
export type Link = readonly [from: readonly [number, number], to: readonly [number, number]];

/** A free end of a line: where it is and which way it runs on. */
interface End {
  readonly at: readonly [number, number];
  readonly way: readonly [number, number];
  readonly stroke: number;
  readonly length: number;
}

/** Beyond so many line widths two ends must run towards one another, by this cosine at least. */
const NEAR = 2.5;
const AGREE = 0.5;
/** Two ends whose ways cross ahead of both, no farther than so many line widths, meet in a corner. */
const CORNER = 7;
/** Ends that found none march on up to this part of the reach, straight or a little aside, radians. */
const MARCH = 0.8;
const ASIDE = [0, 0.2, -0.2, 0.4, -0.4];

/**
 * Closes the gaps of drawn lines: ends that run towards one another are joined, the cheapest first and each end once; those that are
 * left run on to the next line. `lineWidth` in px, `reach` in line widths.
 */
export function closedGaps(
  strokes: readonly Stroke[],
  skeleton: Uint8Array,
  {
    w,
    h,
    lineWidth,
    reach,
  }: { readonly w: number; readonly h: number; readonly lineWidth: number; readonly reach: number },
): Link[] {
  const ends = strokes.flatMap((s, k) => endsOf(s, k, lineWidth));
  const far = reach * lineWidth;
  const pairs: { cost: number; i: number; j: number }[] = [];
  ends.forEach((u, i) => {
    for (let j = i + 1; j < ends.length; j++) {
      const cost = costBetween(u, ends[j], lineWidth, far);
      if (cost !== undefined) pairs.push({ cost, i, j });
    }
  });
  pairs.sort((a, b) => a.cost - b.cost || a.i - b.i || a.j - b.j);
  const joined = new Set<number>();
  const links: Link[] = [];
  for (const { i, j } of pairs) {
    if (joined.has(i) || joined.has(j)) continue;
    joined.add(i).add(j);
    links.push([ends[i].at, ends[j].at]);
  }
  ends.forEach((end, i) => {
    if (joined.has(i) || end.length < lineWidth * 3) return;
    const hit = marched(end, skeleton, w, h, far * MARCH);
    if (hit) links.push([end.at, hit]);
  });
  return links;
}

function endsOf({ points, freeStart, freeEnd }: Stroke, stroke: number, lineWidth: number): End[] {
  const n = points.length;
  if (n < 4) return [];
  const back = Math.min(n - 1, Math.max(5, Math.round(lineWidth * 4)));
  const end = (at: readonly [number, number], from: readonly [number, number]): End => {
    const length = Math.hypot(at[0] - from[0], at[1] - from[1]) || 1;
    return { at, way: [(at[0] - from[0]) / length, (at[1] - from[1]) / length], stroke, length: n };
  };
  return [
    ...(freeStart ? [end(points[0], points[back])] : []),
    ...(freeEnd ? [end(points[n - 1], points[n - 1 - back])] : []),
  ];
}

/** What joining two ends costs, px; undefined where they do not belong together. */
function costBetween(u: End, v: End, lineWidth: number, far: number): number | undefined {
  const [dx, dy] = [v.at[0] - u.at[0], v.at[1] - u.at[1]];
  const length = Math.hypot(dx, dy);
  if (length > far || (u.stroke === v.stroke && u.length < 4 * length)) return undefined;
  const [a, b] = [(u.way[0] * dx + u.way[1] * dy) / (length || 1), -(v.way[0] * dx + v.way[1] * dy) / (length || 1)];
  const straight = length <= NEAR * lineWidth || (a >= AGREE && b >= AGREE);
  if (!straight && !meetAhead(u, v, CORNER * lineWidth)) return undefined;
  return length * (1.6 - 0.3 * a - 0.3 * b);
}

/** Whether two ends that run straight on cross, no farther ahead of either than `far` px. */
function meetAhead(u: End, v: End, far: number): boolean {
  const cross = u.way[0] * v.way[1] - u.way[1] * v.way[0];
  if (Math.abs(cross) < 0.3) return false;
  const [dx, dy] = [v.at[0] - u.at[0], v.at[1] - u.at[1]];
  const s = (dx * v.way[1] - dy * v.way[0]) / cross;
  const t = (dx * u.way[1] - dy * u.way[0]) / cross;
  return s > -2 && t > -2 && s < far && t < far;
}

/** Where an end that runs on meets a line or the edge of the picture. */
function marched(
  { at, way }: End,
  skeleton: Uint8Array,
  w: number,
  h: number,
  far: number,
): [number, number] | undefined {
  for (const turn of ASIDE) {
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    const [dx, dy] = [way[0] * c - way[1] * s, way[0] * s + way[1] * c];
    for (let step = 3; step < far; step++) {
      const [x, y] = [Math.round(at[0] + dx * step), Math.round(at[1] + dy * step)];
      if (x <= 1 || y <= 1 || x >= w - 2 || y >= h - 2)
        return [Math.min(w - 1, Math.max(0, x)), Math.min(h - 1, Math.max(0, y))];
      for (let q = -1; q <= 1; q++) for (let p = -1; p <= 1; p++) if (skeleton[(y + q) * w + x + p]) return [x, y];
    }
  }
  return undefined;
}
