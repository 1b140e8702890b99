import type { SKRSContext2D } from '@napi-rs/canvas';
import { cssOf, lerp, mixLch, type Lch } from '@urbild/core';
import { resamplePath } from '../geometry/curve';
import { boundsOf, type Point } from '../geometry/point';
import type { BladesNode, LineNode, ShapeNode } from '../scene/displayList';
import { REGION } from '../scene/region';
import { GouacheRenderer } from './gouache';
import { addGrain, displacePixels } from './post';
import { hatchLines, lightSide, middleColour, taperedLine, tracePath } from './strokes';
import { plain, type MediumKind } from './palettes';

/** Pencil lines drawn twice and hatching in the shade, on white paper. */
export class PencilRenderer extends GouacheRenderer {
  protected override waterTint(): Lch {
    return this.palette.paper;
  }

  protected override ground(context: SKRSContext2D, w: number, h: number): void {
    context.fillStyle = cssOf(this.palette.paper);
    context.fillRect(0, 0, w, h);
  }

  protected override mist(): void {}
  protected override glow(): void {}

  protected override shape(context: SKRSContext2D, n: ShapeNode): void {
    if (n.blend || (n.alpha ?? 1) < 0.45) return;
    const bounds = boundsOf(n.path);
    const [w, h] = [bounds[2] - bounds[0], bounds[3] - bounds[1]];
    const long = Math.max(w, h);
    const near = Math.exp(-n.depth * 1.5);
    const dark = 1 - middleColour(n)[0];
    context.save();
    tracePath(context, n.path);
    context.fillStyle = cssOf(
      n.plain && long < 30
        ? mixLch(this.palette.paper, this.palette.key, Math.max(0, dark * 1.2 - 0.15))
        : this.palette.paper,
    );
    context.fill();
    if (n.plain || long < 5) {
      context.restore();
      return;
    }
    if (w * h > 150 && n.region !== REGION.cloud) {
      context.save();
      context.clip();
      this.#hatch(context, n, bounds, dark, near);
      context.restore();
    }
    if (n.region !== REGION.none && n.region !== REGION.sky) {
      const path = resamplePath([...n.path, n.path[0]], 4, false);
      for (const k of [0, 1]) {
        context.fillStyle = cssOf(this.palette.key, (0.4 + 0.45 * near) * (k ? 0.5 : 1));
        const shaken = k
          ? path.map(([x, y], i): Point => [x + Math.sin(i * 0.7 + n.id) * 0.9, y + Math.cos(i * 0.9 + n.id) * 0.9])
          : path;
        taperedLine(context, shaken, 0.7 + 0.6 * near, n.id + k, 0.1, 0.2);
      }
    }
    context.restore();
  }

  #hatch(
    context: SKRSContext2D,
    n: ShapeNode,
    bounds: readonly [number, number, number, number],
    dark: number,
    near: number,
  ): void {
    const r = this.random;
    const flat = n.region === REGION.sky || (n.region === REGION.water && !!n.gradient);
    context.strokeStyle = cssOf(this.palette.key, 0.16 + 0.34 * near * dark);
    context.lineWidth = 0.7;
    const passes = dark > 0.55 && !flat ? 2 : 1;
    for (let pass = 0; pass < passes; pass++)
      hatchLines(bounds, (flat ? 0.02 : -0.85) + pass * 1.1, flat ? 7 : 3.6 - dark * 1.2, (ax, ay, bx, by) => {
        for (let k = 0; k < 12; k++) {
          const t = k / 12;
          const [px, py] = [lerp(ax, bx, t), lerp(ay, by, t)];
          const side = n.volume === 0 || n.gradient ? 0 : lightSide(bounds, this.light.direction, px, py);
          const local = n.gradient ? 0.12 : dark * 0.9 + side * 0.6;
          if (local < 0.26 + r.next() * 0.3 + pass * 0.2) continue;
          context.beginPath();
          context.moveTo(px, py);
          context.lineTo(lerp(ax, bx, t + 1 / 12) + r.bell() * 0.6, lerp(ay, by, t + 1 / 12) + r.bell() * 0.6);
          context.stroke();
        }
      });
  }

  protected override line(context: SKRSContext2D, n: LineNode): void {
    context.save();
    context.globalAlpha = n.alpha;
    context.fillStyle = cssOf(n.bright ? mixLch(this.palette.paper, this.palette.key, 0.35) : this.palette.key, 0.85);
    taperedLine(
      context,
      resamplePath(n.path, 4, false),
      Math.max(0.6, Math.min(2.4, n.width * 0.6)),
      n.id,
      n.taperStart,
      n.taperEnd,
    );
    context.restore();
  }

  protected override blades(context: SKRSContext2D, n: BladesNode): void {
    context.fillStyle = cssOf(this.palette.key, 0.3 + 0.4 * Math.exp(-n.depth * 1.5));
    for (const { path } of n.blades)
      taperedLine(context, path.slice(0, Math.max(2, path.length >> 1)), 0.9, n.id, 0.05, 0.5);
  }

  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    displacePixels(context, w, h, 0.7, this.scene.seed, () => this.pause());
    addGrain(context, w, h, 1.2, 0.04, () => this.pause());
  }
}

/** How this medium is drawn, and its palettes. */
export const PENCIL: MediumKind = {
  renderer: PencilRenderer,
  palettes: {
    graphite: plain([0.96, 0.012, 90], [0.36, 0.012, 260]),
    brown: plain([0.95, 0.025, 85], [0.4, 0.07, 50]),
    blue: plain([0.965, 0.01, 240], [0.42, 0.11, 262]),
  },
};
