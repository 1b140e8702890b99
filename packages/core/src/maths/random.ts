/**
 * A small seeded generator (mulberry32): the same seed gives the same numbers on every machine.
 * All randomness of core and engine comes from here, never from `Math.random`.
 */
export class Random {
  #state: number;

  constructor(seed: number) {
    this.#state = seed >>> 0;
  }

  /** The next number in [0, 1). */
  next(): number {
    this.#state = (this.#state + 0x6d2b79f5) >>> 0;
    let t = this.#state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }

  /** A number in [low, high). */
  range(low: number, high: number): number {
    return low + (high - low) * this.next();
  }

  /** A whole number in [low, high], both included. */
  integer(low: number, high: number): number {
    return Math.floor(this.range(low, high + 1));
  }

  /** A bell-shaped number around 0, within about ±1.7 (sum of four uniform ones). */
  bell(): number {
    return (this.next() + this.next() + this.next() + this.next() - 2) / 1.15;
  }

  /** A normally distributed number, mean 0, deviation 1 (Box and Muller 1958). */
  normal(): number {
    let u = 0;
    while (u < 1e-9) u = this.next();
    return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * this.next());
  }

  /** True with the probability `p`. */
  chance(p: number): boolean {
    return this.next() < p;
  }

  /** One of `items`; `items` must not be empty. */
  pick<T>(items: readonly T[]): T {
    return items[Math.floor(this.next() * items.length)];
  }
}

/** FNV-1a of a text as an unsigned 32-bit number: a seed from words. */
export function hashText(text: string): number {
  let h = 2166136261;
  for (const c of text) {
    h ^= c.codePointAt(0)!;
    h = Math.imul(h, 16777619);
  }
  return h >>> 0;
}
