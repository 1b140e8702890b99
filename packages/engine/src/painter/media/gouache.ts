import {
  createCanvas,
  type Canvas,
  type CanvasGradient,
  type CanvasPattern,
  type SKRSContext2D,
} from '@napi-rs/canvas';
import { adjustLch, cssOf, mixLch, Random, type Lch } from '@urbild/core';
import { resamplePath } from '../geometry/curve';
import { boundsOf, type Bounds } from '../geometry/point';
import type { Environment } from '../light/environment';
import {
  type BladesNode,
  type GlowNode,
  type GroupNode,
  type LineNode,
  type MistNode,
  type Node,
  type Reflection,
  type ShapeNode,
} from '../scene/displayList';

import type { Scene } from '../scene/scene';
import { layCrescents, layDabs, strokeDirection } from './brushwork';
import { addGrain, displacePixels, fromEdge, stain } from './post';
import { lightOn, type ShapeLight } from './shapeLight';
import { paintMirrored } from './mirrored';
import { releaseCanvas } from './release';
import { taperedLine, tracePath } from './strokes';
import { textureTile, type TextureName } from './textures';
import { FULL, type MediumKind, type MediumPalette } from './palettes';

/** How many parts of a scene are drawn at once. */
const NODES_AT_ONCE = 24;

/** Pictures are drawn this much larger and reduced. */
const OVERSAMPLING = 1.5;

/**
 * Opaque paint on paper, the house look; also the base of all other media, which replace how single kinds of node are
 * rendered.
 */
export class GouacheRenderer {
  protected readonly random: Random;
  protected readonly light: Environment;
  #patterns = new Map<TextureName, CanvasPattern>();

  constructor(
    protected readonly scene: Scene,
    protected readonly palette: MediumPalette,
  ) {
    this.random = new Random(scene.seed ^ 0x51ab);
    this.light = scene.light;
  }

  #checkpoint: () => void = () => {};
  #nodes = 0;

  /** Renders the whole scene; the canvas has the scene's size. `checkpoint` is called at every node and may throw to stop. */
  render(checkpoint: () => void = () => {}): Canvas {
    this.#checkpoint = checkpoint;
    const { width: w, height: h } = this.scene;
    const canvas = createCanvas(w, h);
    try {
      const small = canvas.getContext('2d');
      this.#large(small, w, h);
      this.pause();
      this.finish(small, w, h);
      this.pause();
      if (this.palette.tone) stain(small, w, h, this.palette.tone);
      return canvas;
    } catch (error) {
      releaseCanvas(canvas); // a stop comes as an error
      throw error;
    }
  }

