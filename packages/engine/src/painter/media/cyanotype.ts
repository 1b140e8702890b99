import type { SKRSContext2D } from '@napi-rs/canvas';
import { clamp, lchToRgb, lerp, mixLch, Random, smoothstep, ValueNoise } from '@urbild/core';
import type { MistNode } from '../scene/displayList';
import { GouacheRenderer } from './gouache';
import { displacePixels, editPixels, lightnessRange } from './post';
import type { MediumKind } from './palettes';

/** A print in one blue on hand-coated paper, with a brushed edge. */
export class CyanotypeRenderer extends GouacheRenderer {
  protected override mist(context: SKRSContext2D, n: MistNode): void {
    super.mist(context, { ...n, alpha: n.alpha * 0.6 });
  }

  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    displacePixels(context, w, h, 0.7, this.scene.seed, () => this.pause());
    const { paper, middle, key } = this.palette;
    const steps = Array.from({ length: 256 }, (_, i) => {
      const t = i / 255;
      return lchToRgb(t < 0.5 ? mixLch(key, middle, t * 2) : mixLch(middle, paper, (t - 0.5) * 2));
    });
    const [low, high] = lightnessRange(context, w, h);
    const noise = new ValueNoise(41);
    const random = new Random(6);
    const k = Math.min(w, h) / 512;
    const bare = lchToRgb(paper);
    editPixels(context, w, h, (data, o, x, y) => {
      const light = (0.3 * data[o] + 0.59 * data[o + 1] + 0.11 * data[o + 2]) / 255;
      const t = clamp((light - low) / (high - low));
      const blot =
        0.05 * noise.at(x / 60 / k, y / 44 / k) + 0.03 * noise.at(x / 3, y / 3) + (random.next() - 0.5) * 0.05;
      const tone = steps[Math.round(clamp(smoothstep(0, 1, t) * 0.55 + t * 0.45 + blot) * 255)];
      const edge = 15 + 8 * noise.at(x / 46 / k + 3, y / 46 / k) + 5 * noise.at(x / 9 / k, y / 60 / k);
      const coated = smoothstep(edge - 2.5, edge + 2.5, this.fromEdge(x, y, w, h) / k);
      for (let c = 0; c < 3; c++) data[o + c] = lerp(bare[c], tone[c], coated);
    });
  }
}

/** How this medium is drawn, and its palettes. */
export const CYANOTYPE: MediumKind = {
  renderer: CyanotypeRenderer,
  palettes: {
    blue: { paper: [0.96, 0.015, 100], middle: [0.62, 0.1, 240], key: [0.24, 0.1, 262] },
    brown: { paper: [0.95, 0.02, 85], middle: [0.62, 0.08, 62], key: [0.25, 0.05, 45] },
    green: { paper: [0.95, 0.02, 110], middle: [0.6, 0.08, 165], key: [0.25, 0.06, 170] },
  },
};
