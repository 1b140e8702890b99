import { ValueNoise } from '@urbild/core';
import { between, byPixel, chanceOf, hsl, type ForeignFamily } from './family';

const W = 400;
const H = 300;

/** Towers on a rock, cut in parallel lines that swell where it is dark. */
export const engravings: ForeignFamily = {
  name: 'engravings',
  technique: 'parallel lines that bend with the form and swell with its darkness',
  heldOut: false,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const ink = hsl(m.range(0, 360), m.range(0, 0.5), m.range(0.08, 0.28));
    const paper = hsl(m.range(25, 60), m.range(0.1, 0.35), m.range(0.86, 0.96));
    const pitch = m.range(2.6, 4.4);
    const crossed = m.chance(0.5);
    const r = chanceOf(this.name, 'scene', seed);
    const noise = new ValueNoise(seed + 11);
    const towers = Array.from(
      { length: r.integer(2, 5) },
      () => [r.range(0.2, 0.8), r.range(0.2, 0.4), r.range(0.02, 0.05)] as const,
    );
    const light = r.chance(0.5) ? 1 : -1;
    const rock = (u: number) => 0.72 - 0.18 * Math.exp(-(((u - 0.5) / 0.3) ** 2)) + 0.03 * noise.at(u * 12, 2);
    /** Darkness and the way the lines bend. */
    const form = (u: number, v: number): readonly [number, number] => {
      for (const [x, h, w] of towers) {
        const foot = rock(x) + 0.02;
        if (Math.abs(u - x) < w && v > foot - h && v < foot)
          return [0.45 + 0.5 * light * ((u - x) / w), ((u - x) / w) ** 2 * 6];
        if (v <= foot - h && v > foot - h - w * 2.4 && Math.abs(u - x) < (v - foot + h + w * 2.4) * 0.5)
          return [0.75, (u - x) * 60];
      }
      if (v > rock(u) && v < 0.84) return [0.5 + 0.4 * noise.at(u * 16, v * 16), noise.at(u * 6, v * 6) * 10];
      if (v >= 0.84) return [0.3 + 0.25 * Math.sin(v * 90 + 3 * noise.at(u * 5, v * 9)), noise.at(u * 5, v * 3) * 3];
      return [0.12 + 0.3 * Math.max(0, noise.at(u * 4, v * 7)), noise.at(u * 3, v * 3) * 8];
    };
    const rgba = byPixel(W, H, (u, v) => {
      const [dark, bend] = form(u, v);
      const at = (p: number) => Math.abs((((p % pitch) + pitch) % pitch) - pitch / 2) / (pitch / 2);
      const cut = Math.min(1, Math.max(0, dark));
      const first = at(v * H + bend) < cut ? 1 : 0;
      const second = crossed && at(u * W * 0.7 + v * H * 0.7) < cut - 0.5 ? 1 : 0;
      return between(paper, ink, Math.max(first, second));
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'scene', people: 0, ground: 'busy' },
    };
  },
};
