import type { SKRSContext2D } from '@napi-rs/canvas';
import { adjustLch, clamp, cssOf, mixLch, type Lch } from '@urbild/core';
import { resamplePath } from '../geometry/curve';
import { boundsOf, type Bounds, type Path, type Point } from '../geometry/point';
import type { BladesNode, GlowNode, Gradient, LineNode, ShapeNode } from '../scene/displayList';
import { REGION } from '../scene/region';
import { GouacheRenderer } from './gouache';
import { addGrain } from './post';
import { gradientAt, taperedLine, tracePath } from './strokes';
import { FULL, type MediumKind } from './palettes';

const SHADOW = 'rgba(12,10,40,.42)';

/** Sheets of coloured paper, one above the other, each with its shadow. */
export class PaperCutRenderer extends GouacheRenderer {
  protected override ground(context: SKRSContext2D, w: number, h: number): void {
    context.fillStyle = cssOf(this.light.sky[2]);
    context.fillRect(0, 0, w, h);
  }

  protected override mist(): void {}

  /** The nearest sheet in the drawer: eleven steps of lightness, a little more colour. */
  #sheetColour(c: Lch): Lch {
    return [Math.round(c[0] * 11) / 11, c[1] * 1.22, c[2]];
  }

  #sheet(context: SKRSContext2D, path: Path, colour: Lch, lift: number): void {
    context.save();
    context.shadowColor = SHADOW;
    context.shadowBlur = 10 * lift;
    context.shadowOffsetX = 3.3 * lift;
    context.shadowOffsetY = 4.8 * lift;
    tracePath(context, path);
    context.fillStyle = cssOf(colour);
    context.fill();
    context.restore();
    context.save();
    tracePath(context, path);
    context.clip();
    context.lineWidth = 1.5;
    context.strokeStyle = cssOf(adjustLch(colour, 0.1), 0.55);
    context.translate(0.6, 0.7);
    tracePath(context, path);
    context.stroke();
    context.globalCompositeOperation = 'soft-light';
    context.globalAlpha = 0.42;
    context.fillStyle = this.pattern(context, 'paper');
    const [x0, y0, x1, y1] = boundsOf(path);
    context.fillRect(x0 - 5, y0 - 5, x1 - x0 + 10, y1 - y0 + 10);
    context.restore();
  }

  protected override shape(context: SKRSContext2D, n: ShapeNode): void {
    const bounds = boundsOf(n.path);
    const w = bounds[2] - bounds[0];
    const h = bounds[3] - bounds[1];
    if (n.blend) {
      context.save();
      context.globalAlpha = (n.alpha ?? 1) * 0.8;
      tracePath(context, n.path);
      context.fillStyle = cssOf(n.colour);
      context.fill();
      context.restore();
      return;
    }
    if (n.gradient && w > this.scene.width * 0.9 && (n.region === REGION.sky || n.region === REGION.water)) {
      return this.#strips(context, n, n.gradient, bounds);
    }
    if ((n.alpha ?? 1) < 0.42) return;
    const colour = this.#sheetColour(n.toColour ? mixLch(n.colour, n.toColour, 0.35) : n.colour);
    if (n.plain || Math.max(w, h) < 7) {
      context.save();
      context.globalAlpha = n.alpha ?? 1;
      tracePath(context, n.path);
      context.fillStyle = cssOf(colour);
      context.fill();
      context.restore();
      return;
    }
    const lift = clamp(Math.sqrt(w * h) / 90, 0.25, 1.1) * Math.exp(-n.depth * 0.4);
    this.#sheet(context, resamplePath(n.path, Math.max(w, h) > 60 ? 3 : 2), colour, lift);
  }

  /** A wide sky or water becomes six overlapping wavy strips. */
  #strips(context: SKRSContext2D, n: ShapeNode, gradient: Gradient, bounds: Bounds): void {
    const noise = this.scene.noise;
    const w = bounds[2];
    const h = bounds[3] - bounds[1];
    const count = 6;
    context.save();
    tracePath(context, n.path);
    context.clip();
    const [gx0, gy0, gx1, gy1] = gradient.line;
    for (let i = 0; i < count; i++) {
      const sky = n.region === REGION.sky;
      const k = sky ? count - 1 - i : i;
      const t = (k + 0.5) / count;
      const colour = this.#sheetColour(gradientAt(gradient, gx0 + (gx1 - gx0) * t, gy0 + (gy1 - gy0) * t));
      const path: Point[] = [];
      const y = sky ? bounds[1] + (h * (k + 1)) / count : bounds[1] + h * Math.pow(k / count, 1.3);
      for (let x = -10; x <= w + 10; x += 8) {
        const wave = sky
          ? k === count - 1
            ? 30
            : Math.sin(x / 70 + k * 2) * 7 + noise.at(x / 40, k) * 9
          : k === 0
            ? -1
            : Math.sin(x / (24 + 9 * k) + k * 2) * (2 + k * 0.9) + noise.at(x / 40, k) * 4;
        path.push([x, y + wave]);
      }
      const end = sky ? -30 : bounds[3] + 30;
      this.#sheet(context, [...path, [w + 20, end], [-20, end]], colour, 0.9);
    }
    context.restore();
  }

  protected override line(context: SKRSContext2D, n: LineNode): void {
    if (n.alpha < 0.4) return;
    context.save();
    context.shadowColor = SHADOW;
    context.shadowBlur = 3;
    context.shadowOffsetY = 1.8;
    context.fillStyle = cssOf(this.#sheetColour(n.colour));
    taperedLine(context, resamplePath(n.path, 6, false), n.width * 1.1, 1, 0.02, 0.02);
    context.restore();
  }

  protected override blades(context: SKRSContext2D, n: BladesNode): void {
    context.save();
    context.shadowColor = SHADOW;
    context.shadowBlur = 4.5;
    context.shadowOffsetX = 1.8;
    context.shadowOffsetY = 2.4;
    for (const { path, colour } of n.blades) {
      tracePath(context, path);
      context.fillStyle = cssOf(this.#sheetColour(colour));
      context.fill();
    }
    context.restore();
  }

  protected override glow(context: SKRSContext2D, n: GlowNode): void {
    super.glow(context, n.stain ? n : { ...n, alpha: n.alpha * 0.55 });
  }

  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    addGrain(context, w, h, 0.7, 0.14, () => this.pause());
  }
}

/** How this medium is drawn, and its palettes. */
export const PAPER_CUT: MediumKind = {
  renderer: PaperCutRenderer,
  palettes: FULL,
};
