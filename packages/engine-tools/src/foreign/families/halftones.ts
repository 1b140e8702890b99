import { byPixel, chanceOf, hsl, type ForeignFamily, type Rgb } from './family';

const W = 400;
const H = 300;

/** Roofs of a town at night, printed in two inks of dots at two angles. */
export const halftones: ForeignFamily = {
  name: 'halftones',
  technique: 'two inks in grids of dots at two angles, printed a little apart',
  heldOut: true,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const hue = m.range(0, 360);
    const inks: readonly Rgb[] = [
      hsl(hue, m.range(0.5, 0.9), m.range(0.35, 0.6)),
      hsl((hue + m.range(90, 270)) % 360, m.range(0.4, 0.9), m.range(0.2, 0.5)),
    ];
    const pitch = m.range(5, 9);
    const apart = m.range(0, 2.5);
    const r = chanceOf(this.name, 'scene', seed);
    const houses = Array.from({ length: 14 }, (_, k) => ({
      x: k / 12 - 0.05,
      w: r.range(0.06, 0.12),
      h: r.range(0.15, 0.5),
      lit: r.integer(0, 63),
    }));
    const moon = [r.range(0.1, 0.9), r.range(0.1, 0.3)] as const;
    /** How much of each ink, 0..1. */
    const tone = (u: number, v: number): readonly [number, number] => {
      for (const { x, w, h, lit } of houses) {
        const top = 0.95 - h;
        const roof =
          Math.abs(u - x - w / 2) < w / 2 + 0.01 && v > top - (0.5 - Math.abs(u - x - w / 2) / w) * 0.2 && v <= top;
        if (roof) return [0.85, 0.35];
        if (u > x && u < x + w && v > top) {
          const [cell, row] = [Math.floor(((u - x) / w) * 3), Math.floor((v - top) / 0.09)];
          const pane = ((u - x) / w) * 3 - cell > 0.3 && ((v - top) / 0.09) % 1 > 0.35;
          return pane && (lit >> ((cell + row * 3) % 6)) & 1 ? [0.1, 0] : [0.3, 0.85];
        }
      }
      if (Math.hypot((u - moon[0]) * 1.33, v - moon[1]) < 0.08) return [0, 0.05];
      return [0.55 * v + 0.1, 0.75 - 0.7 * v];
    };
    const rgba = byPixel(W, H, (u, v) => {
      let colour: Rgb = [247, 243, 232];
      inks.forEach((ink, k) => {
        const angle = 0.3 + k * 0.9;
        const [x, y] = [u * W + k * apart, v * H + k * apart];
        const [a, b] = [Math.cos(angle) * x - Math.sin(angle) * y, Math.sin(angle) * x + Math.cos(angle) * y];
        const [da, db] = [(((a % pitch) + pitch) % pitch) - pitch / 2, (((b % pitch) + pitch) % pitch) - pitch / 2];
        const radius = pitch * 0.72 * Math.sqrt(tone(u, v)[k]);
        if (Math.hypot(da, db) < radius) colour = colour.map((p, i) => (p * ink[i]) / 255) as unknown as Rgb;
      });
      return colour;
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
