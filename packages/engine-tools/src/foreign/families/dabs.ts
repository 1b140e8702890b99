import { ValueNoise } from '@urbild/core';
import { between, chanceOf, css, hsl, onCanvas, type ForeignFamily, type Rgb } from './family';

const W = 420;
const H = 300;

/** A river between trees in thick short dabs that follow the water and the leaves. */
export const dabs: ForeignFamily = {
  name: 'dabs',
  technique: 'thousands of short opaque strokes with a light and a dark flank, along a field of directions',
  heldOut: false,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const day = {
      sky: hsl(m.range(180, 330), m.range(0.2, 0.6), m.range(0.55, 0.85)),
      leaf: hsl(m.range(30, 150), m.range(0.3, 0.7), m.range(0.3, 0.55)),
      water: hsl(m.range(170, 280), 0.4, m.range(0.4, 0.7)),
      bank: hsl(m.range(20, 60), 0.45, m.range(0.4, 0.7)),
    };
    const spark = hsl(m.range(0, 360), 0.8, 0.65);
    const length = m.range(8, 18);
    const r = chanceOf(this.name, 'place', seed);
    const noise = new ValueNoise(seed + 23);
    const trees = Array.from(
      { length: r.integer(3, 7) },
      () => [r.next(), r.range(0.34, 0.48), r.range(0.07, 0.15)] as const,
    );
    const bend = r.range(-0.25, 0.25);
    const place = (u: number, v: number): readonly [Rgb, number] => {
      if (trees.some(([x, y, s]) => Math.hypot((u - x) * 1.4, v - y) < s * (1 + 0.3 * noise.at(u * 9, v * 9))))
        return [day.leaf, noise.at(u * 8, v * 8) * 3];
      if (v < 0.5) return [between(day.sky, [255, 250, 235], v), noise.at(u * 2, v * 4) * 0.8];
      const middle = 0.5 + bend * (1 - v) * 2;
      if (Math.abs(u - middle) < 0.12 + (v - 0.5) * 0.8)
        return [between(day.water, day.sky, 0.5 + 0.5 * noise.at(u * 5, v * 30)), 0];
      return [day.bank, 0.4 + noise.at(u * 6, v * 6)];
    };
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = css(day.bank);
      g.fillRect(0, 0, W, H);
      const dab = (x: number, y: number, angle: number, long: number, colour: Rgb) => {
        const [dx, dy] = [Math.cos(angle) * long, Math.sin(angle) * long];
        for (const [side, tone, width] of [
          [1.3, [0, 0, 0], 4.4],
          [-0.9, [255, 255, 255], 4],
          [0, colour, 4],
        ] as const) {
          g.strokeStyle = css(side ? between(colour, tone, 0.3) : colour);
          g.lineWidth = width;
          g.beginPath();
          g.moveTo(x - dx / 2 + side * 0.6, y - dy / 2 + side);
          g.lineTo(x + dx / 2 + side * 0.6, y + dy / 2 + side);
          g.stroke();
        }
      };
      for (let k = 0; k < 5200; k++) {
        const [u, v] = [r.next(), r.next()];
        const [colour, angle] = place(u, v);
        const own = between(
          r.chance(0.08) ? spark : colour,
          r.chance(0.5) ? [255, 255, 255] : [20, 10, 60],
          r.next() * 0.22,
        );
        dab(u * W, v * H, angle + r.normal() * 0.25, length * r.range(0.5, 1.1), own);
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
