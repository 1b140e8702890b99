import { packFloats, packRows, unpackFloats, unpackRows, type PackedRows } from './packing';

/** A linear classifier (multinomial logistic regression) over standardised features. */
export interface Classifier {
  readonly classes: readonly string[];
  readonly mean: Float32Array;
  readonly scale: Float32Array;
  /** One row of features + 1 (the bias last) for each class. */
  readonly weights: readonly Float32Array[];
}

/** Standardised features are limited to this many standard deviations, so that odd pictures stay near what was learnt. */
const LIMIT = 4;

/** A class with its probability, 0..1. */
export interface Guess<T extends string = string> {
  readonly is: T;
  readonly probability: number;
}

/** The features of one picture as the classifier takes them. */
function standardise({ mean, scale }: Pick<Classifier, 'mean' | 'scale'>, features: ArrayLike<number>): Float32Array {
  return mean.map((m, j) => Math.max(-LIMIT, Math.min(LIMIT, (features[j] - m) / scale[j])));
}

const scoresFor = (weights: readonly Float32Array[], z: Float32Array): number[] =>
  weights.map((row) => {
    let sum = row[z.length];
    for (let j = 0; j < z.length; j++) sum += row[j] * z[j];
    return sum;
  });

function probabilities(weights: readonly Float32Array[], z: Float32Array): number[] {
  const scores = scoresFor(weights, z);
  const top = Math.max(...scores);
  const parts = scores.map((s) => Math.exp(s - top));
  const all = parts.reduce((a, b) => a + b, 0);
  return parts.map((p) => p / all);
}

/** The plain scores of all classes: what a linear regression of each of them says. */
export const scoresOf = (model: Classifier, features: ArrayLike<number>): number[] =>
  scoresFor(model.weights, standardise(model, features));

/** All classes with their probabilities, likeliest first. */
export function classify(classifier: Classifier, features: ArrayLike<number>): Guess[] {
  const p = probabilities(classifier.weights, standardise(classifier, features));
  return classifier.classes.map((is, k) => ({ is, probability: p[k] })).sort((a, b) => b.probability - a.probability);
}

/** How a classifier is learnt. */
export interface Learning {
  readonly rounds: number;
  /** Decay of weights per round and step. */
  readonly decay: number;
  /** Length of a step; .35 when absent, less for many features. */
  readonly step?: number;
}

/** Mean and spread of every feature. */
function spreadOf(inputs: readonly ArrayLike<number>[]): Pick<Classifier, 'mean' | 'scale'> {
  if (!inputs.length) throw new RangeError('There is nothing to learn from');
  const length = inputs[0].length;
  const mean = new Float32Array(length);
  const scale = new Float32Array(length);
  for (let j = 0; j < length; j++) {
    for (const x of inputs) mean[j] += x[j] / inputs.length;
    for (const x of inputs) scale[j] += (x[j] - mean[j]) ** 2 / inputs.length;
    scale[j] = Math.sqrt(scale[j]) + 1e-3;
  }
  return { mean, scale };
}

/** Gradient descent with momentum; `miss` says how far the scores of one sample are off. */
function descend(
  inputs: readonly Float32Array[],
  outputs: number,
  { rounds, decay, step = 0.35 }: Learning,
  miss: (scores: number[], sample: number) => number[],
): Float32Array[] {
  const length = inputs[0].length;
  const rows = () => Array.from({ length: outputs }, () => new Float32Array(length + 1));
  const weights = rows();
  const speed = rows();
  for (let round = 0; round < rounds; round++) {
    const slope = rows();
    inputs.forEach((z, i) => {
      miss(scoresFor(weights, z), i).forEach((m, k) => {
        const g = m / inputs.length;
        const row = slope[k];
        for (let j = 0; j < length; j++) row[j] += g * z[j];
        row[length] += g;
      });
    });
    weights.forEach((row, k) => {
      for (let j = 0; j <= length; j++) {
        speed[k][j] = 0.9 * speed[k][j] - step * (slope[k][j] + (j < length ? decay * row[j] : 0));
        row[j] += speed[k][j];
      }
    });
  }
  return weights;
}

/** Learns one linear regression for each of some numbers, with decay (ridge). Throws RangeError without samples. */
export function learnNumbers(
  samples: readonly { readonly features: ArrayLike<number>; readonly numbers: readonly number[] }[],
  names: readonly string[],
  learning: Learning,
): Classifier {
  const spread = spreadOf(samples.map((s) => s.features));
  const inputs = samples.map((s) => standardise(spread, s.features));
  const weights = descend(inputs, names.length, learning, (scores, i) =>
    scores.map((v, k) => v - samples[i].numbers[k]),
  );
  return { classes: names, ...spread, weights };
}

/**
 * Learns a classifier by gradient descent with momentum on the cross entropy. Deterministic: it starts from zeros. Throws
 * RangeError without samples.
 */
export function learnClassifier(
  samples: readonly { readonly features: ArrayLike<number>; readonly is: string }[],
  classes: readonly string[],
  learning: Learning,
): Classifier {
  const spread = spreadOf(samples.map((s) => s.features));
  const inputs = samples.map((s) => standardise(spread, s.features));
  const weights = descend(inputs, classes.length, learning, (scores, i) => {
    const top = Math.max(...scores);
    const parts = scores.map((v) => Math.exp(v - top));
    const all = parts.reduce((a, b) => a + b, 0);
    return parts.map((p, k) => p / all - (samples[i].is === classes[k] ? 1 : 0));
  });
  return { classes, ...spread, weights };
}

/** A classifier as JSON with base64 numbers: mean and scale as 32-bit floats, weights in 8 bits with one scale a row. */
export interface PackedClassifier extends PackedRows {
  readonly classes: readonly string[];
  readonly mean: string;
  readonly scale: string;
}

/** Unpacks what the training script wrote. */
export const unpackClassifier = ({ classes, mean, scale, top, weights }: PackedClassifier): Classifier => ({
  classes,
  mean: unpackFloats(mean),
  scale: unpackFloats(scale),
  weights: unpackRows({ top, weights }),
});

/** Packs a classifier for {@link unpackClassifier}. */
export const packClassifier = ({ classes, mean, scale, weights }: Classifier): PackedClassifier => ({
  classes,
  mean: packFloats(mean),
  scale: packFloats(scale),
  ...packRows(weights),
});
