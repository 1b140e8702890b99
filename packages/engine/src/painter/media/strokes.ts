import type { SKRSContext2D } from '@napi-rs/canvas';
import { adjustLch, cssOf, lerp, mixLch, type Lch, type Random } from '@urbild/core';
import { boundsOf, type Bounds, type Path } from '../geometry/point';
import type { Gradient, ShapeNode } from '../scene/displayList';

/** Makes `path` the current path of the context. */
export function tracePath(context: SKRSContext2D, path: Path): void {
  context.beginPath();
  context.moveTo(path[0][0], path[0][1]);
  for (let i = 1; i < path.length; i++) context.lineTo(path[i][0], path[i][1]);
  context.closePath();
}

/** Fills a line of varying width that thins over the first and last part of its length. */
export function taperedLine(
  context: SKRSContext2D,
  path: Path,
  width: number,
  variation = 0,
  taperStart = 0.15,
  taperEnd = 0.15,
): void {
  const n = path.length;
  if (n < 2) return;
  const left: [number, number][] = [];
  const right: [number, number][] = [];
  for (let i = 0; i < n; i++) {
    const a = path[Math.max(0, i - 1)];
    const b = path[Math.min(n - 1, i + 1)];
    const dx = b[0] - a[0];
    const dy = b[1] - a[1];
    const l = Math.hypot(dx, dy) || 1;
    const u = i / (n - 1);
    const start = taperStart > 0 ? Math.min(1, 0.18 + u / taperStart) : 1;
    const end = taperEnd > 0 ? Math.min(1, 0.18 + (1 - u) / taperEnd) : 1;
    const half = (width / 2) * start * end * (0.82 + 0.3 * Math.sin(i * 0.55 + variation * 3));
    left.push([path[i][0] - (dy / l) * half, path[i][1] + (dx / l) * half]);
    right.push([path[i][0] + (dy / l) * half, path[i][1] - (dx / l) * half]);
  }
  tracePath(context, left.concat(right.reverse()));
  context.fill();
}

/** One dab of a bristle brush: `bristles` hairs over `width` px, bent by `bow` px in the middle. */
export interface BristleDab {
  /** From where to where, px. */
  readonly way: readonly [ax: number, ay: number, bx: number, by: number];
  readonly width: number;
  readonly colour: Lch;
  /** 0..1 */
  readonly alpha: number;
  readonly bristles: number;
  readonly bow: number;
}

/** Paints a dab, each of its hairs a little different. */
export function bristleDab(
  context: SKRSContext2D,
  random: Random,
  { way: [ax, ay, bx, by], width, colour, alpha, bristles, bow }: BristleDab,
): void {
  const dx = bx - ax;
  const dy = by - ay;
  const length = Math.hypot(dx, dy) || 1;
  const nx = -dy / length;
  const ny = dx / length;
  context.lineCap = 'round';
  for (let i = 0; i < bristles; i++) {
    const o = (i / (bristles - 1 || 1) - 0.5) * width;
    const start = random.next() * 0.25;
    const end = 1 - random.next() * 0.3;
    context.strokeStyle = cssOf(
      adjustLch(colour, random.bell() * 0.03, 1, random.bell() * 5),
      alpha * (0.5 + random.next() * 0.6),
    );
    context.lineWidth = (width / bristles) * (0.6 + random.next() * 1.1);
    context.beginPath();
    context.moveTo(ax + dx * start + nx * o, ay + dy * start + ny * o);
    context.quadraticCurveTo(
      ax + dx * 0.5 + nx * (o + bow),
      ay + dy * 0.5 + ny * (o + bow),
      ax + dx * end + nx * o,
      ay + dy * end + ny * o,
    );
    context.stroke();
  }
}

/** Calls `stroke` for parallel lines across a box, `gap` px apart. */
export function hatchLines(
  bounds: Bounds,
  direction: number,
  gap: number,
  stroke: (ax: number, ay: number, bx: number, by: number) => void,
): void {
  const cx = (bounds[0] + bounds[2]) / 2;
  const cy = (bounds[1] + bounds[3]) / 2;
  const reach = Math.hypot(bounds[2] - bounds[0], bounds[3] - bounds[1]) / 2 + 6;
  const c = Math.cos(direction);
  const s = Math.sin(direction);
  for (let o = -reach; o < reach; o += gap) {
    stroke(cx - s * o - c * reach, cy + c * o - s * reach, cx - s * o + c * reach, cy + c * o + s * reach);
  }
}

/** The colour of a gradient at a point (`shift` moves along it). */
export function gradientAt({ line: [x0, y0, x1, y1], stops }: Gradient, px: number, py: number, shift = 0): Lch {
  const dx = x1 - x0;
  const dy = y1 - y0;
  const along = ((px - x0) * dx + (py - y0) * dy) / (dx * dx + dy * dy || 1) + shift;
  const t = Math.min(1, Math.max(0, along));
  for (let i = 0; i < stops.length - 1; i++) {
    if (t <= stops[i + 1][0]) {
      return mixLch(stops[i][1], stops[i + 1][1], (t - stops[i][0]) / (stops[i + 1][0] - stops[i][0] || 1));
    }
  }
  return stops[stops.length - 1][1];
}

/** The colour in the middle of a shape. */
export const middleColour = (n: ShapeNode): Lch =>
  n.gradient
    ? n.gradient.stops[Math.floor(n.gradient.stops.length / 2)][1]
    : n.toColour
      ? mixLch(n.colour, n.toColour, 0.5)
      : n.colour;

/** The colour of a shape at a point: gradient, vertical blend or flat. */
export function colourAt(n: ShapeNode, px: number, py: number, bounds = boundsOf(n.path), shift = 0): Lch {
  if (n.gradient) return gradientAt(n.gradient, px, py, shift);
  if (!n.toColour) return n.colour;
  const t = (py - bounds[1]) / (bounds[3] - bounds[1] || 1) + shift;
  return mixLch(n.colour, n.toColour, Math.min(1, Math.max(0, t)));
}

/** -1 towards the light, 1 away from it, for a point in a box. */
export const lightSide = (bounds: Bounds, direction: readonly [number, number], px: number, py: number): number => {
  const w = bounds[2] - bounds[0] || 1;
  const h = bounds[3] - bounds[1] || 1;
  return ((px - (bounds[0] + w / 2)) * direction[0]) / w + ((py - (bounds[1] + h / 2)) * direction[1]) / h;
};

/** Interpolates a point on a segment. */
export const along = (ax: number, ay: number, bx: number, by: number, t: number): [number, number] => [
  lerp(ax, bx, t),
  lerp(ay, by, t),
];
