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
export function colourful(picture: Picture): number {
  const [lightness, a, b] = thinned(picture).planes.map((plane) => Float64Array.from(plane));
  const n = lightness.length;
  const basis = orthogonal(lightness);
  let left = 0;
  for (const plane of [a, b]) {
    const rest = plane.slice();
    for (const axis of basis) takeOff(rest, axis);
    left += dot(rest, rest) / n;
  }
  const paper = chromaOfLightest(lightness, a, b);
  const several = smoothstep(...TINTED, Math.sqrt(left) / CHROMA_GAIN);
  return 1 - (1 - several) * (1 - smoothstep(...PAPER, paper));
}

/** The mean chroma of the lightest twentieth, OKLab. */
function chromaOfLightest(lightness: Float64Array, a: Float64Array, b: Float64Array): number {
  const light = Math.ceil(lightness.length / 20);
  const least = lightness.slice().sort()[lightness.length - light];
  let [sum, count] = [0, 0];
  for (let i = 0; i < lightness.length; i++) {
    if (lightness[i] < least) continue;
    sum += Math.hypot(a[i], b[i]);
    count++;
  }
  return sum / count / CHROMA_GAIN;
}

/** The pixels that {@link colourful} looks at, in a row: of them it says what it says of the picture. */
export function thinned({ width, height, planes }: Picture): Picture {
  const step = Math.max(1, Math.floor((width * height) / SAMPLES));
  const count = Math.ceil((width * height) / step);
  const row = planes.map((plane) => new Float32Array(count).map((_, k) => plane[k * step]));
  return { width: count, height: 1, planes: row as unknown as Picture['planes'] };
}

function dot(p: Float64Array, q: Float64Array): number {
  let sum = 0;
  for (let k = 0; k < p.length; k++) sum += p[k] * q[k];
  return sum;
}

/** Takes off what lies along an axis of length 1. */
function takeOff(from: Float64Array, axis: Float64Array): void {
  const amount = dot(from, axis);
  for (let k = 0; k < from.length; k++) from[k] -= amount * axis[k];
}

/** 1, x and x squared as orthogonal axes of length 1 (Gram-Schmidt); those without a length of their own are left out. */
function orthogonal(x: Float64Array): Float64Array[] {
  const axes: Float64Array[] = [];
  for (const power of [0, 1, 2]) {
    const axis = x.map((v) => v ** power);
    const whole = Math.sqrt(dot(axis, axis));
    for (const known of axes) takeOff(axis, known);
    const length = Math.sqrt(dot(axis, axis));
    if (length > 1e-6 * whole) axes.push(axis.map((v) => v / length));
  }
  return axes;
}
