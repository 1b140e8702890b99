import { clamp, lerp, mixLch, type Lch } from '@urbild/core';
import type { Bounds } from '../geometry/point';
import type { Environment } from '../light/environment';
import type { ShapeNode } from '../scene/displayList';
import { REGION } from '../scene/region';
import type { Lamp } from '../scene/scene';

/** The light on one shape: the scene's, bent by lamps and warmed in the shadows of skin, hair and cloth. */
export interface ShapeLight {
  readonly direction: readonly [number, number];
  readonly light: Lch;
  readonly shadow: Lch;
  readonly rim: number;
}

/** The light that falls on a shape, and the shape with the colour that lamps give it. */
export function lightOn(n: ShapeNode, bounds: Bounds, e: Environment, lamps: readonly Lamp[]): [ShapeNode, ShapeLight] {
  const warm = (towards: Lch, amount: number) => mixLch(e.shadow, towards, amount);
  const shadow =
    n.region === REGION.skin
      ? warm([0.55, 0.125, 30], 0.7)
      : n.region === REGION.hair
        ? warm([n.colour[0] * 0.45, n.colour[1], n.colour[2] - 8], 0.55)
        : n.region === REGION.garment || n.region === REGION.prop
          ? warm([n.colour[0] * 0.45, n.colour[1] * 0.95, n.colour[2] - 14], 0.5)
          : e.shadow;
  let light: ShapeLight = { direction: e.direction, light: e.light, shadow, rim: e.rim };
  let lit = n;
  const touched = !n.gradient && n.volume !== 0 && n.region !== REGION.sky && n.region !== REGION.cloud;
  if (touched)
    for (const lamp of lamps) {
      const dx = (bounds[0] + bounds[2]) / 2 - lamp.x;
      const dy = (bounds[1] + bounds[3]) / 2 - lamp.y;
      const distance = Math.hypot(dx, dy) || 1;
      const k = Math.exp(-((distance / lamp.radius) ** 2));
      if (k <= 0.03) continue;
      light = {
        direction: [lerp(e.direction[0], dx / distance, k), lerp(e.direction[1], dy / distance, k)],
        light: mixLch(e.light, [0.9, 0.125, 76], k),
        shadow,
        rim: e.rim * (1 + k),
      };
      const glowing = mixLch(
        [clamp(lit.colour[0] + 0.22), lit.colour[1] * 1.35, lit.colour[2]],
        [0.85, 0.12, 72],
        0.28,
      );
      lit = { ...lit, colour: mixLch(lit.colour, glowing, k * 0.62), volume: (lit.volume ?? 0.5) * (1 + k * 0.9) };
    }
  return [lit, light];
}
