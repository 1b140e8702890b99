import type { SKRSContext2D } from '@napi-rs/canvas';
import { clamp, cssOf, lchToRgb, lerp, mixLch, Random, smoothstep, ValueNoise, type Lch } from '@urbild/core';
import { resamplePath } from '../geometry/curve';
import { boundsOf } from '../geometry/point';
import type { BladesNode, GlowNode, LineNode, ShapeNode } from '../scene/displayList';
import { REGION } from '../scene/region';
import { GouacheRenderer } from './gouache';
import { displacePixels, editPixels } from './post';
import { hatchLines, lightSide, middleColour, taperedLine, tracePath } from './strokes';
import { plain, type MediumKind } from './palettes';

/** Smudged tones and soft black strokes on rough paper. */
export class CharcoalRenderer extends GouacheRenderer {
  protected override waterTint(): Lch {
    return this.palette.paper;
  }

  protected override ground(context: SKRSContext2D, w: number, h: number): void {
    context.fillStyle = cssOf(this.palette.paper);
    context.fillRect(0, 0, w, h);
  }

  /** Paper for light, coal for dark. */
  #tone(c: Lch): Lch {
    const { paper, key } = this.palette;
    const inverted = key[0] > paper[0];
    const t = clamp((c[0] - 0.2) / 0.68);
    return mixLch(key, paper, inverted ? 1 - Math.pow(t, 1.1) : Math.pow(t, 1.05));
  }

  protected override shape(context: SKRSContext2D, n: ShapeNode): void {
    if (n.blend || (n.alpha ?? 1) < 0.3) return;
    const bounds = boundsOf(n.path);
    const [w, h] = [bounds[2] - bounds[0], bounds[3] - bounds[1]];
    context.save();
    tracePath(context, n.path);
    const fill = context.createLinearGradient(0, bounds[1], 0, bounds[3]);
    const stops =
      n.gradient?.stops ??
      ([
        [0, n.colour],
        [1, n.toColour ?? mixLch(n.colour, this.light.shadow, n.plain ? 0 : 0.18)],
      ] as const);
    for (const [t, c] of stops)
      fill.addColorStop(t, cssOf(mixLch(this.#tone(c), this.palette.paper, n.region === REGION.sky ? 0.35 : 0.04)));
    context.globalAlpha = n.alpha ?? 1;
    context.fillStyle = fill;
    context.fill();
    const coarse = !n.plain && w * h > 500;
    if (coarse) {
      context.save();
      context.clip();
      this.#rub(context, n, bounds);
      context.restore();
    }
    if (
      !n.plain &&
      n.region !== REGION.none &&
      n.region !== REGION.sky &&
      n.region !== REGION.cloud &&
      Math.max(w, h) > 6
    ) {
      context.fillStyle = cssOf(this.palette.key, 0.75 * Math.exp(-n.depth * 1.2));
      const path = resamplePath([...n.path, n.path[0]], 4, false);
      taperedLine(context, path, 1.5 + 0.9 * Math.exp(-n.depth * 2), n.id, 0.08, 0.08);
    }
    context.restore();
  }

  #rub(context: SKRSContext2D, n: ShapeNode, bounds: readonly [number, number, number, number]): void {
    const r = this.random;
    const dark = 1 - middleColour(n)[0];
    const flat = n.region === REGION.sky || n.region === REGION.water;
    context.strokeStyle = cssOf(this.palette.key, (flat ? 0.08 : 0.13) + 0.18 * dark);
    hatchLines(bounds, flat ? 0.1 : (n.strokes ?? -0.8) + 0.25, flat ? 6 : 3.4, (ax, ay, bx, by) => {
      for (let k = 0; k < 10; k++) {
        const t = (k + r.next() * 0.6) / 10;
        const [px, py] = [lerp(ax, bx, t), lerp(ay, by, t)];
        const side = n.volume === 0 || n.gradient ? 0.1 : lightSide(bounds, this.light.direction, px, py);
        if (side + dark * 0.5 < 0.12 + r.next() * 0.35) continue;
        context.lineWidth = r.range(0.8, 2.6);
        context.beginPath();
        context.moveTo(px, py);
        context.lineTo(lerp(ax, bx, t + 0.1), lerp(ay, by, t + 0.1) + r.bell());
        context.stroke();
      }
    });
  }

  protected override line(context: SKRSContext2D, n: LineNode): void {
    context.save();
    context.globalAlpha = n.alpha;
    context.fillStyle = cssOf(n.bright ? this.#tone(n.colour) : mixLch(this.#tone(n.colour), this.palette.key, 0.55));
    taperedLine(context, resamplePath(n.path, 4, false), Math.max(1, n.width), n.id, n.taperStart, n.taperEnd);
    context.restore();
  }

  protected override blades(context: SKRSContext2D, n: BladesNode): void {
    for (const { path, colour } of n.blades) {
      context.fillStyle = cssOf(mixLch(this.#tone(colour), this.palette.key, 0.25), 0.8);
      tracePath(context, path);
      context.fill();
    }
  }

  protected override glow(context: SKRSContext2D, n: GlowNode): void {
    if (!n.stain) super.glow(context, { ...n, stain: true, colour: this.#tone(n.colour), alpha: n.alpha * 0.6 });
  }

  /** The tooth of the paper takes no coal. */
  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    displacePixels(context, w, h, 1.3, 12, () => this.pause());
    const noise = new ValueNoise(24);
    const random = new Random(15);
    const paper = lchToRgb(this.palette.paper);
    editPixels(context, w, h, (data, o, x, y) => {
      const tooth = noise.at(x / 1.5, y / 1.5) * 0.6 + noise.at(x / 5, y / 5) * 0.2 + (random.next() - 0.5) * 0.8;
      const bare = smoothstep(0.15, 0.95, tooth) * 0.42;
      for (let c = 0; c < 3; c++)
        data[o + c] = clamp(lerp(data[o + c], paper[c], bare) + (random.next() - 0.5) * 8, 0, 255);
    });
  }
}

/** How this medium is drawn, and its palettes. */
export const CHARCOAL: MediumKind = {
  renderer: CharcoalRenderer,
  palettes: {
    black: plain([0.93, 0.016, 85], [0.19, 0.01, 60]),
    sanguine: plain([0.9, 0.03, 80], [0.42, 0.12, 35]),
    white: plain([0.3, 0.02, 250], [0.95, 0.01, 90]),
  },
};
