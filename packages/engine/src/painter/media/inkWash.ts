import type { SKRSContext2D } from '@napi-rs/canvas';
import { adjustLch, cssOf, lchToRgb, lerp, mixLch, Random, smoothstep, ValueNoise, type Lch } from '@urbild/core';
import { resamplePath } from '../geometry/curve';
import { boundsOf, type Bounds, type Point } from '../geometry/point';
import type { BladesNode, GlowNode, LineNode, ShapeNode } from '../scene/displayList';
import { REGION } from '../scene/region';
import { GouacheRenderer } from './gouache';
import { addGrain, displacePixels, editPixels } from './post';
import { hatchLines, lightSide, middleColour, taperedLine, tracePath } from './strokes';
import { plain, WHITE, type MediumKind } from './palettes';

const PAPER: Lch = [0.965, 0.018, 85];

/** Thin colour washes with blooms on white paper, drawn over with a broken pen line. */
export class InkWashRenderer extends GouacheRenderer {
  protected override ground(context: SKRSContext2D, w: number, h: number): void {
    context.fillStyle = cssOf(PAPER);
    context.fillRect(0, 0, w, h);
  }

  #pigment(c: Lch): Lch {
    return adjustLch(mixLch(c, PAPER, 0.1 + 0.25 * c[0] * c[0]), 0.06);
  }

  protected override shape(context: SKRSContext2D, n: ShapeNode): void {
    if (n.blend) return;
    const bounds = boundsOf(n.path);
    const w = bounds[2] - bounds[0];
    const h = bounds[3] - bounds[1];
    const big = w * h > 900;
    context.save();
    tracePath(context, n.path);
    if ((n.alpha ?? 1) >= 0.5 && !n.plain) {
      context.fillStyle = cssOf(PAPER);
      context.fill();
    }
    context.save();
    if (big) context.clip();
    if (n.alpha) context.globalAlpha = n.alpha;
    context.translate(this.random.bell() * 1.1, this.random.bell() * 1.1);
    tracePath(context, n.path);
    context.fillStyle = this.#wash(context, n, bounds);
    context.fill();
    if (!n.plain && big) this.#blooms(context, n, bounds);
    context.restore();
    this.#pen(context, n, bounds);
    context.restore();
  }

  #wash(context: SKRSContext2D, n: ShapeNode, [x0, y0, x1, y1]: Bounds) {
    if (n.gradient) {
      const fill = context.createLinearGradient(...n.gradient.line);
      n.gradient.stops.forEach(([t, c]) => fill.addColorStop(t, cssOf(this.#pigment(c))));
      return fill;
    }
    const [lx, ly] = this.light.direction;
    const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
    const fill = context.createLinearGradient(
      cx - (lx * (x1 - x0)) / 2,
      cy - (ly * (y1 - y0)) / 2,
      cx + (lx * (x1 - x0)) / 2,
      cy + (ly * (y1 - y0)) / 2,
    );
    const a = this.#pigment(n.colour);
    const b = this.#pigment(n.toColour ?? n.colour);
    fill.addColorStop(0, cssOf(mixLch(a, PAPER, n.plain ? 0 : 0.48)));
    fill.addColorStop(0.55, cssOf(mixLch(a, b, 0.5)));
    fill.addColorStop(1, cssOf(adjustLch(mixLch(b, this.light.shadow, n.plain ? 0 : 0.12), -0.03)));
    return fill;
  }

  /** Back-runs of water, and pigment gathered at the edge of the wash. */
  #blooms(context: SKRSContext2D, n: ShapeNode, bounds: Bounds): void {
    const r = this.random;
    const [x0, y0, x1, y1] = bounds;
    const colour = this.#pigment(middleColour(n));
    const count = Math.min(7, ((x1 - x0) * (y1 - y0)) / 12000);
    for (let i = 0; i < count; i++) {
      const px = r.range(x0, x1);
      const py = r.range(y0, y1);
      const radius = r.range(20, 70);
      const pale = r.chance(0.6);
      const phase = r.next() * 9;
      const path: Point[] = Array.from({ length: 26 }, (_, k) => {
        const a = (k / 26) * Math.PI * 2;
        const q = radius * (1 + 0.28 * Math.sin(a * 3 + phase) + 0.16 * Math.sin(a * 7 + phase * 2) + 0.08 * r.bell());
        return [px + Math.cos(a) * q * 1.7, py + Math.sin(a) * q * 0.6];
      });
      tracePath(context, path);
      context.fillStyle = cssOf(pale ? PAPER : adjustLch(colour, -0.06), 0.1);
      context.fill();
      context.strokeStyle = cssOf(adjustLch(colour, -0.1), 0.1);
      context.lineWidth = 1.6;
      context.stroke();
    }
    tracePath(context, n.path);
    for (const [width, alpha, dark] of [
      [2.6, 0.38, -0.16],
      [7, 0.16, -0.1],
    ] as const) {
      context.strokeStyle = cssOf(adjustLch(colour, dark, 1.2), alpha);
      context.lineWidth = width;
      context.stroke();
    }
    context.globalCompositeOperation = 'soft-light';
    context.globalAlpha = 0.5;
    context.fillStyle = this.pattern(context, 'mottled');
    context.fillRect(x0 - 5, y0 - 5, x1 - x0 + 10, y1 - y0 + 10);
  }

  #pen(context: SKRSContext2D, n: ShapeNode, bounds: Bounds): void {
    const w = bounds[2] - bounds[0];
    const h = bounds[3] - bounds[1];
    if (n.plain || n.region === REGION.none || n.region === REGION.sky || Math.max(w, h) <= 5 || (n.alpha ?? 1) <= 0.45)
      return;
    const r = this.random;
    const near = Math.exp(-n.depth * 1.9);
    context.fillStyle = cssOf(this.palette.key, 0.35 + 0.6 * near);
    const path = resamplePath([...n.path, n.path[0]], 3.5, false);
    for (let i = 0; i < path.length - 2;) {
      const length = Math.round(r.range(18, 60));
      if (n.region !== REGION.cloud || r.chance(0.6)) {
        const width = (0.7 + 1.15 * near) * (n.region === REGION.water ? 0.7 : 1);
        taperedLine(context, path.slice(i, i + length + 2), width, r.next() * 9, 0.25, 0.3);
      }
      i += length - (r.chance(0.7) ? 2 : -2);
    }
    const hatched = w * h > 900 && n.volume !== 0 && !n.gradient;
    if (!hatched || n.region === REGION.cloud || n.region === REGION.skin || n.region === REGION.water) return;
    tracePath(context, n.path);
    context.clip();
    context.strokeStyle = cssOf(this.palette.key, 0.5 * near);
    context.lineWidth = 0.6;
    hatchLines(bounds, -0.9, 4.2, (ax, ay, bx, by) => {
      for (let k = 0; k < 14; k++) {
        const [px, py] = [lerp(ax, bx, k / 14), lerp(ay, by, k / 14)];
        if (2 * lightSide(bounds, this.light.direction, px, py) <= 0.38 + r.next() * 0.3) continue;
        context.beginPath();
        context.moveTo(px, py);
        context.lineTo(lerp(ax, bx, (k + 0.8) / 14), lerp(ay, by, (k + 0.8) / 14));
        context.stroke();
      }
    });
  }

  protected override line(context: SKRSContext2D, n: LineNode): void {
    context.save();
    context.globalAlpha = n.alpha;
    context.fillStyle = cssOf(mixLch(n.colour, this.palette.key, n.bright ? 0 : 0.7));
    taperedLine(context, resamplePath(n.path, 4, false), Math.max(0.7, n.width * 0.8), n.id, n.taperStart, n.taperEnd);
    context.restore();
  }

  protected override blades(context: SKRSContext2D, n: BladesNode): void {
    for (const { path, colour } of n.blades) {
      tracePath(context, path);
      context.fillStyle = cssOf(mixLch(colour, PAPER, 0.35), 0.75);
      context.fill();
      context.fillStyle = cssOf(this.palette.key, 0.5 * Math.exp(-n.depth * 1.6));
      if (this.random.chance(0.55))
        taperedLine(context, path.slice(0, path.length >> 1), 0.9, this.random.next() * 9, 0.1, 0.5);
    }
  }

  protected override glow(context: SKRSContext2D, n: GlowNode): void {
    if (n.stain) return super.glow(context, { ...n, alpha: n.alpha * 0.8 });
    const colour = mixLch(n.colour, PAPER, 0.25);
    const fill = context.createRadialGradient(n.x, n.y, 0, n.x, n.y, n.radius);
    fill.addColorStop(0, cssOf(colour, n.alpha * 0.5));
    fill.addColorStop(1, cssOf(colour, 0));
    context.fillStyle = fill;
    context.fillRect(n.x - n.radius, n.y - n.radius, 2 * n.radius, 2 * n.radius);
  }

  /** The picture ends in an uneven edge of bare paper. */
  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    displacePixels(context, w, h, 0.9, this.scene.seed, () => this.pause());
    addGrain(context, w, h, 0.8, 0.05, () => this.pause());
    const noise = new ValueNoise(21);
    const random = new Random(3);
    const paper = lchToRgb(PAPER);
    const k = Math.min(w, h) / 512;
    editPixels(context, w, h, (data, t, x, y) => {
      const m = this.fromEdge(x, y, w, h) / k;
      if (m >= 34) return;
      const edge = 16 + 5 * noise.at(x / 38 / k, y / 38 / k) + 2.5 * noise.at(x / 7 / k, y / 7 / k);
      const bare = smoothstep(edge + 1.2, edge - 1.2, m);
      const gathered = 0.1 * Math.exp(-(((m - edge - 2.2) / 1.8) ** 2));
      for (let c = 0; c < 3; c++)
        data[t + c] = lerp(data[t + c] * (1 - gathered), paper[c] - 2 + 3 * (random.next() - 0.5), bare);
    });
  }
}

/** How this medium is drawn, and its palettes. */
export const INK_WASH: MediumKind = {
  renderer: InkWashRenderer,
  palettes: { black: plain(WHITE), sepia: plain(WHITE, [0.3, 0.06, 55]), blue: plain(WHITE, [0.3, 0.1, 262]) },
};
