import { Random } from '../maths/random';
import { packFloats, packRows, unpackFloats, unpackRows, type PackedRows } from './packing';

/**
 * A network of one hidden layer (Rumelhart, Hinton and Williams 1986) over standardised features: tangents inside, plain sums at
 * the end. For what straight lines cannot tell apart.
 */
export interface Network {
  /** What each output stands for. */
  readonly names: readonly string[];
  readonly mean: Float32Array;
  readonly scale: Float32Array;
  /** One row of features + 1 (the bias last) for each hidden unit. */
  readonly hidden: readonly Float32Array[];
  /** One row of hidden units + 1 (the bias last) for each output. */
  readonly outputs: readonly Float32Array[];
}

/** Standardised features are limited to this many standard deviations. */
const LIMIT = 4;

/** What a network is learnt from: features and, for each output, what it should say. */
export interface Lesson {
  readonly features: Float32Array;
  readonly wanted: ArrayLike<number>;
}

/** How a network is learnt. */
export interface NetworkLearning {
  readonly hidden: number;
  /** Times that every sample is seen. */
  readonly rounds: number;
  /** Length of a step of Adam (Kingma and Ba 2015); falls to a tenth towards the end. */
  readonly rate: number;
  /** Decay of weights per step, decoupled (Loshchilov and Hutter 2019). */
  readonly decay: number;
  /** Part of the features that is left out at random each time, so that none is relied upon alone. */
  readonly drop?: number;
  readonly seed?: number;
}

const BATCH = 32;

/** Features in standard deviations from their mean. */
function standardise({ mean, scale }: Pick<Network, 'mean' | 'scale'>, features: ArrayLike<number>): Float32Array {
  const z = new Float32Array(mean.length);
  for (let j = 0; j < z.length; j++) z[j] = Math.max(-LIMIT, Math.min(LIMIT, (features[j] - mean[j]) / scale[j]));
  return z;
}

function layer(rows: readonly Float32Array[], input: Float32Array, out: Float32Array): Float32Array {
  for (let k = 0; k < rows.length; k++) {
    const row = rows[k];
    let sum = row[input.length];
    for (let j = 0; j < input.length; j++) sum += row[j] * input[j];
    out[k] = sum;
  }
  return out;
}

/** What a network says: one number for each of its names. */
export function answerOf(network: Network, features: ArrayLike<number>): Float32Array {
  const inside = layer(network.hidden, standardise(network, features), new Float32Array(network.hidden.length));
  for (let k = 0; k < inside.length; k++) inside[k] = Math.tanh(inside[k]);
  return layer(network.outputs, inside, new Float32Array(network.outputs.length));
}

/** Numbers as parts of one, 0..1: the odds that an answer of a network of choices gives. */
export function oddsOf(answer: ArrayLike<number>): Float32Array {
  let top = -Infinity;
  for (let k = 0; k < answer.length; k++) top = Math.max(top, answer[k]);
  const out = Float32Array.from(answer, (v) => Math.exp(v - top));
  let all = 0;
  for (const v of out) all += v;
  return out.map((v) => v / all);
}

/** A weight matrix with what Adam remembers of it. */
class Learner {
  readonly rows: Float32Array[];
  readonly #slope: Float32Array[];
  readonly #first: Float32Array[];
  readonly #second: Float32Array[];
  #steps = 0;

  constructor(count: number, length: number, random: Random, spread: number) {
    const rows = () => Array.from({ length: count }, () => new Float32Array(length + 1));
    this.rows = rows().map((row) => row.map((_, j) => (j < length ? random.normal() * spread : 0)));
    this.#slope = rows();
    this.#first = rows();
    this.#second = rows();
  }

  add(k: number, amount: number, input: Float32Array): void {
    const slope = this.#slope[k];
    for (let j = 0; j < input.length; j++) slope[j] += amount * input[j];
    slope[input.length] += amount;
  }

