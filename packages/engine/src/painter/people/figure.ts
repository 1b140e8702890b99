import { hashText, Random, type Lch } from '@urbild/core';
import { ribbon, spline, wobble } from '../geometry/curve';
import type { Path, Point } from '../geometry/point';
import type { ShapeNode, ShapeStyle } from '../scene/displayList';
import { REGION, type Region } from '../scene/region';
import type { Pen, Scene } from '../scene/scene';
import type { Person } from './person';

/** How much of the face is drawn: 0 a few dabs, 1 features, 2 everything. */
export type Detail = 0 | 1 | 2;

/** A shape of a figure also has a hand's unsteadiness, and an outline in parts of the usual. */
export interface FigureStyle extends ShapeStyle {
  readonly unsteady?: number;
  readonly line?: number;
}

/** Where a figure stands: the pit of its neck and the height of its head in px, how far away, and whether it faces left. */
export interface FigurePlace {
  readonly x: number;
  readonly y: number;
  readonly head: number;
  readonly depth: number;
  readonly flip?: boolean;
}

/**
 * The frame in which a person is drawn: figure units are head heights, the origin is the pit of the neck, y runs down.
 */
export class FigureFrame {
  readonly detail: Detail;
  /** The usual width of an outline, px. */
  readonly lineWidth: number;
  readonly random: Random;

  /** The pit of the neck, px. */
  readonly x: number;
  readonly y: number;
  /** Height of the head, px. */
  readonly head: number;
  readonly depth: number;
  readonly flip: boolean;

  constructor(
    readonly scene: Scene,
    readonly person: Person,
    { x, y, head, depth, flip = false }: FigurePlace,
  ) {
    this.x = x;
    this.y = y;
    this.head = head;
    this.depth = depth;
    this.flip = flip;
    this.detail = head > 110 ? 2 : head > 42 ? 1 : 0;
    this.lineWidth = Math.max(0.6, head / 170);
    this.random = new Random(hashText(JSON.stringify(person.face)) ^ 7);
  }

  /** Figure units -> px. */
  point(q: Point): Point {
    const x = this.x + q[0] * this.head * (this.flip ? -1 : 1);
    const y = this.y + q[1] * this.head;
    return q[2] ? [x, y, 1] : [x, y];
  }

  path(points: Path): Point[] {
    return points.map((q) => this.point(q));
  }

  pen(region: Region, raw = false): Pen {
    return this.scene.pen({ region, depth: this.depth, raw, keep: this.scene.light.figureKeep });
  }

  /** A rounded, slightly unsteady shape with an outline. */
  shape(region: Region, points: Path, colour: Lch, style: FigureStyle = {}): ShapeNode {
    const { unsteady = 0.5, line = 1, ...rest } = style;
    const curve = spline(this.path(points), true, Math.max(2, this.head * 0.03));
    const amount = Math.min(1.1, this.head * 0.006) * unsteady * 2;
    const outline = this.detail ? line * this.lineWidth * 1.05 : this.lineWidth * 0.8;
    return this.pen(region).shape(
      unsteady ? wobble(curve, amount, Math.max(8, this.head * 0.12), this.random.next() * 50) : curve,
      colour,
      { outline, texture: 0.8, ...rest },
    );
  }

  /** A shape with exact points and no outline unless asked for. */
  flat(region: Region, points: Path, colour: Lch, style: ShapeStyle = {}): ShapeNode {
    return this.pen(region).shape(this.path(points), colour, style);
  }

  /** A pen stroke through points; `width` in head heights. */
  stroke(
    region: Region,
    points: Path,
    width: number,
    colour: Lch,
    style: { alpha?: number; taper?: readonly [number, number] } = {},
  ): void {
    this.pen(region).line(spline(this.path(points), false, 3), Math.max(0.5, width * this.head), colour, style);
  }

  /** A band with an outline. */
  band(region: Region, points: Path, widths: readonly number[], colour: Lch, style: FigureStyle = {}): void {
    this.shape(region, ribbon(points, widths, 0.04), colour, style);
  }

  /** A soft stain on the skin. */
  stain(at: Point, radius: number, colour: Lch, alpha: number): void {
    const [x, y] = this.point(at);
    this.pen(REGION.skin).stain(x, y, radius * this.head, colour, alpha);
  }
}
