/** A drawn line as it runs, px. */
export interface Stroke {
  readonly points: readonly (readonly [x: number, y: number])[];
  /** Whether it ends freely there, rather than at another line. */
  readonly freeStart: boolean;
  readonly freeEnd: boolean;
}

/** Neighbours of a pixel of a skeleton; over a corner only where no straight way leads there. */
function neighbours(skeleton: Uint8Array, i: number, w: number): number[] {
  const out: number[] = [];
  for (const d of [-w, 1, w, -1]) if (skeleton[i + d]) out.push(i + d);
  for (const [up, side] of [
    [-w, 1],
    [w, 1],
    [w, -1],
    [-w, -1],
  ])
    if (skeleton[i + up + side] && !skeleton[i + up] && !skeleton[i + side]) out.push(i + up + side);
  return out;
}

/** The strokes of a skeleton: from end or crossing to end or crossing, and closed ones. The border of the picture must be empty. */
export function strokesOf(skeleton: Uint8Array, w: number): Stroke[] {
  const next = new Map<number, number[]>();
  skeleton.forEach((v, i) => v && next.set(i, neighbours(skeleton, i, w)));
  const used = new Set<number>();
  const key = (a: number, b: number) => Math.min(a, b) * skeleton.length + Math.max(a, b);
  const walk = (from: number, to: number): number[] => {
    const way = [from, to];
    used.add(key(from, to));
    for (let [last, at] = [from, to]; next.get(at)!.length === 2;) {
      const on = next.get(at)!.find((j) => j !== last);
      if (on === undefined || used.has(key(at, on))) break;
      used.add(key(at, on));
      [last, at] = [at, on];
      way.push(at);
    }
    return way;
  };
  const ways: number[][] = [];
  for (const ends of [true, false])
    for (const [i, to] of next)
      if ((to.length !== 2) === ends) for (const j of to) if (!used.has(key(i, j))) ways.push(walk(i, j));
  return ways.map((way) => ({
    points: way.map((i) => [i % w, Math.floor(i / w)] as const),
    freeStart: next.get(way[0])!.length === 1,
    freeEnd: next.get(way[way.length - 1])!.length === 1,
  }));
}

/** Takes short side branches out of a skeleton: strokes with one free end. Changes `skeleton`; returns the strokes that are left. */
export function prunedStrokes(skeleton: Uint8Array, w: number, shorterThan: number, rounds = 2): Stroke[] {
  let strokes = strokesOf(skeleton, w);
  for (let k = 0; k < rounds; k++) {
    for (const { points, freeStart, freeEnd } of strokes) {
      if (freeStart === freeEnd || points.length >= shorterThan) continue;
      for (const [x, y] of freeStart ? points.slice(0, -1) : points.slice(1)) skeleton[y * w + x] = 0;
    }
    strokes = strokesOf(skeleton, w);
  }
  return strokes;
}
