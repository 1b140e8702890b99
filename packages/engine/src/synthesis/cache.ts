/** What entries of a cache cost, in any unit, and how much they may cost together. */
export interface CacheBudget<V> {
  readonly costOf: (value: V) => number;
  readonly most: number;
}

/** A small cache with a limit: the entries that were used longest ago go first; one that costs more than the budget is not kept. */
export class LeastRecentlyUsed<V> {
  readonly #entries = new Map<string, V>();
  #cost = 0;

  constructor(
    private readonly limit: number,
    private readonly budget?: CacheBudget<V>,
  ) {}

  /** The value for `key`, made by `make` if it is not there. */
  get(key: string, make: () => V): V {
    const known = this.#entries.get(key);
    if (known !== undefined) {
      this.#entries.delete(key);
      this.#entries.set(key, known);
      return known;
    }
    const value = make();
    this.#cost += this.#costOf(value);
    this.#entries.set(key, value);
    for (const [oldest, old] of this.#entries) {
      if (this.#entries.size <= this.limit && this.#cost <= (this.budget?.most ?? Infinity)) break;
      this.#entries.delete(oldest);
      this.#cost -= this.#costOf(old);
    }
    return value;
  }

  #costOf(value: V): number {
    return this.budget?.costOf(value) ?? 0;
  }

  get size(): number {
    return this.#entries.size;
  }
}
