import { Random } from './random';

/** Value noise on a lattice of 256 x 256, smooth between the knots (Perlin 1985, the lattice variant). */
export class ValueNoise {
  readonly #knots = new Uint8Array(512);

  constructor(seed: number) {
    const random = new Random(seed);
    const order = Array.from({ length: 256 }, (_, i) => i);
    for (let i = 255; i > 0; i--) {
      const j = Math.floor(random.next() * (i + 1));
      [order[i], order[j]] = [order[j], order[i]];
    }
    for (let i = 0; i < 512; i++) this.#knots[i] = order[i & 255];
  }

  /** Noise at (x, y), -1..1, one feature per unit. */
  at(x: number, y: number): number {
    const p = this.#knots;
    const xi = Math.floor(x);
    const yi = Math.floor(y);
    let fx = x - xi;
    let fy = y - yi;
    fx = fx * fx * (3 - 2 * fx);
    fy = fy * fy * (3 - 2 * fy);
    const X = xi & 255;
    const Y = yi & 255;
    const a = p[p[X] + Y];
    const b = p[p[X + 1] + Y];
    const c = p[p[X] + ((Y + 1) & 255)];
    const d = p[p[X + 1] + ((Y + 1) & 255)];
    return ((a + (b - a) * fx) * (1 - fy) + (c + (d - c) * fx) * fy) / 127.5 - 1;
  }

  /** Sum of `octaves` noises, each twice as fine and half as strong: about -1..1. */
  fractal(x: number, y: number, octaves = 3): number {
    let sum = 0;
    let strength = 0.5;
    let frequency = 1;
    for (let i = 0; i < octaves; i++) {
      sum += strength * this.at(x * frequency, y * frequency);
      strength *= 0.5;
      frequency *= 2.03;
    }
    return sum;
  }
}
