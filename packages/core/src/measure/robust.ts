import { median } from '../maths/scalar';

/** Where most of some values lie. */
export interface Band {
  readonly median: number;
  readonly low: number;
  readonly high: number;
}

/**
 * How far a value is from others, in robust deviations: (x - median) / max(1.4826 MAD, floor). 1.4826 makes the median
 * absolute deviation of normally distributed values their standard deviation (Hampel 1974). `floor` is the least deviation that
 * means anything, in the unit of the values. 0 with fewer than three others.
 */
export function deviations(value: number, others: readonly number[], floor: number): number {
  if (others.length < 3) return 0;
  const middle = median(others);
  const scale = 1.4826 * median(others.map((v) => Math.abs(v - middle)));
  return (value - middle) / Math.max(scale, floor);
}

/** Where values lie; undefined for none. */
export function bandOf(values: readonly number[]): Band | undefined {
  if (!values.length) return undefined;
  return { median: median(values), low: Math.min(...values), high: Math.max(...values) };
}

/** Every value without the k-th. */
export const allBut = <T>(values: readonly T[], k: number): T[] => values.filter((_, i) => i !== k);