  /** Draws the scene larger than it is wanted and brings it to its size. */
  #large(small: SKRSContext2D, w: number, h: number): void {
    const large = createCanvas(Math.round(w * OVERSAMPLING), Math.round(h * OVERSAMPLING));
    try {
      const context = large.getContext('2d');
      context.scale(OVERSAMPLING, OVERSAMPLING);
      this.ground(context, w, h);
      this.node(context, this.scene.root);
      context.getImageData(0, 0, 1, 1);
      this.pause();
      small.imageSmoothingEnabled = true;
      small.imageSmoothingQuality = 'high';
      small.drawImage(large, 0, 0, w, h);
      small.getImageData(0, 0, 1, 1);
    } finally {
      releaseCanvas(large);
    }
  }

  /** A moment at which rendering may be stopped. */
  protected pause(): void {
    this.#checkpoint();
  }

  /** The bare paper. */
  protected ground(context: SKRSContext2D, w: number, h: number): void {
    context.fillStyle = cssOf(this.light.haze);
    context.fillRect(0, 0, w, h);
  }

  /** What happens to the finished pixels. */
  protected finish(context: SKRSContext2D, w: number, h: number): void {
    displacePixels(context, w, h, 0.8, this.scene.seed, () => this.pause());
    this.pause();
    addGrain(context, w, h, 1, this.light.vignette, () => this.pause());
  }

  /** Distance from the edge of the paper, px; never near it where the picture runs over the edge. */
  protected fromEdge(x: number, y: number, w: number, h: number): number {
    return this.palette.bleed ? Infinity : fromEdge(x, y, w, h);
  }

  protected pattern(context: SKRSContext2D, name: TextureName): CanvasPattern {
    const known = this.#patterns.get(name);
    if (known) return known;
    const pattern = context.createPattern(textureTile(name), 'repeat')!;
    this.#patterns.set(name, pattern);
    return pattern;
  }

  protected node(context: SKRSContext2D, n: Node): void {
    this.#checkpoint();
    // a canvas draws when it is read: now and then, so that no long stretch of it cannot be stopped
    if (++this.#nodes % NODES_AT_ONCE === 0) {
      context.getImageData(0, 0, 1, 1);
      this.#checkpoint();
    }
    switch (n.kind) {
      case 'group':
        if (n.reflection) this.reflected(context, n, n.reflection);
        else n.children.forEach((child) => this.node(context, child));
        return;
      case 'shape':
        this.shape(context, n);
        if (n.children?.length) {
          context.save();
          tracePath(context, n.path);
          context.clip();
          n.children.forEach((child) => this.node(context, child));
          context.restore();
        }
        return;
      case 'line':
        return this.line(context, n);
      case 'blades':
        return this.blades(context, n);
      case 'glow':
        return this.glow(context, n);
      case 'mist':
        return this.mist(context, n);
    }
  }

  /** What reflections are tinted with. */
  protected waterTint(): Lch {
    return this.light.water[1];
  }

  /** A group and its mirror image in water. */
  protected reflected(context: SKRSContext2D, n: GroupNode, mirror: Reflection): void {
    paintMirrored(context, {
      scene: this.scene,
      n,
      mirror,
      tint: this.waterTint(),
      oversampling: OVERSAMPLING,
      draw: (layer) => n.children.forEach((child) => this.node(layer, child)),
    });
  }

  protected shape(context: SKRSContext2D, node: ShapeNode): void {
    const bounds = boundsOf(node.path);
    const [n, light] = lightOn(node, bounds, this.light, this.scene.lamps);
    const w = bounds[2] - bounds[0];
    const h = bounds[3] - bounds[1];
    context.save();
    if (n.alpha) context.globalAlpha = n.alpha;
    if (n.blend) context.globalCompositeOperation = n.blend;
    tracePath(context, n.path);
    context.fillStyle = this.baseFill(context, n, bounds, light);
    context.fill();
    if (n.plain || (n.alpha ?? 1) < 0.5 || Math.max(w, h) < 9) {
      context.restore();
      return;
    }
    context.clip();
    layDabs(context, n, bounds, light, this.random);
    layCrescents(context, n, bounds, light);
    this.#texture(context, n, bounds);
    context.restore();
    if (n.outline) {
      context.fillStyle = cssOf(mixLch(adjustLch(n.colour, -0.32, 1.1), this.light.shadow, 0.3), 0.75);
      taperedLine(context, resamplePath([...n.path, n.path[0]], 5, false), n.outline, n.id, 0.05, 0.05);
    }
  }

  /** Flat, blended or modelled along the light. */
  protected baseFill(context: SKRSContext2D, n: ShapeNode, bounds: Bounds, light: ShapeLight): string | CanvasGradient {
    if (n.gradient) {
      const fill = context.createLinearGradient(...n.gradient.line);
      n.gradient.stops.forEach(([t, c]) => fill.addColorStop(t, cssOf(c)));
      return fill;
    }
    if (n.toColour) {
      const fill = context.createLinearGradient(0, bounds[1], 0, bounds[3]);
      fill.addColorStop(0, cssOf(n.colour));
      fill.addColorStop(1, cssOf(n.toColour));
      return fill;
    }
    const volume = n.volume ?? 0.5;
    if (!volume) return cssOf(n.colour);
    const cx = (bounds[0] + bounds[2]) / 2;
    const cy = (bounds[1] + bounds[3]) / 2;
    const rx = (bounds[2] - bounds[0]) / 2;
    const ry = (bounds[3] - bounds[1]) / 2;
    const [lx, ly] = light.direction;
    const fill = context.createLinearGradient(cx - lx * rx, cy - ly * ry, cx + lx * rx, cy + ly * ry);
    const near = Math.exp(-n.depth * 2);
    fill.addColorStop(0, cssOf(mixLch(n.colour, light.light, 0.34 * volume * near)));
    fill.addColorStop(0.5, cssOf(n.colour));
    fill.addColorStop(1, cssOf(mixLch(n.colour, light.shadow, 0.34 * volume * near)));
    return fill;
  }

  #texture(context: SKRSContext2D, n: ShapeNode, bounds: Bounds): void {
    const strength = n.texture ?? 1;
    if (strength <= 0) return;
    context.globalCompositeOperation = 'soft-light';
    context.globalAlpha = 0.27 * Math.min(1.2, strength);
    context.fillStyle = this.pattern(context, n.mottled ? 'mottled' : 'dry');
    context.translate(bounds[0], bounds[1]);
    context.rotate(strokeDirection(n, bounds[2] - bounds[0], bounds[3] - bounds[1]));
    context.fillRect(-1400, -1400, 2800, 2800);
  }

  protected line(context: SKRSContext2D, n: LineNode): void {
    context.save();
    context.globalAlpha = n.alpha;
    context.fillStyle = cssOf(n.colour);
    taperedLine(context, resamplePath(n.path, 4, false), n.width, n.id, n.taperStart, n.taperEnd);
    context.restore();
  }

  protected blades(context: SKRSContext2D, n: BladesNode): void {
    for (const blade of n.blades) {
      tracePath(context, blade.path);
      context.fillStyle = cssOf(blade.colour);
      context.fill();
    }
  }

  protected glow(context: SKRSContext2D, n: GlowNode): void {
    context.save();
    if (!n.stain) context.globalCompositeOperation = 'screen';
    const fill = context.createRadialGradient(n.x, n.y, 0, n.x, n.y, n.radius);
    for (const [at, k] of [
      [0, 1],
      [0.25, 0.5],
      [0.6, 0.14],
      [1, 0],
    ] as const)
      fill.addColorStop(at, cssOf(n.colour, n.alpha * k));
    context.fillStyle = fill;
    context.fillRect(n.x - n.radius, n.y - n.radius, n.radius * 2, n.radius * 2);
    context.restore();
  }

  protected mist(context: SKRSContext2D, n: MistNode): void {
    context.save();
    context.translate(n.x + n.width / 2, n.y);
    context.scale(n.width / 2, n.height);
    const fill = context.createRadialGradient(0, 0, 0, 0, 0, 1);
    for (const [at, k] of [
      [0, 0.62],
      [0.5, 0.3],
      [1, 0],
    ] as const)
      fill.addColorStop(at, cssOf(n.colour, n.alpha * k));
    context.fillStyle = fill;
    context.fillRect(-1, -1, 2, 2);
    context.restore();
  }
}

/** How this medium is drawn, and its palettes. */
export const GOUACHE: MediumKind = {
  renderer: GouacheRenderer,
  palettes: FULL,
};
