import type { SKRSContext2D } from '@napi-rs/canvas';
import { adjustLch, cssOf, mixLch, type Lch, type Random } from '@urbild/core';
import type { Bounds } from '../geometry/point';
import type { ShapeNode } from '../scene/displayList';
import type { ShapeLight } from './shapeLight';
import { bristleDab, colourAt } from './strokes';

/** Along the longer side of a flat shape, upright in a tall one, slanting otherwise. */
export const strokeDirection = (n: ShapeNode, w: number, h: number): number =>
  n.strokes ?? (w > h * 1.3 ? 0 : h > w * 1.6 ? Math.PI / 2 : -0.5);

/** Dabs of a bristle brush along a shape, lighter towards the light; the context is clipped to it. */
export function layDabs(context: SKRSContext2D, n: ShapeNode, bounds: Bounds, light: ShapeLight, r: Random): void {
  const w = bounds[2] - bounds[0];
  const h = bounds[3] - bounds[1];
  const strength = n.texture ?? 1;
  if (strength <= 0) return;
  const direction = strokeDirection(n, w, h);
  const near = Math.exp(-n.depth * 1.2);
  const count = Math.min(120, Math.round((w * h * strength) / 900) + 2);
  for (let i = 0; i < count; i++) {
    const px = r.range(bounds[0], bounds[2]);
    const py = r.range(bounds[1], bounds[3]);
    const length = Math.min(Math.max(w, h) * 0.5, r.range(14, 60));
    const a = direction + r.bell() * 0.18;
    const width = Math.min(r.range(5, 18), Math.min(w, h) * 0.45);
    let c = adjustLch(colourAt(n, px, py, bounds), r.bell() * 0.035 * near, 1 + r.bell() * 0.12, r.bell() * 7 * near);
    if (n.volume !== 0 && !n.gradient) {
      const u =
        2 *
        (((px - (bounds[0] + w / 2)) * light.direction[0]) / (w || 1) +
          ((py - (bounds[1] + h / 2)) * light.direction[1]) / (h || 1));
      c = u < 0 ? mixLch(c, light.light, -u * 0.19 * near) : mixLch(c, light.shadow, u * 0.19 * near);
    }
    const dx = (Math.cos(a) * length) / 2;
    const dy = (Math.sin(a) * length) / 2;
    bristleDab(context, r, {
      way: [px - dx, py - dy, px + dx, py + dy],
      width,
      colour: c,
      alpha: 0.32,
      bristles: Math.max(3, Math.round(width / 2.2)),
      bow: r.bell() * 4,
    });
  }
}

/** Shadow on the side away from the light, a thin rim on the side towards it. */
export function layCrescents(context: SKRSContext2D, n: ShapeNode, bounds: Bounds, light: ShapeLight): void {
  const near = Math.exp(-n.depth * 1.2);
  const small = Math.min(bounds[2] - bounds[0], bounds[3] - bounds[1]);
  const crescent = (dx: number, dy: number, colour: Lch, alpha: number) => {
    context.fillStyle = cssOf(colour, alpha);
    context.beginPath();
    context.rect(bounds[0] - 30, bounds[1] - 30, bounds[2] - bounds[0] + 60, bounds[3] - bounds[1] + 60);
    n.path.forEach(([x, y], i) => (i ? context.lineTo(x + dx, y + dy) : context.moveTo(x + dx, y + dy)));
    context.closePath();
    context.fill('evenodd');
  };
  const [lx, ly] = light.direction;
  if (n.shade !== 0) {
    const q = (n.shade ?? 1) * Math.min(small * 0.16, 14);
    if (q > 0.6) {
      crescent(-lx * q, -ly * q, mixLch(n.colour, light.shadow, 0.6), 0.22 * near);
      crescent(-lx * q * 0.5, -ly * q * 0.5, mixLch(n.colour, light.shadow, 0.75), 0.22 * near);
    }
  }
  if (n.rim !== 0) {
    const q = (n.rim ?? 1) * Math.min(small * 0.07, 3.2) * light.rim;
    if (q > 0.3) crescent(lx * q, ly * q, mixLch(n.colour, light.light, 0.72), 0.62 * near);
  }
}
