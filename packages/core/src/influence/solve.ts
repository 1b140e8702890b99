/** What a person wants of a take: arrivals of influences and how much of the words is kept, 0..1. */
export interface Targets {
  /** Wanted arrival by influence id. */
  readonly arrivals: Readonly<Record<string, number>>;
  /** At least this much of the words. */
  readonly wordsKept?: number;
}

/** One draft of a search: the weights that were tried and what was measured of it. */
export interface Trial {
  readonly weights: Readonly<Record<string, number>>;
  readonly arrivals: Readonly<Record<string, number>>;
  readonly wordsKept: number;
}

/** What a search says after some drafts. */
export type SolveStep =
  | { readonly say: 'try'; readonly weights: Readonly<Record<string, number>> }
  /** `best` is the index of the trial that meets the targets, or comes nearest. */
  | { readonly say: 'met' | 'cannot'; readonly best: number; readonly reason: string };

/** A target counts as met within this. */
export const NEAR_ENOUGH = 0.05;
export const MOST_DRAFTS = 12;
const MOST_WEIGHT = 2;
/** The farthest that a weight is moved from one draft to the next. */
const STRIDE = 0.6;
/** What is expected before anything is known: more weight, more arrival, fewer words. */
const OWN_SLOPE = 0.6;
const WORDS_SLOPE = -0.25;
/** Damping of the step (Levenberg 1944), in squared arrival. */
const DAMPING = 0.01;

/** How far a trial is from each target; for the words only what is missing counts. */
export function misses(trial: Trial, targets: Targets): number[] {
  const out = Object.entries(targets.arrivals).map(([id, wanted]) => wanted - (trial.arrivals[id] ?? 0));
  if (targets.wordsKept !== undefined) out.push(Math.max(0, targets.wordsKept - trial.wordsKept));
  return out;
}

const worst = (values: readonly number[]) => Math.max(0, ...values.map(Math.abs));
const energy = (values: readonly number[]) => values.reduce((s, v) => s + v * v, 0);
const clampWeight = (w: number) => Math.round(Math.min(MOST_WEIGHT, Math.max(0, w)) * 1000) / 1000;

/**
 * Decides the next step of a search for weights that meet `targets`: least squares with a slope matrix that learns from every
 * draft (Broyden 1965) and damped steps. `start` are the present weights. Pure: the same path gives the same step.
 */
export function solveStep(
  start: Readonly<Record<string, number>>,
  targets: Targets,
  path: readonly Trial[],
): SolveStep {
  const ids = Object.keys(targets.arrivals);
  if (!path.length) return { say: 'try', weights: round(ids, start) };
  const vector = (t: Trial) => [...ids.map((id) => t.arrivals[id] ?? 0), t.wordsKept];
  const missed = path.map((t) => misses(t, targets));
  const best = missed.reduce((b, m, k) => (worst(m) < worst(missed[b]) - 1e-9 ? k : b), 0);
  if (worst(missed[best]) <= NEAR_ENOUGH) return { say: 'met', best, reason: `met after ${path.length} drafts` };
  if (path.length >= MOST_DRAFTS)
    return { say: 'cannot', best, reason: `${MOST_DRAFTS} drafts were not enough; ${nearest(missed[best], targets)}` };
  const slopes = learnSlopes(ids, path, vector);
  const here = path[best];
  const words = targets.wordsKept !== undefined && here.wordsKept < targets.wordsKept;
  const rows = [...ids.map((_, r) => r), ...(words ? [ids.length] : [])];
  const wanted = rows.map((r) =>
    r < ids.length ? targets.arrivals[ids[r]] - (here.arrivals[ids[r]] ?? 0) : targets.wordsKept! - here.wordsKept,
  );
  // a step that has led to where a draft stands already is taken shorter, then to the other side
  for (const scale of [1, 0.5, 1.6, 0.25, -0.35]) {
    const step = dampedStep(
      rows.map((r) => slopes[r]),
      wanted,
      scale > 0 ? DAMPING : 0.1,
    );
    const weights = Object.fromEntries(
      ids.map((id, k) => [
        id,
        clampWeight((here.weights[id] ?? 0) + Math.max(-STRIDE, Math.min(STRIDE, step[k] * scale))),
      ]),
    );
    const known = path.some((t) => ids.every((id) => Math.abs((t.weights[id] ?? 0) - weights[id]) < 0.012));
    if (!known) return { say: 'try', weights };
  }
  return { say: 'cannot', best, reason: `no weights lead nearer; ${nearest(missed[best], targets)}` };
}

function nearest(missed: readonly number[], { arrivals }: Targets): string {
  const count = Object.keys(arrivals).length;
  const k = missed.reduce((b, m, i) => (Math.abs(m) > Math.abs(missed[b]) ? i : b), 0);
  const points = Math.round(Math.abs(missed[k]) * 100);
  return `the nearest misses ${k < count ? 'a reference' : 'the words'} by ${points} points`;
}

const round = (ids: readonly string[], weights: Readonly<Record<string, number>>) =>
  Object.fromEntries(ids.map((id) => [id, clampWeight(weights[id] ?? 0.8)]));

/** One row per measured value (arrivals, then words), one column per weight: from a guess, corrected by every pair of drafts. */
function learnSlopes(ids: readonly string[], path: readonly Trial[], vector: (t: Trial) => number[]): number[][] {
  const slopes = [...ids.map((_, r) => ids.map((_, c) => (r === c ? OWN_SLOPE : -0.1))), ids.map(() => WORDS_SLOPE)];
  for (let k = 1; k < path.length; k++) {
    const dw = ids.map((id) => (path[k].weights[id] ?? 0) - (path[k - 1].weights[id] ?? 0));
    const length = energy(dw);
    if (length < 1e-6) continue;
    const [y0, y1] = [vector(path[k - 1]), vector(path[k])];
    slopes.forEach((row, r) => {
      const expected = row.reduce((s, v, c) => s + v * dw[c], 0);
      const off = y1[r] - y0[r] - expected;
      row.forEach((_, c) => (row[c] += (off * dw[c]) / length));
      // its own weight never takes from a reference: that would be an accident of one draft
      if (r < ids.length) row[r] = Math.max(0.06, row[r]);
    });
  }
  return slopes;
}

/** The damped least-squares step: (JᵀJ + d I) s = Jᵀ r, by Gauss elimination with pivots. */
function dampedStep(J: readonly (readonly number[])[], r: readonly number[], damping: number): number[] {
  const n = J[0].length;
  const A = Array.from({ length: n }, (_, i) => [
    ...Array.from({ length: n }, (_, j) => J.reduce((s, row) => s + row[i] * row[j], 0) + (i === j ? damping : 0)),
    J.reduce((s, row, k) => s + row[i] * r[k], 0),
  ]);
  for (let c = 0; c < n; c++) {
    const pivot = A.reduce((b, row, k) => (k >= c && Math.abs(row[c]) > Math.abs(A[b][c]) ? k : b), c);
    [A[c], A[pivot]] = [A[pivot], A[c]];
    for (let k = 0; k < n; k++) {
      if (k === c || !A[c][c]) continue;
      const f = A[k][c] / A[c][c];
      for (let j = c; j <= n; j++) A[k][j] -= f * A[c][j];
    }
  }
  return A.map((row, i) => (row[i] ? row[n] / row[i] : 0));
}
