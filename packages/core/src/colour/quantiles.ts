/** Entries of a quantile table: entry q is the value below which the part (q + 0.5) / 128 of the samples lies. */
export const QUANTILES = 128;
const BINS = 1024;

interface Histogram {
  readonly counts: Int32Array;
  readonly low: number;
  readonly perUnit: number;
}

const counts = new Int32Array(BINS);

function histogram(values: Float32Array): Histogram {
  let low = Infinity;
  let high = -Infinity;
  for (let i = 0; i < values.length; i++) {
    const v = values[i];
    if (v < low) low = v;
    if (v > high) high = v;
  }
  if (!(high > low)) high = low + 1e-6;
  const perUnit = (BINS / (high - low)) * 0.999999;
  counts.fill(0);
  // never below zero: cutting off the fraction is as good as the floor, and quicker
  for (let i = 0; i < values.length; i++) counts[((values[i] - low) * perUnit) | 0]++;
  return { counts, low, perUnit };
}

/** The quantile table of `values` (histogram of 1024 bins, linear inside a bin). Empty input gives zeros. */
export function quantileTable(values: Float32Array, out = new Float32Array(QUANTILES)): Float32Array {
  const n = values.length;
  if (!n) return out.fill(0);
  const { low, perUnit } = histogram(values);
  let below = 0;
  let bin = 0;
  for (let q = 0; q < QUANTILES; q++) {
    const target = ((q + 0.5) / QUANTILES) * n;
    while (bin < BINS - 1 && below + counts[bin] < target) below += counts[bin++];
    const f = counts[bin] > 0 ? (target - below) / counts[bin] : 0;
    out[q] = low + (bin + Math.min(1, Math.max(0, f))) / perUnit;
  }
  return out;
}

const shift = new Float32Array(BINS + 1);

/**
 * One-dimensional optimal transport: how far each sample must move so that `values` get the distribution of `target`
 * (a quantile table). Writes into `out`, which may not be `values`.
 */
export function transportShift(values: Float32Array, target: Float32Array, out: Float32Array): void {
  const n = values.length;
  const { low, perUnit } = histogram(values);
  let below = 0;
  for (let bin = 0; bin <= BINS; bin++) {
    const u = (below / n) * QUANTILES - 0.5;
    let q: number;
    if (u <= 0) q = target[0];
    else if (u >= QUANTILES - 1) q = target[QUANTILES - 1];
    else {
      const k = Math.floor(u);
      q = target[k] + (target[k + 1] - target[k]) * (u - k);
    }
    shift[bin] = q - (low + bin / perUnit);
    if (bin < BINS) below += counts[bin];
  }
  for (let i = 0; i < n; i++) {
    const u = (values[i] - low) * perUnit;
    const k = u | 0;
    out[i] = shift[k] + (shift[k + 1] - shift[k]) * (u - k);
  }
}

/** Squared 2-Wasserstein distance of two distributions given as quantile tables. */
export function tableDistanceSquared(a: Float32Array, b: Float32Array): number {
  let sum = 0;
  for (let i = 0; i < QUANTILES; i++) sum += (a[i] - b[i]) ** 2;
  return sum / QUANTILES;
}
