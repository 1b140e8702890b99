import type { Lch } from '@urbild/core';
import { ribbon, spline, wobble } from '../geometry/curve';
import { outline } from '../geometry/outline';
import { ellipse, type Point } from '../geometry/point';
import type { ShapeNode, ShapeStyle } from './displayList';
import type { Region } from './region';
import type { Pen, Scene } from './scene';

/** Where a kit stands and how its colours are kept. */
export interface KitOptions {
  /** Mirrored left to right. */
  readonly flip?: boolean;
  /** How far local colours are kept against the grading, 0..1. */
  readonly keep?: number;
  /** Turn about its foot, radians, clockwise. */
  readonly turn?: number;
}

/**
 * Draws a thing or creature in units of its own: (0, 0) is its foot, u runs right, v up, 1 is `size` px. Outlines are
 * written as text, see {@link outline}.
 */
export class Kit {
  constructor(
    readonly scene: Scene,
    readonly x: number,
    readonly y: number,
    readonly size: number,
    readonly depth: number,
    readonly options: KitOptions = {},
  ) {}

  /** Kit units -> px. */
  at(u: number, v: number): Point {
    const { flip, turn } = this.options;
    let a = u * this.size * (flip ? -1 : 1);
    let b = -v * this.size;
    if (turn) {
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      [a, b] = [a * c - b * s, a * s + b * c];
    }
    return [this.x + a, this.y + b];
  }

  path(text: string): Point[] {
    return outline(text).map(([u, v, corner]) => {
      const [x, y] = this.at(u, v);
      return corner ? [x, y, 1] : [x, y];
    });
  }

  pen(region: Region, raw = false): Pen {
    return this.scene.pen({ region, depth: this.depth, keep: this.options.keep, raw });
  }

  /** True where the kit is too small for fine things. */
  get small(): boolean {
    return this.size < 26;
  }

  /** A rounded shape. */
  shape(region: Region, text: string, colour: Lch, style: ShapeStyle = {}): ShapeNode {
    const curve = spline(this.path(text), true, Math.max(2, this.size * 0.02));
    return this.pen(region).shape(this.#unsteady(curve), colour, { outline: this.#line, ...style });
  }

  /** A shape with straight sides. */
  poly(region: Region, text: string, colour: Lch, style: ShapeStyle = {}): ShapeNode {
    return this.pen(region).shape(this.#unsteady(this.path(text)), colour, { outline: this.#line, ...style });
  }

  /** An ellipse about (u, v). */
  // eslint-disable-next-line max-params -- drawings read like tables: region, place, size, colour, style
  disc(region: Region, u: number, v: number, ru: number, rv: number, colour: Lch, style: ShapeStyle = {}): ShapeNode {
    const [x, y] = this.at(u, v);
    const path = ellipse(x, y, ru * this.size, rv * this.size, this.options.turn ?? 0);
    return this.pen(region).shape(style.plain ? path : this.#unsteady(path), colour, {
      outline: style.plain ? 0 : this.#line,
      ...style,
    });
  }

  /** A light that keeps its own colour: a lit window, a flame. */
  bright(region: Region, u: number, v: number, ru: number, rv: number, colour: Lch): void {
    const [x, y] = this.at(u, v);
    this.pen(region, true).shape(ellipse(x, y, ru * this.size, rv * this.size), colour, { plain: true });
  }

  /** A stroke; `width` in kit units. */
  line(
    region: Region,
    text: string,
    width: number,
    colour: Lch,
    style: { alpha?: number; taper?: readonly [number, number] } = {},
  ): void {
    const path = this.path(text);
    const curve = path.length > 2 ? spline(path, false, 3) : path;
    this.pen(region).line(curve, Math.max(0.6, width * this.size), colour, style);
  }

  /** A band of varying width along points; widths in kit units. */
  band(region: Region, text: string, widths: readonly number[], colour: Lch, style: ShapeStyle = {}): ShapeNode {
    const band = ribbon(
      this.path(text),
      widths.map((w) => w * this.size),
      Math.max(2, this.size * 0.03),
    );
    return this.pen(region).shape(this.#unsteady(band), colour, { outline: this.#line * 0.8, ...style });
  }

  /** Everything that `draw` adds is clipped to `shape`. */
  inside(shape: ShapeNode, draw: () => void): void {
    this.scene.inside(shape, draw);
  }

  glow(u: number, v: number, radius: number, colour: Lch, alpha: number): void {
    const [x, y] = this.at(u, v);
    this.pen(0, true).glow(x, y, radius * this.size, colour, alpha);
  }

  /** A lamp that lights its surroundings where lamps are lit; `reach` in kit units. */
  lamp(u: number, v: number, reach: number): void {
    const [x, y] = this.at(u, v);
    if (this.scene.light.lamps) this.scene.lamps.push({ x, y, radius: reach * this.size });
  }

  get #line(): number {
    return this.size < 18 ? 0.5 : Math.max(0.7, Math.min(1.6, this.size / 70));
  }

  #unsteady(path: readonly Point[]): Point[] {
    return wobble(path, Math.min(0.9, this.size * 0.006), Math.max(7, this.size * 0.12), this.x % 50);
  }
}
