import { lerp, Random } from '@urbild/core';

/** The seed of the composition that every picture shares at spread 0. */
export const COMMON_SEED = 20_481;

/**
 * The chance by which a picture is composed: at spread 1 it follows the picture's own seed, at 0 every seed gives the
 * same composition, and in between the one moves towards the other.
 */
export class SpreadRandom extends Random {
  readonly #common = new Random(COMMON_SEED);

  /** `spread` 0..1. */
  constructor(
    seed: number,
    private readonly spread: number,
  ) {
    super(seed);
  }

  override next(): number {
    const free = super.next();
    const common = this.#common.next();
    return this.spread >= 1 ? free : lerp(common, free, this.spread);
  }
}
