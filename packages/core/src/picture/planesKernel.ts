import { compileKernel, growTo, type KernelMemory } from '../maths/wasm';
import { PLANES_WASM } from './planes.generated';

/** Filters over planes, SIMD; addresses are bytes. See kernel/planes.ts for what each argument is. */
interface PlanesKernel extends KernelMemory {
  blur(...args: readonly number[]): void;
  halve(...args: readonly number[]): void;
  shrink(...args: readonly number[]): void;
  enlarge(...args: readonly number[]): void;
  responses(...args: readonly number[]): void;
  lab(...args: readonly number[]): void;
}

/** Where the kernel's own data ends. */
const BASE = 1024;
/** Floats that a block of four vectors may read or write beyond a plane. */
const SLACK = 16;

const create = compileKernel<PlanesKernel>(PLANES_WASM, 'planes');
let kernel: PlanesKernel | undefined;

/** Lays stretches of floats one after the other into the kernel's memory; answers it and their addresses. */
function room(...floats: readonly number[]): { k: PlanesKernel; memory: Float32Array; at: number[] } {
  const k = (kernel ??= create());
  const at: number[] = [];
  let next = BASE;
  for (const n of floats) {
    at.push(next);
    next += 4 * (n + SLACK);
    next += -next & 15;
  }
  growTo(k, next);
  return { k, memory: new Float32Array(k.memory.buffer), at };
}

/** Separable blur by one half of a symmetric kernel, the middle first; edges reflected. */
export function blurBy(source: Float32Array, w: number, h: number, half: Float32Array): Float32Array {
  const radius = half.length - 1;
  const n = w * h;
  const { k, memory, at } = room(n, half.length, w + 2 * radius, n, n);
  const [from, weights, padded, rows, out] = at;
  memory.set(source, from / 4);
  memory.set(half, weights / 4);
  k.blur(from, w, h, weights, radius, padded, rows, out);
  return memory.slice(out / 4, out / 4 + n);
}

/** Half the size exactly. */
export function halvePlane(source: Float32Array, sw: number, dw: number, dh: number, out: Float32Array): void {
  const { k, memory, at } = room(source.length, dw * dh);
  memory.set(source, at[0] / 4);
  k.halve(at[0], sw, dw, dh, at[1]);
  out.set(memory.subarray(at[1] / 4, at[1] / 4 + dw * dh));
}

/** Which source samples a shrunken sample covers, and how much of each: firsts, lasts, then `most` weights of every sample. */
export interface Coverage {
  readonly first: Int32Array;
  readonly last: Int32Array;
  readonly weights: Float32Array;
  readonly most: number;
}

const putCoverage = (memory: Float32Array, address: number, { first, last, weights }: Coverage) => {
  const whole = new Int32Array(memory.buffer);
  whole.set(first, address / 4);
  whole.set(last, address / 4 + first.length);
  memory.set(weights, address / 4 + 2 * first.length);
};

/** What a plane is resized to: widths in px, how samples are taken each way, and where they go. */
interface Resized<Samples> {
  /** Width of the source. */
  readonly sw: number;
  readonly dw: number;
  readonly dh: number;
  readonly across: Samples;
  readonly down: Samples;
  /** dw * dh values. */
  readonly out: Float32Array;
}

/** Area average. */
export function shrinkPlane(source: Float32Array, { sw, dw, dh, across, down, out }: Resized<Coverage>): void {
  const size = (c: Coverage) => 2 * c.first.length + c.weights.length;
  const { k, memory, at } = room(source.length, size(across), size(down), sw, dw * dh);
  memory.set(source, at[0] / 4);
  putCoverage(memory, at[1], across);
  putCoverage(memory, at[2], down);
  k.shrink(at[0], sw, dw, dh, at[1], across.most, at[2], down.most, at[3], at[4]);
  out.set(memory.subarray(at[4] / 4, at[4] / 4 + dw * dh));
}

/** For every sample: the two of the source that it lies between, and how far towards the second. */
export interface Between {
  readonly low: Int32Array;
  readonly high: Int32Array;
  readonly part: Float32Array;
}

const putBetween = (memory: Float32Array, address: number, { low, high, part }: Between) => {
  const whole = new Int32Array(memory.buffer);
  whole.set(low, address / 4);
  whole.set(high, address / 4 + low.length);
  memory.set(part, address / 4 + 2 * low.length);
};

/** Bilinear. */
export function enlargePlane(source: Float32Array, { sw, dw, dh, across, down, out }: Resized<Between>): void {
  const { k, memory, at } = room(source.length, 3 * dw, 3 * dh, sw, dw * dh);
  memory.set(source, at[0] / 4);
  putBetween(memory, at[1], across);
  putBetween(memory, at[2], down);
  k.enlarge(at[0], sw, dw, dh, at[1], at[2], at[3], at[4]);
  out.set(memory.subarray(at[4] / 4, at[4] / 4 + dw * dh));
}

/**
 * Answers of 24 filters of 7 x 7 x 3 at every `step`-th pixel; `bank` is six groups of four filters, tap by tap. The answers are a
 * view of the kernel's memory: they are there until its next use.
 */
export function filterResponses(
  planes: readonly Float32Array[],
  w: number,
  h: number,
  step: number,
  bank: Float32Array,
): Float32Array[] {
  const count = Math.max(0, Math.ceil((w - 6) / step)) * Math.max(0, Math.ceil((h - 6) / step));
  const { k, memory, at } = room(3 * w * h, bank.length, 24 * count);
  planes.forEach((p, c) => memory.set(p, at[0] / 4 + c * w * h));
  memory.set(bank, at[1] / 4);
  k.responses(at[0], w, h, step, at[1], count, at[2]);
  return Array.from({ length: 24 }, (_, f) => memory.subarray(at[2] / 4 + f * count, at[2] / 4 + (f + 1) * count));
}

/** 8-bit sRGB with alpha, laid over white -> OKLab planes, a and b times `gain`. `light`: linear light of the 256 code values. */
export function labPlanes(
  rgba: Uint8Array | Uint8ClampedArray,
  n: number,
  light: Float32Array,
  gain: number,
): [L: Float32Array, a: Float32Array, b: Float32Array] {
  const { k, memory, at } = room(n, light.length, n, n, n);
  const [from, table, L, A, B] = at;
  new Uint8Array(memory.buffer).set(rgba.subarray(0, 4 * n), from);
  memory.set(light, table / 4);
  k.lab(from, n, table, gain, L, A, B);
  return [memory.slice(L / 4, L / 4 + n), memory.slice(A / 4, A / 4 + n), memory.slice(B / 4, B / 4 + n)];
}
