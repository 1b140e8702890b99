import { CHROMA_GAIN, mapPlanes, type Picture } from '../picture/picture';
import { blurPlane } from '../picture/filter';
import { resample } from '../picture/resample';

/** Pictures are held against each other at this size, px. */
const SIDE = 64;
/** How one may lie on the other: enlarged so many times, and moved by at most so many px. */
const SCALES = [0.92, 0.94, 0.96, 0.98, 1, 1.02, 1.04] as const;
const SHIFT = 4;
/** What may lie outside of the other is left out on every side, px. */
const MARGIN = 8;
/** Softness, px. */
const SOFT = 0.8;
/** Brightness and contrast that one may have more or less than the other. */
const GAIN = { low: 0.8, high: 1.25 } as const;
/** How much lighter one may be, and how far its colours may be shifted: on paper of another colour it is another picture. */
const OFFSET = { light: 0.15, colour: 0.006 * CHROMA_GAIN } as const;
/** Blocks on each side, and how many of the worst must still agree. */
const BLOCKS = 8;
const WORST = 3;
/**
 * Below these differences two pictures are one: on the mean and on that of the worst blocks (OKLab), and on the mean against how much the
 * picture itself varies: two thin drawings on white paper are near to each other and yet two.
 */
const SAME = { mean: 0.008, worst: 0.022, ofSpread: 0.08 } as const;

/** How far two pictures are from being one, when one is laid upon the other as well as can be; OKLab. */
export interface MotifDistance {
  readonly mean: number;
  /** The mean of the three worst of 64 blocks: a small change in one place shows here. */
  readonly worst: number;
}

/** A picture as it is held against others: 64 x 64, whatever its sides were, a little soft so that grain need not lie on grain. */
export function forMotif(picture: Picture): Picture {
  const { planes } = resample(picture, SIDE, SIDE);
  return mapPlanes(SIDE, SIDE, (c) => blurPlane(planes[c], SIDE, SIDE, SOFT));
}

/**
 * The difference of two pictures (of {@link forMotif}) in the position, size and light in which they are most alike. Files that were
 * saved again, made smaller, cut a little or brightened lie near 0; another picture of the same place does not.
 */
export function motifDistance(a: Picture, b: Picture): MotifDistance {
  let best: { error: number; at: Placement } | undefined;
  for (const scale of SCALES)
    for (let dy = -SHIFT; dy <= SHIFT; dy++)
      for (let dx = -SHIFT; dx <= SHIFT; dx++) {
        const at = { scale, dx, dy };
        // every third pixel tells where it lies best
        const error = meanOf(differences(a, b, at, 3));
        if (!best || error < best.error) best = { error, at };
      }
  const far = best!.error > HOPELESS;
  best = { ...best!, error: meanOf(differences(a, b, best!.at, 1)) };
  // between the steps it may lie better still
  for (const step of far ? [] : FINER)
    for (const [ds, dx, dy] of NEIGHBOURS) {
      const { scale, dx: x, dy: y }: Placement = best.at;
      const at: Placement = { scale: scale + 0.01 * step * ds, dx: x + 0.5 * step * dx, dy: y + 0.5 * step * dy };
      const error: number = meanOf(differences(a, b, at, 1));
      if (error < best!.error) best = { error, at };
    }
  const all = differences(a, b, best!.at, 1);
  const sums = new Float64Array(BLOCKS * BLOCKS);
  const counts = new Float64Array(BLOCKS * BLOCKS);
  const across = SIDE - 2 * MARGIN;
  all.forEach((d, i) => {
    const block =
      Math.floor((Math.floor(i / across) * BLOCKS) / across) * BLOCKS + Math.floor(((i % across) * BLOCKS) / across);
    sums[block] += d;
    counts[block]++;
  });
  const worst = Array.from(sums, (sum, k) => sum / counts[k]).sort((x, y) => y - x);
  return { mean: meanOf(all), worst: worst.slice(0, WORST).reduce((s, v) => s + v, 0) / WORST };
}

