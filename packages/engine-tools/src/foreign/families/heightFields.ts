import { ValueNoise } from '@urbild/core';
import { between, chanceOf, hsl, type ForeignFamily, type Rgb } from './family';

const W = 360;
const H = 240;

/** Land from a height field, as a camera would see it: haze, a sun, blur in the near, and the noise of a sensor. */
export const heightFields: ForeignFamily = {
  name: 'height fields',
  technique: 'fractal height field seen column by column, with haze, a sun and sensor noise',
  heldOut: false,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    // the season and hour by which the land is known again
    const sky: readonly [Rgb, Rgb] = m.pick([
      [hsl(212, 0.55, 0.5), hsl(205, 0.4, 0.85)],
      [hsl(250, 0.3, 0.35), hsl(22, 0.8, 0.68)],
      [hsl(215, 0.12, 0.55), hsl(210, 0.1, 0.8)],
      [hsl(228, 0.5, 0.1), hsl(220, 0.4, 0.28)],
    ] as const);
    const grass = hsl(m.range(60, 125), m.range(0.2, 0.5), m.range(0.22, 0.42));
    const rock = hsl(m.range(10, 40), m.range(0.05, 0.25), m.range(0.3, 0.5));
    const snow = m.range(0.35, 1.3);
    const rough = m.range(0.45, 0.65);
    const r = chanceOf(this.name, 'place', seed);
    const noise = new ValueNoise(seed * 13 + 5);
    const [ox, oz] = [r.range(0, 90), r.range(0, 90)];
    const sunX = r.range(0.1, 0.9);
    const water = r.chance(0.4) ? r.range(-0.25, -0.05) : -9;
    const height = (x: number, z: number) => {
      let [sum, amp, f] = [0, 1, 0.35];
      for (let k = 0; k < 6; k++)
        [sum, amp, f] = [sum + amp * noise.at((x + ox) * f, (z + oz) * f), amp * rough, f * 2.03];
      return sum * 0.8;
    };
    const eye = Math.max(height(0, 0), water) + r.range(0.5, 0.9);
    const rgba = new Uint8ClampedArray(W * H * 4);
    const map = new Uint8Array(W * H);
    for (let x = 0; x < W; x++) {
      const a = (x / W - 0.5) * 1.1;
      let top = H;
      for (let d = 0.25; d < 30 && top > 0; d *= 1.012) {
        const [px, pz] = [Math.sin(a) * d, Math.cos(a) * d];
        const land = height(px, pz);
        const wet = land < water;
        const h = wet ? water : land;
        const y = Math.max(0, Math.floor(H * 0.42 - ((h - eye) / d) * H * 0.8));
        if (y >= top) continue;
        const slope = (height(px + 0.04, pz) - land) / 0.04;
        const lit = 0.62 + 0.5 * Math.tanh(slope * (sunX < 0.5 ? 1 : -1));
        const ground =
          land > snow ? ([238, 241, 246] as Rgb) : between(grass, rock, Math.min(1, Math.abs(slope) * 0.9));
        const bare = wet
          ? between(sky[1], [20, 40, 50], 0.45 + 0.2 * noise.at(px * 9, pz * 40))
          : between([0, 0, 0], ground, lit);
        const seen = between(bare, sky[1], 1 - Math.exp(-d * 0.075));
        for (let row = y; row < top; row++) {
          rgba.set([...seen, 255], (row * W + x) * 4);
          map[row * W + x] = wet ? 2 : 1;
        }
        top = y;
      }
      for (let row = 0; row < top; row++) {
        const v = row / (H * 0.5);
        const cloud = Math.max(0, noise.at(x / 46 + ox, row / 13 + oz) + 0.5 * noise.at(x / 17, row / 7)) * 0.55;
        const glow = Math.exp(-(((x / W - sunX) * 3) ** 2) - (1 - v) ** 2 * 4) * 0.5;
        rgba.set(
          [
            ...between(between(between(sky[0], sky[1], Math.min(1, v)), [255, 255, 255], cloud), [255, 240, 205], glow),
            255,
          ],
          (row * W + x) * 4,
        );
      }
    }
    for (let i = 0; i < rgba.length; i += 4) {
      const grain = r.normal() * 5;
      for (let c = 0; c < 3; c++) rgba[i + c] = rgba[i + c] + grain + r.normal() * 2.5;
    }
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'scene', people: 0, ground: 'busy', areas: { map, kinds: ['sky', 'ground', 'water'] } },
    };
  },
};