  step(rate: number, decay: number, samples: number): void {
    this.#steps++;
    const [b1, b2] = [1 - 0.9 ** this.#steps, 1 - 0.999 ** this.#steps];
    for (let k = 0; k < this.rows.length; k++) {
      const [row, slope, first, second] = [this.rows[k], this.#slope[k], this.#first[k], this.#second[k]];
      for (let j = 0; j < row.length; j++) {
        const g = slope[j] / samples;
        first[j] = 0.9 * first[j] + 0.1 * g;
        second[j] = 0.999 * second[j] + 0.001 * g * g;
        row[j] -=
          rate * (first[j] / b1 / (Math.sqrt(second[j] / b2) + 1e-8) + (j < row.length - 1 ? decay * row[j] : 0));
      }
      slope.fill(0);
    }
  }
}

/**
 * Learns a network: for `choices` by cross entropy (what is wanted are parts that sum to 1), for `numbers` by squared differences.
 * Deterministic for a seed. Throws RangeError without lessons.
 */
export function learnNetwork(
  lessons: readonly Lesson[],
  names: readonly string[],
  of: 'choices' | 'numbers',
  { hidden, rounds, rate, decay, drop = 0, seed = 1 }: NetworkLearning,
): Network {
  if (!lessons.length) throw new RangeError('There is nothing to learn from');
  const spread = spreadOf(lessons.map((l) => l.features));
  const inputs = lessons.map((l) => standardise(spread, l.features));
  const length = inputs[0].length;
  const random = new Random(seed);
  const inner = new Learner(hidden, length, random, 1 / Math.sqrt(length));
  const outer = new Learner(names.length, hidden, random, 1 / Math.sqrt(hidden));
  const order = lessons.map((_, i) => i);
  const z = new Float32Array(length);
  const inside = new Float32Array(hidden);
  const back = new Float32Array(hidden);
  const said = new Float32Array(names.length);
  const keep = 1 / (1 - drop);
  for (let round = 0; round < rounds; round++) {
    for (let i = order.length - 1; i > 0; i--) {
      const j = Math.floor(random.next() * (i + 1));
      [order[i], order[j]] = [order[j], order[i]];
    }
    const step = rate * (1 - (0.9 * round) / Math.max(1, rounds - 1));
    for (let from = 0; from < order.length; from += BATCH) {
      const batch = order.slice(from, from + BATCH);
      for (const i of batch) {
        const input = inputs[i];
        for (let j = 0; j < length; j++) z[j] = drop && random.next() < drop ? 0 : input[j] * keep;
        layer(inner.rows, z, inside);
        for (let k = 0; k < hidden; k++) inside[k] = Math.tanh(inside[k]);
        layer(outer.rows, inside, said);
        const answer = of === 'choices' ? oddsOf(said) : said;
        back.fill(0);
        for (let k = 0; k < names.length; k++) {
          const miss = answer[k] - lessons[i].wanted[k];
          for (let h = 0; h < hidden; h++) back[h] += miss * outer.rows[k][h];
          outer.add(k, miss, inside);
        }
        for (let h = 0; h < hidden; h++) inner.add(h, back[h] * (1 - inside[h] * inside[h]), z);
      }
      inner.step(step, decay, batch.length);
      outer.step(step, decay, batch.length);
    }
  }
  return { names, ...spread, hidden: inner.rows, outputs: outer.rows };
}

function spreadOf(inputs: readonly Float32Array[]): Pick<Network, 'mean' | 'scale'> {
  const length = inputs[0].length;
  const sums = new Float64Array(length);
  const squares = new Float64Array(length);
  for (const x of inputs) for (let j = 0; j < length; j++) sums[j] += x[j];
  const mean = Float32Array.from(sums, (v) => v / inputs.length);
  for (const x of inputs) for (let j = 0; j < length; j++) squares[j] += (x[j] - mean[j]) ** 2;
  return { mean, scale: Float32Array.from(squares, (v) => Math.sqrt(v / inputs.length) + 1e-3) };
}

/** A network as JSON with base64 numbers: mean and scale as 32-bit floats, weights in 8 bits with one scale a row. */
export interface PackedNetwork {
  readonly names: readonly string[];
  readonly mean: string;
  readonly scale: string;
  readonly hidden: PackedRows;
  readonly outputs: PackedRows;
}

/** Packs a network for {@link unpackNetwork}. */
export const packNetwork = ({ names, mean, scale, hidden, outputs }: Network): PackedNetwork => ({
  names,
  mean: packFloats(mean),
  scale: packFloats(scale),
  hidden: packRows(hidden),
  outputs: packRows(outputs),
});

/** Unpacks what a training script wrote. */
export const unpackNetwork = ({ names, mean, scale, hidden, outputs }: PackedNetwork): Network => ({
  names,
  mean: unpackFloats(mean),
  scale: unpackFloats(scale),
  hidden: unpackRows(hidden),
  outputs: unpackRows(outputs),
});
