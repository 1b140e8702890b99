import type { SKRSContext2D } from '@napi-rs/canvas';
import { adjustLch, clamp, cssOf, lchToRgb, mixLch, ValueNoise } from '@urbild/core';
import { resamplePath } from '../geometry/curve';
import { boundsOf } from '../geometry/point';
import type { BladesNode, GlowNode, LineNode, ShapeNode } from '../scene/displayList';
import { REGION } from '../scene/region';
import { GouacheRenderer } from './gouache';
import { addGrain, displacePixels, editPixels } from './post';
import { colourAt, hatchLines, lightSide, tracePath } from './strokes';
import { plain, type MediumKind } from './palettes';

/** Satin stitches of coloured thread on cloth, outlined in back stitch. */
export class EmbroideryRenderer extends GouacheRenderer {
  protected override ground(context: SKRSContext2D, w: number, h: number): void {
    context.fillStyle = cssOf(this.palette.paper);
    context.fillRect(0, 0, w, h);
  }

  protected override mist(): void {}

  protected override shape(context: SKRSContext2D, n: ShapeNode): void {
    if (n.blend) return;
    const bounds = boundsOf(n.path);
    const [w, h] = [bounds[2] - bounds[0], bounds[3] - bounds[1]];
    const alpha = n.alpha ?? 1;
    if (alpha < 0.3) return;
    context.save();
    tracePath(context, n.path);
    context.globalAlpha = Math.min(1, alpha + 0.1);
    context.fillStyle = this.baseFill(context, { ...n, colour: adjustLch(n.colour, -0.13), volume: 0.3 }, bounds, {
      direction: this.light.direction,
      light: this.light.light,
      shadow: this.light.shadow,
      rim: 1,
    });
    context.fill();
    if (Math.min(w, h) > 3) {
      context.clip();
      this.#stitches(context, n, bounds, w * h);
    }
    context.restore();
    if (!n.plain && n.region !== REGION.none && n.region !== REGION.sky && Math.max(w, h) > 12)
      this.#backStitch(context, n);
  }

  #stitches(
    context: SKRSContext2D,
    n: ShapeNode,
    bounds: readonly [number, number, number, number],
    size: number,
  ): void {
    const r = this.random;
    const [w, h] = [bounds[2] - bounds[0], bounds[3] - bounds[1]];
    const wide = n.region === REGION.sky || n.region === REGION.water;
    const direction = wide ? 0.06 : (n.strokes ?? (w > h ? Math.PI / 2 : 0)) + 0.2;
    const gap = clamp(Math.sqrt(size) / 46, 1.9, 3.5);
    context.lineCap = 'round';
    hatchLines(bounds, direction, gap, (ax, ay, bx, by) => {
      const length = Math.hypot(bx - ax, by - ay);
      const ux = (bx - ax) / length;
      const uy = (by - ay) / length;
      for (let t = -r.next() * 9; t < length;) {
        const l = r.range(7, wide ? 20 : 13);
        const [px, py] = [ax + ux * (t + l / 2), ay + uy * (t + l / 2)];
        if (px > bounds[0] - 9 && px < bounds[2] + 9 && py > bounds[1] - 9 && py < bounds[3] + 9) {
          const side = n.gradient || n.volume === 0 ? 0 : lightSide(bounds, this.light.direction, px, py);
          let c = colourAt(n, px, py, bounds, r.bell() * 0.05);
          c = side < 0 ? mixLch(c, this.light.light, -side * 0.3) : mixLch(c, this.light.shadow, side * 0.4);
          context.strokeStyle = cssOf(adjustLch(c, 0.035 + r.bell() * 0.05, 1.15, r.bell() * 6));
          context.lineWidth = gap * 0.7;
          context.beginPath();
          context.moveTo(ax + ux * t, ay + uy * t);
          context.lineTo(ax + ux * (t + l - 1.4), ay + uy * (t + l - 1.4));
          context.stroke();
        }
        t += l;
      }
    });
  }

  #backStitch(context: SKRSContext2D, n: ShapeNode): void {
    const path = resamplePath([...n.path, n.path[0]], 4.4, false);
    context.save();
    context.lineCap = 'round';
    context.lineWidth = 1.1 * Math.max(0.6, Math.exp(-n.depth));
    context.strokeStyle = cssOf(adjustLch(mixLch(n.colour, this.palette.key, 0.35), -0.14), 0.85);
    context.beginPath();
    for (let i = 0; i < path.length - 1; i++) {
      context.moveTo(path[i][0], path[i][1]);
      context.lineTo(
        path[i][0] + (path[i + 1][0] - path[i][0]) * 0.74,
        path[i][1] + (path[i + 1][1] - path[i][1]) * 0.74,
      );
    }
    context.stroke();
    context.restore();
  }

  protected override line(context: SKRSContext2D, n: LineNode): void {
    if (n.alpha < 0.3) return;
    const path = resamplePath(n.path, 5, false);
    context.save();
    context.lineCap = 'round';
    context.lineWidth = Math.max(1.1, n.width * 0.9);
    context.strokeStyle = cssOf(n.colour);
    context.beginPath();
    for (let i = 0; i < path.length - 1; i++) {
      context.moveTo(path[i][0], path[i][1]);
      context.lineTo(
        path[i][0] + (path[i + 1][0] - path[i][0]) * 0.84,
        path[i][1] + (path[i + 1][1] - path[i][1]) * 0.84,
      );
    }
    context.stroke();
    context.restore();
  }

  protected override blades(context: SKRSContext2D, n: BladesNode): void {
    context.lineCap = 'round';
    for (const { path, colour } of n.blades) {
      const [a, b] = [path[0], path[Math.floor(path.length / 2)]];
      context.strokeStyle = cssOf(adjustLch(colour, 0.02, 1.15));
      context.lineWidth = 1.7;
      context.beginPath();
      context.moveTo(a[0], a[1]);
      context.lineTo(b[0], b[1]);
      context.stroke();
    }
  }

  protected override glow(context: SKRSContext2D, n: GlowNode): void {
    super.glow(context, { ...n, alpha: n.alpha * (n.stain ? 0.6 : 0.35) });
  }

  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    displacePixels(context, w, h, 0.4, this.scene.seed, () => this.pause());
    const cloth = lchToRgb(this.palette.paper);
    const noise = new ValueNoise(33);
    const k = Math.min(w, h) / 512;
    editPixels(context, w, h, (data, o, x, y) => {
      const edge = 20 + 3 * noise.at(x / 12 / k, y / 12 / k);
      if (this.fromEdge(x, y, w, h) / k > edge) return;
      const weave =
        10 * Math.sin((x / k) * 1.7) * Math.sin((y / k) * 1.7) +
        8 * noise.at(x / 2.2, y / 9) +
        8 * noise.at(x / 9, y / 2.2);
      for (let c = 0; c < 3; c++) data[o + c] = clamp(cloth[c] + weave, 0, 255);
    });
    addGrain(context, w, h, 1.2, 0.1, () => this.pause());
  }
}

/** How this medium is drawn, and its palettes. */
export const EMBROIDERY: MediumKind = {
  renderer: EmbroideryRenderer,
  palettes: { linen: plain([0.88, 0.03, 82], [0.3, 0.04, 60]), navy: plain([0.3, 0.05, 262], [0.2, 0.04, 262]) },
};