/** True for two pictures that are one and the same but for how they were saved, cut or brightened. */
export function isSameMotif(a: Picture, b: Picture): boolean {
  const [own, other] = [forMotif(a), forMotif(b)];
  const { mean, worst } = motifDistance(own, other);
  return mean < SAME.mean && worst < SAME.worst && mean < Math.max(LEAST_SPREAD, spreadOf(own)) * SAME.ofSpread;
}

/** What lies farther off than this at whole steps, OKLab, is another picture: finer ones are not tried. */
const HOPELESS = 0.03;

/** Rounds of finer steps, and the ways to go in each: another size, and aside. */
const FINER = [1, 1, 0.5, 0.5] as const;
const NEIGHBOURS = [-1, 0, 1].flatMap((s) => [-1, 0, 1].flatMap((x) => [-1, 0, 1].map((y) => [s, x, y] as const)));

/** A picture without any drawing is one with another such one. */
const LEAST_SPREAD = 0.02;

/** The standard deviation of a picture's colours, OKLab. */
const spreadOf = ({ planes }: Picture): number =>
  Math.sqrt(
    planes.reduce((sum, plane, c) => {
      const mean = meanOf(plane);
      return sum + plane.reduce((s, v) => s + (v - mean) ** 2, 0) / plane.length / (c ? CHROMA_GAIN ** 2 : 1);
    }, 0),
  );

interface Placement {
  readonly scale: number;
  readonly dx: number;
  readonly dy: number;
}

const meanOf = (values: Float32Array): number => values.reduce((s, v) => s + v, 0) / values.length;

/** OKLab differences of the inner part, `b` placed upon `a` and brought to its light. */
function differences(a: Picture, b: Picture, { scale, dx, dy }: Placement, step: number): Float32Array {
  const across = Math.ceil((SIDE - 2 * MARGIN) / step);
  const own = [0, 1, 2].map(() => new Float32Array(across * across));
  const other = [0, 1, 2].map(() => new Float32Array(across * across));
  const c = SIDE / 2;
  for (let y = MARGIN, k = 0; y < SIDE - MARGIN; y += step)
    for (let x = MARGIN; x < SIDE - MARGIN; x += step, k++) {
      const [sx, sy] = [c + (x - c) / scale + dx, c + (y - c) / scale + dy];
      const [x0, y0] = [Math.floor(sx), Math.floor(sy)];
      const [u, v] = [sx - x0, sy - y0];
      const i = Math.min(SIDE - 2, Math.max(0, y0)) * SIDE + Math.min(SIDE - 2, Math.max(0, x0));
      for (let p = 0; p < 3; p++) {
        const plane = b.planes[p];
        own[p][k] = a.planes[p][y * SIDE + x];
        other[p][k] =
          (1 - v) * ((1 - u) * plane[i] + u * plane[i + 1]) + v * ((1 - u) * plane[i + SIDE] + u * plane[i + SIDE + 1]);
      }
    }
  const out = new Float32Array(across * across);
  for (let p = 0; p < 3; p++) {
    const fit = lightFit(own[p], other[p], p ? OFFSET.colour : OFFSET.light);
    const k = p ? 1 / CHROMA_GAIN : 1;
    for (let i = 0; i < out.length; i++) out[i] += (k * (own[p][i] - fit.gain * other[p][i] - fit.offset)) ** 2;
  }
  return out.map(Math.sqrt);
}

/** The gain and offset that bring one plane nearest to another, within what a change of light may be. */
function lightFit(to: Float32Array, from: Float32Array, most: number): { gain: number; offset: number } {
  const [mt, mf] = [meanOf(to), meanOf(from)];
  let [ff, tf] = [0, 0];
  for (let i = 0; i < to.length; i++) {
    ff += (from[i] - mf) ** 2;
    tf += (to[i] - mt) * (from[i] - mf);
  }
  const gain = ff > 1e-6 ? Math.min(GAIN.high, Math.max(GAIN.low, tf / ff)) : 1;
  const shift = Math.min(most, Math.max(-most, mt - mf));
  return { gain, offset: mf + shift - gain * mf };
}
