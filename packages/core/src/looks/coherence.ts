import { paletteDistance } from '../describe/palette';
import { median } from '../maths/scalar';

/** A picture of a look as it is compared. */
export interface LookSample {
  /** See mannerOf: unit length. */
  readonly manner: ArrayLike<number>;
  /** See describePalette. */
  readonly palette: Float32Array;
}

/** How well the pictures of a look belong together. */
export interface Coherence {
  /** 0 a heap .. 1 of one piece. */
  readonly figure: number;
  /** For each picture, how far it is from the others, over what is usual in this look. */
  readonly off: readonly number[];
  /** Index of the picture that does not belong, if one does not. */
  readonly stranger?: number;
  /** Two principal axes for each picture, for a map; -1..1. */
  readonly map: readonly (readonly [x: number, y: number])[];
}

/** A stranger is at least this much farther from the others than they are from each other. */
const FAR = 0.3;

/** How far apart two pictures are as parts of a look: by manner foremost (0 the same .. 1 quite another), by palette a little. */
export function lookDistance(a: LookSample, b: LookSample): number {
  let likeness = 0;
  for (let i = 0; i < a.manner.length; i++) likeness += a.manner[i] * b.manner[i];
  return Math.sqrt(Math.max(0, 1 - likeness)) + 0.004 * paletteDistance(a.palette, b.palette);
}

/**
 * Compares the pictures of a look: how far each is from the others (median distance), which one is a stranger (far off
 * against the robust spread of the rest), and a map of two principal axes by power iteration.
 */
export function coherenceOf(samples: readonly LookSample[]): Coherence {
  const n = samples.length;
  if (n < 2) return { figure: 1, off: samples.map(() => 1), map: samples.map(() => [0, 0] as const) };
  const d = samples.map((a) => samples.map((b) => lookDistance(a, b)));
  const typical = d.map((row, i) => median(row.filter((_, j) => j !== i)));
  const usual = Math.max(median(typical), 1e-6);
  const off = typical.map((t) => t / usual);
  const worst = off.indexOf(Math.max(...off));
  const others = typical.filter((_, i) => i !== worst);
  const centre = median(others);
  const spread = 1.4826 * median(others.map((t) => Math.abs(t - centre))) + 0.03;
  const strange = n > 2 && typical[worst] > centre + 3 * spread && typical[worst] - centre > FAR;
  return {
    figure: Math.max(0, Math.min(1, 1.15 - 1.1 * usual)),
    off,
    ...(strange ? { stranger: worst } : {}),
    map: principalMap(d),
  };
}

/** Classical scaling (Torgerson 1952): places points on a plane so that their distances come near the given ones. */
function principalMap(d: readonly (readonly number[])[]): (readonly [number, number])[] {
  const n = d.length;
  const squares = d.map((row) => row.map((v) => v * v));
  const rows = squares.map((row) => row.reduce((a, b) => a + b, 0) / n);
  const all = rows.reduce((a, b) => a + b, 0) / n;
  const b = squares.map((row, i) => row.map((v, j) => -0.5 * (v - rows[i] - rows[j] + all)));
  const axes: number[][] = [];
  for (let axis = 0; axis < 2; axis++) {
    let v = Array.from({ length: n }, (_, i) => Math.cos(i * 1.7 + axis) + 0.01);
    let length = 0;
    for (let round = 0; round < 80; round++) {
      for (const done of axes) {
        const norm = done.reduce((s, x) => s + x * x, 0) || 1;
        const along = done.reduce((s, x, i) => s + x * v[i], 0) / norm;
        v = v.map((x, i) => x - along * done[i]);
      }
      const next = b.map((row) => row.reduce((s, x, j) => s + x * v[j], 0));
      length = Math.hypot(...next);
      if (length < 1e-12) break;
      v = next.map((x) => x / length);
    }
    axes.push(v.map((x) => x * Math.sqrt(Math.max(0, length))));
  }
  const top = Math.max(1e-9, ...axes.flat().map(Math.abs));
  return Array.from({ length: n }, (_, i) => [axes[0][i] / top, axes[1][i] / top] as const);
}
