import { ValueNoise } from '@urbild/core';
import { chanceOf, css, hsl, onCanvas, type ForeignFamily } from './family';

const W = 400;
const H = 300;

/** Poplars under a moon, all of dots: denser where it is darker. */
export const stipples: ForeignFamily = {
  name: 'stipples',
  technique: 'one ink in dots, thrown by chance and kept by the darkness of the place',
  heldOut: false,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const ink = hsl(m.range(0, 360), m.range(0.1, 0.7), m.range(0.08, 0.3));
    const paper = hsl(m.range(30, 60), m.range(0.05, 0.35), m.range(0.88, 0.97));
    const dot = m.range(0.7, 1.5);
    const r = chanceOf(this.name, 'scene', seed);
    const noise = new ValueNoise(seed + 3);
    const moon = [r.range(0.15, 0.85), r.range(0.12, 0.35), r.range(0.05, 0.1)] as const;
    const trees = Array.from(
      { length: r.integer(3, 9) },
      () => [r.range(0, 1), r.range(0.2, 0.45), r.range(0.012, 0.03)] as const,
    );
    const tone = (u: number, v: number) => {
      const hill = 0.62 + 0.1 * noise.at(u * 3, 1) + 0.04 * noise.at(u * 9, 4);
      if (
        trees.some(
          ([x, h, w]) => Math.abs(u - x) < w * (1 - ((v - hill + h) / h - 0.5) ** 2 * 2) && v < hill && v > hill - h,
        )
      )
        return 0.92;
      if (v > hill) return 0.35 + 0.5 * ((v - hill) / (1 - hill)) + 0.2 * noise.at(u * 20, v * 40);
      const glow = Math.hypot((u - moon[0]) * 1.33, v - moon[1]);
      return glow < moon[2] ? 0 : Math.min(0.6, glow * 0.8);
    };
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = css(paper);
      g.fillRect(0, 0, W, H);
      g.fillStyle = css(ink);
      for (let k = 0; k < 42000 / dot; k++) {
        const [u, v] = [r.next(), r.next()];
        if (r.next() ** 0.7 > tone(u, v)) continue;
        g.beginPath();
        g.arc(u * W, v * H, dot * r.range(0.6, 1.1), 0, 7);
        g.fill();
      }
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
