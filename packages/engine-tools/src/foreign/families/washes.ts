import { ValueNoise } from '@urbild/core';
import { between, byPixel, chanceOf, hsl, type ForeignFamily, type Rgb } from './family';

const W = 360;
const H = 300;

/** Flowers in a jar, in wet colour: edges dry darker, colours run into each other, white paper is left. */
export const washes: ForeignFamily = {
  name: 'wet washes',
  technique: 'translucent stains with noisy edges that dry darker, multiplied over paper',
  heldOut: false,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const petals = Array.from({ length: 3 }, () => hsl(m.range(0, 360), m.range(0.4, 0.9), m.range(0.5, 0.75)));
    const leaf = hsl(m.range(80, 170), m.range(0.2, 0.6), m.range(0.4, 0.6));
    const jar = hsl(m.range(170, 260), 0.3, 0.7);
    const wet = m.range(0.05, 0.2);
    const r = chanceOf(this.name, 'sheet', seed);
    const noise = new ValueNoise(seed + 19);
    interface Stain {
      readonly x: number;
      readonly y: number;
      readonly rx: number;
      readonly ry: number;
      readonly colour: Rgb;
    }
    const stains: Stain[] = [
      { x: 0.5, y: 0.2, rx: 0.7, ry: 0.35, colour: between(petals[2], [255, 255, 255], 0.7) },
      { x: 0.5, y: 0.95, rx: 0.6, ry: 0.14, colour: between(jar, [255, 255, 255], 0.4) },
      { x: 0.5, y: 0.76, rx: 0.13, ry: 0.16, colour: jar },
    ];
    for (let k = 0; k < 9; k++)
      stains.push({
        x: 0.5 + r.normal() * 0.14,
        y: 0.52 + r.normal() * 0.06,
        rx: 0.03,
        ry: r.range(0.08, 0.14),
        colour: leaf,
      });
    for (let k = 0; k < r.integer(6, 12); k++) {
      const s = r.range(0.05, 0.1);
      stains.push({ x: 0.5 + r.normal() * 0.17, y: 0.34 + r.normal() * 0.1, rx: s, ry: s, colour: r.pick(petals) });
    }
    const rgba = byPixel(W, H, (u, v) => {
      let colour: Rgb = [250, 248, 243];
      stains.forEach(({ x, y, rx, ry, colour: c }, k) => {
        const q =
          Math.hypot((u - x) / rx, (v - y) / ry) +
          wet * 2 * noise.at(u * 9 + k * 7, v * 9) +
          wet * noise.at(u * 27, v * 27 + k);
        if (q > 1.05) return;
        const body = Math.min(1, (1.05 - q) / 0.12) * 0.62;
        const rim = Math.exp(-(((q - 0.95) / 0.05) ** 2)) * 0.35;
        const bloom = 0.2 * noise.at(u * 14 + k, v * 14);
        const strength = Math.min(1, Math.max(0, body + rim + bloom * body));
        colour = colour.map((p, i) => p * (1 - strength + (strength * c[i]) / 255)) as unknown as Rgb;
      });
      const tooth = 4 * noise.at(u * 170, v * 140);
      return colour.map((p) => p + tooth) as unknown as Rgb;
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'thing', people: 0, ground: 'plain' },
    };
  },
};
