import type { Lch } from '@urbild/core';
import type { Path } from '../geometry/point';
import type { Region } from './region';

/** A gradient along a line, in pixels. */
export interface Gradient {
  readonly line: readonly [x0: number, y0: number, x1: number, y1: number];
  readonly stops: readonly (readonly [at: number, colour: Lch])[];
}

interface Base {
  readonly region: Region;
  /** 0 at the viewer, 1 at the horizon. */
  readonly depth: number;
  /** Running number: renderers take their small variations from it. */
  readonly id: number;
}

/** How a shape is painted; the defaults suit a solid body. */
export interface ShapeStyle {
  /** Second colour at the bottom of a vertical blend. */
  readonly toColour?: Lch;
  readonly gradient?: Gradient;
  /** Opacity, 0..1. */
  readonly alpha?: number;
  readonly blend?: 'screen';
  /** Flat colour without strokes, texture or outline. */
  readonly plain?: boolean;
  /** Modelling by light and shadow, 0 none, 0.5 usual. */
  readonly volume?: number;
  /** Shadow crescent and rim light, 1 usual. */
  readonly shade?: number;
  readonly rim?: number;
  /** Strength of brush and paper texture, 1 usual. */
  readonly texture?: number;
  readonly mottled?: boolean;
  /** Direction of strokes, radians. */
  readonly strokes?: number;
  /** Width of an outline in px; 0 none. */
  readonly outline?: number;
}

export interface ShapeNode extends Base, ShapeStyle {
  readonly kind: 'shape';
  readonly path: Path;
  readonly colour: Lch;
  /** Nodes that are clipped to this shape. */
  children?: Node[];
}

export interface LineNode extends Base {
  readonly kind: 'line';
  readonly path: Path;
  /** px */
  readonly width: number;
  readonly colour: Lch;
  readonly alpha: number;
  /** Part of the length over which the line tapers at its start and end. */
  readonly taperStart: number;
  readonly taperEnd: number;
  /** Drawn in its own colour even by media that have few inks. */
  readonly bright: boolean;
}

export interface Blade {
  readonly path: Path;
  readonly colour: Lch;
}

/** Many small leaves, stalks or flecks at once. */
export interface BladesNode extends Base {
  readonly kind: 'blades';
  readonly blades: readonly Blade[];
}

/** A soft round light (screen) or a soft stain of colour. */
export interface GlowNode extends Base {
  readonly kind: 'glow';
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly colour: Lch;
  readonly alpha: number;
  readonly stain: boolean;
}

export interface MistNode extends Base {
  readonly kind: 'mist';
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly colour: Lch;
  readonly alpha: number;
}

/** The mirror image of a group in water. */
export interface Reflection {
  /** The water line, px. */
  readonly y: number;
  readonly sway?: number;
  readonly tint?: number;
  readonly alpha?: number;
}

export interface GroupNode {
  readonly kind: 'group';
  readonly children: Node[];
  readonly reflection?: Reflection;
}

export type Node = ShapeNode | LineNode | BladesNode | GlowNode | MistNode | GroupNode;

/** The box around everything solid in a group; glows and mists do not count. */
export function boundsOfNode(node: Node): [number, number, number, number] {
  const box: [number, number, number, number] = [Infinity, Infinity, -Infinity, -Infinity];
  const take = (path: Path, margin: number) => {
    for (const [x, y] of path) {
      box[0] = Math.min(box[0], x - margin);
      box[1] = Math.min(box[1], y - margin);
      box[2] = Math.max(box[2], x + margin);
      box[3] = Math.max(box[3], y + margin);
    }
  };
  const visit = (n: Node): void => {
    if (n.kind === 'group') n.children.forEach(visit);
    else if (n.kind === 'shape' || n.kind === 'line') take(n.path, 6);
    else if (n.kind === 'blades') n.blades.forEach((b) => take(b.path, 0));
  };
  visit(node);
  return box;
}
