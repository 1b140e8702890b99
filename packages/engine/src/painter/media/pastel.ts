import type { SKRSContext2D } from '@napi-rs/canvas';
import { adjustLch, clamp, cssOf, lchToRgb, lerp, mixLch, Random, smoothstep, ValueNoise } from '@urbild/core';
import { resamplePath } from '../geometry/curve';
import { boundsOf } from '../geometry/point';
import type { ShapeNode } from '../scene/displayList';
import { REGION } from '../scene/region';
import { GouacheRenderer } from './gouache';
import { displacePixels, editPixels } from './post';
import { colourAt, hatchLines, lightSide, taperedLine, tracePath } from './strokes';
import { plain, type MediumKind } from './palettes';

/** Chalk in crossing strokes on toned, toothed paper that shows through everywhere. */
export class PastelRenderer extends GouacheRenderer {
  protected override ground(context: SKRSContext2D, w: number, h: number): void {
    context.fillStyle = cssOf(this.palette.paper);
    context.fillRect(0, 0, w, h);
  }

  protected override shape(context: SKRSContext2D, n: ShapeNode): void {
    if (n.blend) return super.shape(context, n);
    const bounds = boundsOf(n.path);
    const w = bounds[2] - bounds[0];
    const h = bounds[3] - bounds[1];
    context.save();
    tracePath(context, n.path);
    context.globalAlpha = (n.alpha ?? 1) * (n.plain ? 0.95 : 0.68);
    const under: ShapeNode = {
      ...n,
      colour: mixLch(n.colour, this.palette.paper, 0.2),
      toColour: n.toColour && mixLch(n.toColour, this.palette.paper, 0.2),
    };
    context.fillStyle = n.plain
      ? cssOf(adjustLch(n.colour, 0.02, 1.1))
      : this.baseFill(context, under, bounds, this.light);
    context.fill();
    context.globalAlpha = 1;
    if (!n.plain && Math.max(w, h) > 8 && (n.alpha ?? 1) > 0.3) {
      context.clip();
      this.#chalk(context, n, 0);
      this.#chalk(context, n, 1);
    }
    context.restore();
    if (n.outline) {
      context.fillStyle = cssOf(mixLch(n.colour, [0.2, 0.05, 280], 0.7), 0.6);
      taperedLine(context, resamplePath([...n.path, n.path[0]], 5, false), n.outline * 1.5, n.id, 0.1, 0.1);
    }
  }

  #chalk(context: SKRSContext2D, n: ShapeNode, pass: 0 | 1): void {
    const r = this.random;
    const bounds = boundsOf(n.path);
    const size = (bounds[2] - bounds[0]) * (bounds[3] - bounds[1]);
    const usual = n.region === REGION.sky ? -0.5 : n.region === REGION.water ? 0.02 : (n.strokes ?? -0.8);
    const gap = clamp(Math.sqrt(size) / 26, 1.7, 4.6);
    context.lineCap = 'round';
    hatchLines(bounds, usual + pass * 0.42 + r.bell() * 0.05, gap * (pass ? 1.7 : 1), (ax, ay, bx, by) => {
      const length = Math.hypot(bx - ax, by - ay);
      for (let t = -r.next() * 0.2; t < 1;) {
        const l = r.range(16, 54) / length;
        const [px, py] = [lerp(ax, bx, t + l / 2), lerp(ay, by, t + l / 2)];
        if (px > bounds[0] - 20 && px < bounds[2] + 20 && py > bounds[1] - 20 && py < bounds[3] + 20) {
          let c = colourAt(n, px, py, bounds, r.bell() * 0.05);
          const side = n.gradient || n.volume === 0 ? 0 : lightSide(bounds, this.light.direction, px, py);
          c = side < 0 ? mixLch(c, this.light.light, -side * 0.55) : mixLch(c, this.light.shadow, side * 0.55);
          c = adjustLch(c, r.bell() * 0.045 + (pass ? 0.03 : 0), 1.18, r.bell() * 14);
          context.strokeStyle = cssOf(c, pass ? 0.5 : 0.72);
          context.lineWidth = gap * r.range(0.55, 1.15);
          context.beginPath();
          context.moveTo(lerp(ax, bx, t), lerp(ay, by, t) + r.bell());
          context.quadraticCurveTo(
            px + r.bell() * 1.5,
            py + r.bell() * 1.5,
            lerp(ax, bx, t + l),
            lerp(ay, by, t + l) + r.bell(),
          );
          context.stroke();
        }
        t += l * r.range(0.75, 1.1);
      }
    });
  }

  /** The tooth of the paper takes no chalk. */
  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    displacePixels(context, w, h, 1.2, 9, () => this.pause());
    this.pause();
    const noise = new ValueNoise(14);
    const random = new Random(5);
    const paper = lchToRgb(this.palette.paper);
    editPixels(
      context,
      w,
      h,
      (data, t, x, y) => {
        const tooth =
          noise.at(x / 1.25, y / 1.25) * 0.5 + noise.at(x / 0.8 + 40, y / 0.8) * 0.35 + (random.next() - 0.5) * 0.7;
        const bare = smoothstep(0.22, 1.05, tooth) * 0.5;
        for (let c = 0; c < 3; c++)
          data[t + c] = clamp(lerp(data[t + c], paper[c], bare) + (random.next() - 0.5) * 6, 0, 255);
      },
      () => this.pause(),
    );
  }
}

/** How this medium is drawn, and its palettes. */
export const PASTEL: MediumKind = {
  renderer: PastelRenderer,
  palettes: { dusk: plain([0.4, 0.045, 275]), sand: plain([0.72, 0.05, 75]), night: plain([0.26, 0.03, 270]) },
};
