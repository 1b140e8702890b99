import type { SKRSContext2D } from '@napi-rs/canvas';
import { clamp, lchToRgb, Random, smoothstep, ValueNoise } from '@urbild/core';
import type { ShapeNode } from '../scene/displayList';
import { isFigure, REGION } from '../scene/region';
import { GouacheRenderer } from './gouache';
import { editPixels, lightnessRange } from './post';
import { deep, type MediumKind } from './palettes';

/** Two inks through a grained screen, the second a little out of register. */
export class ScreenPrintRenderer extends GouacheRenderer {
  protected override mist(): void {}

  /** Faces and hands stay light, outlines are cut in the key ink, so that figures are read in two inks. */
  protected override shape(context: SKRSContext2D, n: ShapeNode): void {
    const figure = isFigure(n.region);
    const lit = n.region === REGION.skin ? Math.max(n.colour[0], 0.8) : figure ? n.colour[0] + 0.06 : n.colour[0];
    super.shape(context, {
      ...n,
      colour: [lit, n.colour[1] * (n.region === REGION.skin ? 0.55 : 1.15), n.colour[2]],
      texture: (n.texture ?? 1) * 0.4,
      outline: figure && n.outline ? n.outline * 1.5 : n.outline,
    });
  }

  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    const { paper, key, middle } = this.palette;
    const [p, a, b] = [lchToRgb(paper), lchToRgb(key), lchToRgb(middle)];
    const source = Uint8ClampedArray.from(context.getImageData(0, 0, w, h).data);
    const [low, high] = lightnessRange(context, w, h);
    const k = Math.max(1, Math.min(w, h) / 512);
    const side = Math.ceil(w / k) + 2;
    const random = new Random(77);
    const screen = Float32Array.from({ length: side * (Math.ceil(h / k) + 2) }, () => random.next());
    const noise = new ValueNoise(8);
    const shift = Math.round(2 * k);
    const at = (x: number, y: number) => (clamp(y, 0, h - 1) * w + clamp(x, 0, w - 1)) * 4;
    const darkness = (o: number) =>
      1 - clamp(((0.3 * source[o] + 0.59 * source[o + 1] + 0.11 * source[o + 2]) / 255 - low) / (high - low));
    const warmth = (o: number) =>
      clamp((source[o] - source[o + 2] * 0.9 - 22) / 120) * clamp((source[o] - source[o + 1] * 0.95 - 4) / 40 + 0.15);
    const [from, to] = this.palette.parts
      ? rangeFor(this.palette.parts[0], w * h, (i) => darkness(4 * i))
      : [0.34, 0.84];
    editPixels(context, w, h, (data, o, x, y) => {
      const grain = screen[Math.floor(y / k) * side + Math.floor(x / k)];
      const d = darkness(o);
      const first = smoothstep(from, to, d) > grain * 0.94 + 0.03;
      const s = at(x - shift, y + shift);
      const second = warmth(s) > 0.08 + grain * 0.34 && darkness(s) < 0.9;
      const worn = noise.at(x / 2.2, y / 2.2) + 0.6 * noise.at(x / 30, y / 30) > 1.25;
      for (let c = 0; c < 3; c++) {
        let value = p[c];
        if (second && !worn) value = (value * b[c]) / 255;
        if (first && !worn) value = second ? (value * a[c]) / 255 : a[c];
        data[o + c] = value;
      }
    });
  }
}

/** The range of darkness over which the key ink comes in so that it covers about `part` of `count` pixels. */
function rangeFor(part: number, count: number, darknessOf: (i: number) => number): [number, number] {
  const step = Math.max(1, Math.floor(count / 4000));
  const some: number[] = [];
  for (let i = 0; i < count; i += step) some.push(darknessOf(i));
  some.sort((a, b) => b - a);
  const middle = clamp(some[Math.min(some.length - 1, Math.floor(clamp(part, 0.12, 0.75) * some.length))], 0.2, 0.75);
  return [middle - 0.25, middle + 0.25];
}

/** How this medium is drawn, and its palettes. */
export const SCREEN_PRINT: MediumKind = {
  renderer: ScreenPrintRenderer,
  palettes: {
    teal: { paper: [0.96, 0.018, 92], middle: [0.66, 0.18, 30], key: [0.46, 0.09, 205] },
    navy: { paper: [0.95, 0.025, 88], middle: [0.79, 0.15, 85], key: [0.33, 0.09, 265] },
    plum: { paper: [0.96, 0.015, 80], middle: [0.76, 0.11, 160], key: [0.38, 0.12, 335] },
  },
  ofInks: (usual, [first, second]) => ({ ...usual, key: deep(first), middle: second ?? usual.middle }),
};
