import type { SKRSContext2D } from '@napi-rs/canvas';
import { adjustLch, clamp, cssOf, mixLch, Random, type Lch } from '@urbild/core';
import { boundsOf, type Point } from '../geometry/point';
import type { BladesNode, GlowNode, LineNode, ShapeNode } from '../scene/displayList';
import { REGION } from '../scene/region';
import { GouacheRenderer } from './gouache';
import { addGrain, displacePixels } from './post';
import { colourAt, taperedLine, tracePath } from './strokes';
import { resamplePath } from '../geometry/curve';
import { plain, type MediumKind } from './palettes';

/** Pieces of coloured glass in lead: large areas are cut into panes, light comes through them. */
export class StainedGlassRenderer extends GouacheRenderer {
  protected override ground(context: SKRSContext2D, w: number, h: number): void {
    context.fillStyle = cssOf(this.palette.key);
    context.fillRect(0, 0, w, h);
  }

  protected override mist(): void {}

  /** Glass is fuller in colour and lighter than paint. */
  #glass([L, C, h]: Lch): Lch {
    return [clamp(0.16 + L * 0.86, 0.12, 0.95), Math.min(0.2, C * 1.75 + 0.015), h];
  }

  protected override shape(context: SKRSContext2D, n: ShapeNode): void {
    if (n.blend || (n.alpha ?? 1) < 0.42) return;
    const bounds = boundsOf(n.path);
    const [w, h] = [bounds[2] - bounds[0], bounds[3] - bounds[1]];
    context.save();
    tracePath(context, n.path);
    context.fillStyle = this.baseFill(
      context,
      {
        ...n,
        colour: this.#glass(n.colour),
        toColour: n.toColour && this.#glass(n.toColour),
        gradient: n.gradient && {
          ...n.gradient,
          stops: n.gradient.stops.map(([t, c]) => [t, this.#glass(c)] as const),
        },
      },
      bounds,
      { direction: this.light.direction, light: [0.97, 0.05, 95], shadow: this.light.shadow, rim: 1 },
    );
    context.fill();
    const small = n.plain || Math.max(w, h) < 14;
    if (!small && w * h > 9000) {
      context.clip();
      this.#panes(context, n, bounds);
    }
    context.restore();
    if (small || n.region === REGION.none) return;
    context.save();
    context.lineJoin = 'round';
    context.strokeStyle = cssOf(this.palette.key, 0.96);
    context.lineWidth = clamp(Math.sqrt(w * h) / 34, 1, 3.2) * (0.55 + 0.45 * Math.exp(-n.depth * 1.5));
    tracePath(context, n.path);
    context.stroke();
    context.restore();
  }

  /** Cuts an area into slanting panes of slightly different glass. */
  #panes(context: SKRSContext2D, n: ShapeNode, bounds: readonly [number, number, number, number]): void {
    const r = new Random(n.id * 7 + 3);
    const size = 58;
    const cols = Math.ceil((bounds[2] - bounds[0]) / size) + 1;
    const rows = Math.ceil((bounds[3] - bounds[1]) / (size * 0.72)) + 1;
    const knots: Point[][] = Array.from({ length: rows + 1 }, (_, j) =>
      Array.from({ length: cols + 1 }, (_, i): Point => [
        bounds[0] + (i - 0.4 + (j % 2) * 0.5 + r.bell() * 0.22) * size,
        bounds[1] + (j - 0.2 + r.bell() * 0.2) * size * 0.72,
      ]),
    );
    context.lineWidth = 1.7;
    for (let j = 0; j < rows; j++)
      for (let i = 0; i < cols; i++) {
        const pane = [knots[j][i], knots[j][i + 1], knots[j + 1][i + 1], knots[j + 1][i]];
        const [cx, cy] = [(pane[0][0] + pane[2][0]) / 2, (pane[0][1] + pane[2][1]) / 2];
        const c = adjustLch(
          this.#glass(colourAt(n, clamp(cx, bounds[0], bounds[2]), clamp(cy, bounds[1], bounds[3]), bounds)),
          r.bell() * 0.045,
          1 + r.bell() * 0.12,
          r.bell() * 9,
        );
        tracePath(context, pane);
        context.fillStyle = cssOf(c, 0.85);
        context.fill();
        context.strokeStyle = cssOf(this.palette.key, 0.85);
        context.stroke();
      }
  }

  protected override line(context: SKRSContext2D, n: LineNode): void {
    if (n.alpha < 0.45) return;
    context.save();
    context.fillStyle = cssOf(
      n.width > 4 ? this.#glass(n.colour) : mixLch(this.palette.key, n.colour, n.bright ? 0.8 : 0.25),
    );
    taperedLine(context, resamplePath(n.path, 4, false), Math.max(0.9, n.width * 0.9), 1, 0.1, 0.1);
    context.restore();
  }

  protected override blades(context: SKRSContext2D, n: BladesNode): void {
    context.lineWidth = 0.7;
    context.strokeStyle = cssOf(this.palette.key, 0.7);
    for (const { path, colour } of n.blades) {
      tracePath(context, path);
      context.fillStyle = cssOf(this.#glass(colour));
      context.fill();
      if (n.depth < 0.2) context.stroke();
    }
  }

  protected override glow(context: SKRSContext2D, n: GlowNode): void {
    super.glow(context, n.stain ? { ...n, alpha: n.alpha * 0.5 } : { ...n, alpha: n.alpha * 0.7 });
  }

  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    displacePixels(context, w, h, 0.5, this.scene.seed, () => this.pause());
    const lit = context.createRadialGradient(w * 0.45, h * 0.35, 0, w * 0.45, h * 0.35, Math.max(w, h) * 0.7);
    lit.addColorStop(0, 'rgba(255,248,225,.22)');
    lit.addColorStop(1, 'rgba(255,248,225,0)');
    context.globalCompositeOperation = 'soft-light';
    context.fillStyle = lit;
    context.fillRect(0, 0, w, h);
    context.globalCompositeOperation = 'source-over';
    context.strokeStyle = cssOf(this.palette.key);
    context.lineWidth = 9 * (Math.min(w, h) / 512);
    context.strokeRect(0, 0, w, h);
    addGrain(context, w, h, 0.6, 0.1, () => this.pause());
  }
}

/** How this medium is drawn, and its palettes. */
export const STAINED_GLASS: MediumKind = {
  renderer: StainedGlassRenderer,
  palettes: {
    lead: plain([0.12, 0.01, 260], [0.13, 0.012, 260]),
    gold: plain([0.3, 0.05, 75], [0.4, 0.07, 78]),
  },
};
