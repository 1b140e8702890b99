import { CHROMA_GAIN, smoothstep, type Picture } from '@urbild/core';

/** What colours leave over beside one ink on paper, from which on they tell of people: OKLab, root mean square. */
const TINTED: readonly [number, number] = [0.007, 0.014];
/** The chroma of paper, from which on it is hardly paper any more: OKLab. */
const PAPER: readonly [number, number] = [0.03, 0.06];
const SAMPLES = 4000;

/**
 * 0 where a picture is of one ink on paper, so that its colours tell nothing of who is in it .. 1 where it is of several colours.
 * One ink on paper has one colour for each lightness, and its lightest is the paper: what a parabola over lightness leaves of a
 * and b is measured, and how much colour the lightest twentieth has.
 */
export function colourful({ planes: [lightness, a, b] }: Picture): number {
  const step = Math.max(1, Math.floor(lightness.length / SAMPLES));
  const at = Array.from({ length: Math.ceil(lightness.length / step) }, (_, k) => k * step);
  const basis = orthogonal(at.map((i) => lightness[i]));
  let left = 0;
  for (const plane of [a, b]) {
    const rest = at.map((i) => plane[i]);
    for (const axis of basis) {
      const amount = dot(rest, axis);
      axis.forEach((v, k) => (rest[k] -= amount * v));
    }
    left += dot(rest, rest) / at.length;
  }
  const lightest = [...at].sort((i, j) => lightness[j] - lightness[i]).slice(0, Math.ceil(at.length / 20));
  const paper = lightest.reduce((s, i) => s + Math.hypot(a[i], b[i]), 0) / lightest.length / CHROMA_GAIN;
  const several = smoothstep(...TINTED, Math.sqrt(left) / CHROMA_GAIN);
  return 1 - (1 - several) * (1 - smoothstep(...PAPER, paper));
}

const dot = (p: readonly number[], q: readonly number[]): number => p.reduce((s, v, k) => s + v * q[k], 0);

/** 1, x and x squared as orthogonal axes of length 1 (Gram-Schmidt); those without a length of their own are left out. */
function orthogonal(x: readonly number[]): number[][] {
  const axes: number[][] = [];
  for (const power of [0, 1, 2]) {
    const axis = x.map((v) => v ** power);
    const whole = Math.sqrt(dot(axis, axis));
    for (const known of axes) {
      const amount = dot(axis, known);
      known.forEach((v, k) => (axis[k] -= amount * v));
    }
    const length = Math.sqrt(dot(axis, axis));
    if (length > 1e-6 * whole) axes.push(axis.map((v) => v / length));
  }
  return axes;
}
