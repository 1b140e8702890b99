import { createCanvas, type SKRSContext2D } from '@napi-rs/canvas';
import { lerp, Random, ValueNoise } from '@urbild/core';
import { labelMap } from '../scene/labels';
import { isFigure, REGION } from '../scene/region';
import { GouacheRenderer } from './gouache';
import { addGrain } from './post';
import { releaseCanvas } from './release';
import { FULL, type MediumKind } from './palettes';

/** Thick oil laid in short strokes that follow the forms, with ridges that catch the light (after Hertzmann 1998). */
export class ImpastoRenderer extends GouacheRenderer {
  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    const k = Math.min(w, h) / 512;
    const labels = labelMap(this.scene);
    for (const [brush, grid, strength] of [
      [9.5, 5.6, 0.95],
      [5, 3.5, 0.9],
    ])
      this.#layer(context, labels, brush * Math.max(0.6, k), grid * Math.max(0.7, k), strength);
    addGrain(context, w, h, 0.5, this.light.vignette * 0.6, () => this.pause());
  }

  #layer(context: SKRSContext2D, labels: Uint8Array, usual: number, grid: number, strength: number): void {
    const { width: w, height: h } = this.scene;
    const small = createCanvas(Math.ceil(w / 2), Math.ceil(h / 2));
    const { width: sw, height: sh } = small;
    const sc = small.getContext('2d');
    sc.drawImage(context.canvas, 0, 0, sw, sh);
    const data = sc.getImageData(0, 0, sw, sh).data;
    releaseCanvas(small);
    const source = context.getImageData(0, 0, w, h).data;
    const light = (x: number, y: number) => {
      const o = (Math.min(sh - 1, Math.max(0, y)) * sw + Math.min(sw - 1, Math.max(0, x))) * 4;
      return data[o] * 0.3 + data[o + 1] * 0.59 + data[o + 2] * 0.11;
    };
    const random = new Random(this.scene.seed ^ Math.round(usual * 10));
    const flow = new ValueNoise(19);
    const fine = usual < 7.5 * Math.max(0.6, Math.min(w, h) / 512);
    context.lineCap = 'round';
    for (let gy = 0; gy < h; gy += grid)
      for (let gx = 0; gx < w; gx += grid) {
        const x = gx + random.bell() * grid * 0.5;
        const y = gy + random.bell() * grid * 0.5;
        const sx = Math.floor(x / 2);
        const sy = Math.floor(y / 2);
        const reach = fine ? 1 : 3;
        const dx = light(sx + reach, sy) - light(sx - reach, sy);
        const dy = light(sx, sy + reach) - light(sx, sy - reach);
        const edge = Math.hypot(dx, dy);
        // broad strokes stay off fine forms, fine ones go only where there is form
        if (fine ? edge < 16 && random.chance(0.8) : edge > 46) continue;
        const own = flow.at(x / 70, y / 70) * 2.2;
        const angle = edge > 14 ? Math.atan2(dx, -dy) : lerp(own, Math.atan2(dx, -dy), Math.min(1, edge / 14));
        const o = (Math.min(h - 1, Math.max(0, Math.floor(y))) * w + Math.min(w - 1, Math.max(0, Math.floor(x)))) * 4;
        // faces, hands and hair are worked with the smallest brush only
        const label =
          labels[Math.min(h - 1, Math.max(0, Math.floor(y))) * w + Math.min(w - 1, Math.max(0, Math.floor(x)))];
        const head = label === REGION.skin || label === REGION.eye || label === REGION.hair;
        if (head && (!fine || label === REGION.eye || random.chance(0.6))) continue;
        if (isFigure(label) && !fine) continue;
        const brush = head ? usual * 0.32 : isFigure(label) ? usual * 0.6 : usual;
        const jitter = random.bell() * 9;
        const length = brush * random.range(fine ? 0.5 : 1, fine ? 1 : 2);
        const [c, s] = [Math.cos(angle) * length, Math.sin(angle) * length];
        const bow = random.bell() * brush * 0.3;
        const stroke = (off: number, width: number, shift: number, alpha: number) => {
          context.strokeStyle = `rgba(${source[o] + jitter + shift},${source[o + 1] + jitter + shift},${source[o + 2] + jitter + shift},${alpha})`;
          context.lineWidth = width;
          const nx = -Math.sin(angle) * off;
          const ny = Math.cos(angle) * off;
          context.beginPath();
          context.moveTo(x - c + nx, y - s + ny);
          context.quadraticCurveTo(
            x + nx + Math.sin(angle) * bow,
            y + ny - Math.cos(angle) * bow,
            x + c + nx,
            y + s + ny,
          );
          context.stroke();
        };
        stroke(0, brush * 0.62, 0, strength);
        const lit = Math.cos(angle) > 0 ? -1 : 1;
        stroke(lit * brush * 0.22, brush * 0.1, 22, 0.5);
        stroke(-lit * brush * 0.26, brush * 0.12, -26, 0.45);
      }
  }
}

/** How this medium is drawn, and its palettes. */
export const IMPASTO: MediumKind = {
  renderer: ImpastoRenderer,
  palettes: FULL,
};
