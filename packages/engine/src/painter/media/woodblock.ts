import type { SKRSContext2D } from '@napi-rs/canvas';
import { clamp, cssOf, mixLch, type Lch } from '@urbild/core';
import { resamplePath } from '../geometry/curve';
import { boundsOf } from '../geometry/point';
import type { BladesNode, GlowNode, LineNode, ShapeNode } from '../scene/displayList';
import { REGION } from '../scene/region';
import { GouacheRenderer } from './gouache';
import { addGrain, displacePixels } from './post';
import { taperedLine, tracePath } from './strokes';
import { plain, type MediumKind } from './palettes';

/** Flat printed colours with wiped blends, wood grain, and an even key line. */
export class WoodblockRenderer extends GouacheRenderer {
  protected override ground(context: SKRSContext2D, w: number, h: number): void {
    context.fillStyle = cssOf(this.palette.paper);
    context.fillRect(0, 0, w, h);
  }

  /** The printer has nine lightnesses and hues 20 degrees apart. */
  #ink(c: Lch): Lch {
    const L = clamp((c[0] - 0.55) * 1.2 + 0.56, 0.1, 0.97);
    return mixLch([Math.round(L * 9) / 9, c[1] * 1.15, Math.round(c[2] / 20) * 20], this.palette.paper, 0.06);
  }

  protected override shape(context: SKRSContext2D, n: ShapeNode): void {
    if (n.blend) return;
    const [x0, y0, x1, y1] = boundsOf(n.path);
    const size = (x1 - x0) * (y1 - y0);
    context.save();
    context.globalAlpha = (n.alpha ?? 1) > 0.5 ? 1 : (n.alpha ?? 1);
    tracePath(context, n.path);
    context.fillStyle = this.#fill(context, n, y0, y1, size);
    context.fill();
    if (!n.plain && size > 400) {
      context.save();
      context.clip();
      context.globalCompositeOperation = 'soft-light';
      context.globalAlpha = 0.3;
      context.fillStyle = this.pattern(context, 'dry');
      context.rotate(0.012);
      context.fillRect(-50, -50, 2800, 2800);
      context.restore();
    }
    context.globalAlpha = 1;
    const keyed = n.region !== REGION.none && n.region !== REGION.sky && !(n.region === REGION.water && n.gradient);
    if (!n.plain && keyed && Math.max(x1 - x0, y1 - y0) > 5 && (n.alpha ?? 1) > 0.45) {
      const near = Math.exp(-n.depth * 1.3);
      context.strokeStyle = cssOf(mixLch(this.palette.key, n.colour, 1 - near), 0.9);
      context.lineWidth = 0.5 + 0.8 * near;
      context.lineJoin = 'round';
      tracePath(context, n.path);
      context.stroke();
    }
    context.restore();
  }

  #fill(context: SKRSContext2D, n: ShapeNode, y0: number, y1: number, size: number) {
    const blend = (stops: readonly (readonly [number, Lch])[]) => {
      const fill = context.createLinearGradient(0, y0, 0, y1);
      for (const [t, c] of stops) fill.addColorStop(t, cssOf(c));
      return fill;
    };
    if (n.gradient) {
      const inks = n.gradient.stops.map(([, c]) => this.#ink(c));
      const last = inks[inks.length - 1];
      if (n.region === REGION.sky) {
        return blend([
          [0, inks[0]],
          [0.26, mixLch(inks[0], inks[1], 0.75)],
          [0.4, inks[1]],
          [0.78, inks[1]],
          [1, last],
        ]);
      }
      const middle = inks[Math.min(2, inks.length - 1)];
      return blend([
        [0, inks[0]],
        [0.3, middle],
        [0.62, middle],
        [1, last],
      ]);
    }
    const colour = this.#ink(n.colour);
    if (n.plain || size <= 1500) return cssOf(colour);
    const end = this.#ink(n.toColour ?? mixLch(n.colour, this.light.shadow, 0.3));
    return blend([
      [0, colour],
      [0.5, colour],
      [1, mixLch(colour, end, 0.7)],
    ]);
  }

  protected override line(context: SKRSContext2D, n: LineNode): void {
    context.save();
    context.globalAlpha = Math.min(1, n.alpha + 0.15);
    context.fillStyle = cssOf(n.bright ? this.#ink(n.colour) : mixLch(this.#ink(n.colour), this.palette.key, 0.35));
    taperedLine(context, resamplePath(n.path, 4, false), Math.max(0.8, n.width * 0.9), 1, 0.08, 0.08);
    context.restore();
  }

  protected override blades(context: SKRSContext2D, n: BladesNode): void {
    context.strokeStyle = cssOf(this.palette.key, 0.55 * Math.exp(-n.depth * 1.5));
    context.lineWidth = 0.5;
    for (const { path, colour } of n.blades) {
      tracePath(context, path);
      context.fillStyle = cssOf(this.#ink(colour));
      context.fill();
      context.stroke();
    }
  }

  protected override glow(context: SKRSContext2D, n: GlowNode): void {
    super.glow(context, { ...n, alpha: n.alpha * (n.stain ? 0.6 : 0.35) });
  }

  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    displacePixels(context, w, h, 0.5, this.scene.seed, () => this.pause());
    addGrain(context, w, h, 0.7, this.light.vignette * 0.5, () => this.pause());
  }
}

/** How this medium is drawn, and its palettes. */
export const WOODBLOCK: MediumKind = {
  renderer: WoodblockRenderer,
  palettes: { indigo: plain([0.94, 0.03, 88], [0.26, 0.05, 265]), brown: plain([0.93, 0.035, 80], [0.3, 0.06, 45]) },
};
