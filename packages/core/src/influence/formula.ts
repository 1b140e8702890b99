import { clamp, smoothstep } from '../maths/scalar';
import { give, type Gives } from '../mix/gives';
import { CHANNELS, type Channel } from '../mix/gives/give';
import type { IdentityPart } from '../mix/influence/parts';
import type { Influence, Weighing } from './types';

/** Where a channel is decided on the course: 1 fully, 0 not any more (or not yet). `t` is 0..1. */
export function envelope(channel: Channel, t: number): number {
  switch (channel) {
    case 'layout':
    case 'pose':
      return Math.max(0, 1 - t / 0.4);
    case 'identity':
    case 'colour':
      return Math.max(0, 1 - t / 0.7);
    case 'surface':
      return clamp((t - 0.1) / 0.6);
  }
}

/** m(gives, channel): how much of a weight reaches a channel, 0..1. */
export const givesFactor = (gives: Gives, channel: Channel): number => give(gives).factors[channel] ?? 0;

/** The channels that `gives` acts on. */
export const channelsOf = (gives: Gives): Channel[] => Object.keys(give(gives).factors) as Channel[];

/** The parts of an identity that an influence pulls on: a face and an outfit do not take from each other. */
export function partsOf({ gives, parts }: Pick<Influence, 'gives' | 'parts'>): readonly IdentityPart[] {
  const declared = give(gives);
  return (declared.choosesParts && parts) || declared.parts;
}

/** Whose identity, and which part of it, shares are asked for. */
export interface Aim {
  /** Influences bound to another subject do not count. */
  readonly subject?: string;
  /** Influences that do not carry this part do not count. */
  readonly part?: IdentityPart;
}

const aimsAt = (i: Influence, { subject, part }: Aim): boolean =>
  !(subject !== undefined && i.subject !== undefined && i.subject !== subject) &&
  !(part !== undefined && !partsOf(i).includes(part));

/** Width of the smooth ramps just inside the ends of a span, in parts of the course. */
export const RAMP = 0.04;

/**
 * g(t): 1 inside the span, smooth ramps just inside its ends, 0 outside. An end that lies at the very start or end of
 * the course has no ramp, so that a whole span at weight 1 means a share of exactly 1.
 */
export function gate({ from, to }: Pick<Influence, 'from' | 'to'>, t: number): number {
  if (t < from || t > to || to <= from) return 0;
  const ramp = Math.min(RAMP, (to - from) / 2);
  const rise = from <= 0 ? 1 : smoothstep(0, ramp, t - from);
  const fall = to >= 1 ? 1 : smoothstep(0, ramp, to - t);
  return Math.min(rise, fall);
}

/** pull(t) = weight x m(gives, channel) x gate x balance; 0 for an influence that is off. */
export function pullOf(influence: Influence, channel: Channel, t: number, balance: number): number {
  if (!influence.on) return 0;
  const factor = givesFactor(influence.gives, channel);
  return factor ? influence.weight * factor * gate(influence, t) * balance : 0;
}

/** The shares on one channel at one moment: they and `words` sum to 1. */
export interface Shares {
  /** One share per influence, in the mix's order, 0..1. */
  readonly influences: readonly number[];
  /** What is left to the words, 0..1. */
  readonly words: number;
  /** Literalness: the sum of pulls where it is above 1, else 1. Above 1 the references are copied more literally. */
  readonly over: number;
}

/** The shares on `channel` at the moment `t` (0..1), of all influences or of those that aim at somebody. */
export function sharesAt(mix: Weighing, channel: Channel, t: number, aim: Aim = {}): Shares {
  const pulls = mix.influences.map((influence) =>
    aimsAt(influence, aim) ? pullOf(influence, channel, t, mix.balance) : 0,
  );
  return sharesFromPulls(pulls);
}

/**
 * The shares at a moment over all channels that are being decided just then, each weighted by its envelope; the words have everything
 * where nothing is decided. `over` is the mean literalness in the same way.
 */
export function combinedSharesAt(mix: Weighing, t: number): Shares {
  const sums = mix.influences.map(() => 0);
  let total = 0;
  let literal = 0;
  for (const channel of CHANNELS) {
    const weight = envelope(channel, t);
    if (!weight) continue;
    total += weight;
    const { influences, over } = sharesAt(mix, channel, t);
    influences.forEach((s, i) => (sums[i] += weight * s));
    literal += weight * over;
  }
  const influences = sums.map((s) => (total ? s / total : 0));
  return { influences, words: 1 - influences.reduce((a, b) => a + b, 0), over: total ? literal / total : 1 };
}

function sharesFromPulls(pulls: readonly number[]): Shares {
  const total = pulls.reduce((a, b) => a + b, 0);
  const held = Math.min(1, total);
  return {
    influences: pulls.map((p) => (total > 0 ? (held * p) / total : 0)),
    words: 1 - held,
    over: Math.max(1, total),
  };
}

const STEPS = 200;

/**
 * The mean shares on `channel` over the part [from, to] of the course, each moment weighted by the channel's envelope
 * (by nothing where the envelope is 0 throughout). The whole course for what is decided at once, the part of a level
 * for what is synthesised level by level.
 */
export function meanShares(mix: Weighing, channel: Channel, from = 0, to = 1, aim: Aim = {}): Shares {
  let weights = 0;
  for (let i = 0; i < STEPS; i++) weights += envelope(channel, moment(i, from, to));
  const flat = weights === 0;
  const sums = mix.influences.map(() => 0);
  let over = 0;
  for (let i = 0; i < STEPS; i++) {
    const t = moment(i, from, to);
    const weight = flat ? 1 / STEPS : envelope(channel, t) / weights;
    if (!weight) continue;
    const at = sharesAt(mix, channel, t, aim);
    at.influences.forEach((share, k) => (sums[k] += weight * share));
    over += weight * at.over;
  }
  return { influences: sums, words: 1 - sums.reduce((a, b) => a + b, 0), over: Math.max(1, over) };
}

const moment = (i: number, from: number, to: number): number => from + ((i + 0.5) / STEPS) * (to - from);

/** The mean of the gate over [from, to]: how much of that part of the course a span covers, 0..1. */
export function meanGate(span: Pick<Influence, 'from' | 'to'>, from: number, to: number): number {
  let sum = 0;
  for (let i = 0; i < STEPS; i++) sum += gate(span, moment(i, from, to));
  return sum / STEPS;
}

/**
 * A trait that the words name outright counts as a pull of 1 on that trait, or of `words` where these are to hold more or less
 * strictly (0..2): the share that references with a summed pull of `total` have against it; 0 where neither pulls.
 */
export const shareAgainstNamedTrait = (total: number, words = 1): number => (total > 0 ? total / (total + words) : 0);

/** A share on a channel as a part of the most that a give has of it, 0..1: the factor of light on colour is .7, and all of that is the whole light. */
export const partOfGive = (gives: Gives, channel: Channel, share: number): number =>
  Math.min(1, share / givesFactor(gives, channel));

/** Divides the weight of a look, group or character over its pictures by their own weights (relative, >= 0). */
export function divideWeight(weight: number, parts: readonly number[]): number[] {
  const total = parts.reduce((a, b) => a + b, 0);
  return parts.map((p) => (total > 0 ? (weight * p) / total : 0));
}
