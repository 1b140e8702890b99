/** Lets at most so many at once do something; the others wait for their turn, in their order. */
export class Turns {
  private free: number;
  private readonly waiting: (() => void)[] = [];

  constructor(atOnce: number) {
    this.free = atOnce;
  }

  /** How many wait for their turn. */
  get queued(): number {
    return this.waiting.length;
  }

  /** Does something when its turn has come. */
  async run<T>(act: () => Promise<T>): Promise<T> {
    if (this.free > 0) this.free--;
    else await new Promise<void>((turn) => this.waiting.push(turn));
    try {
      return await act();
    } finally {
      const next = this.waiting.shift();
      if (next) next();
      else this.free++;
    }
  }
}
