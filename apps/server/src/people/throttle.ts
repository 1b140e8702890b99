/** So many wrong passwords cost nothing. */
const FREE = 5;
/** The wait after the next one, ms; it doubles with each, up to the longest. */
const FIRST_WAIT = 2_000;
const LONGEST_WAIT = 15 * 60_000;
/** Names and addresses that are remembered at most; the oldest goes. */
const MOST = 10_000;

interface Tries {
  wrong: number;
  /** When the next may be made, ms since the epoch. */
  next: number;
}

/**
 * Slows down whoever guesses: after five wrong passwords each further one makes the wait twice as long. A name waits by itself, so that
 * many addresses guess one name no faster, and an address does, so that one address does not guess many names.
 */
export class Throttle {
  private readonly tries = new Map<string, Tries>();

  constructor(private readonly now: () => number = Date.now) {}

  /** How long somebody has to wait before trying again, ms; 0 for not at all. */
  wait(...keys: readonly string[]): number {
    return Math.max(0, ...keys.map((key) => (this.tries.get(key)?.next ?? 0) - this.now()));
  }

  wrong(...keys: readonly string[]): void {
    for (const key of keys) {
      const { wrong } = this.tries.get(key) ?? { wrong: 0 };
      const over = wrong + 1 - FREE;
      const wait = over < 0 ? 0 : Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** over);
      this.tries.delete(key);
      this.tries.set(key, { wrong: wrong + 1, next: this.now() + wait });
      if (this.tries.size > MOST) this.tries.delete(this.tries.keys().next().value!);
    }
  }

  right(...keys: readonly string[]): void {
    for (const key of keys) this.tries.delete(key);
  }
}
