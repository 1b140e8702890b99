/** A small cache with a limit: the entry that was used longest ago goes first. */
export class LeastRecentlyUsed<V> {
  readonly #entries = new Map<string, V>();

  constructor(private readonly limit: number) {}

  /** The value for `key`, made by `make` if it is not there. */
  get(key: string, make: () => V): V {
    const known = this.#entries.get(key);
    if (known !== undefined) {
      this.#entries.delete(key);
      this.#entries.set(key, known);
      return known;
    }
    const value = make();
    this.#entries.set(key, value);
    if (this.#entries.size > this.limit) this.#entries.delete(this.#entries.keys().next().value!);
    return value;
  }

  get size(): number {
    return this.#entries.size;
  }
}
