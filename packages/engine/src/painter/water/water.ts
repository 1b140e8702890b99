import { lerp, mixLch, type Lch } from '@urbild/core';
import { ribbon } from '../geometry/curve';
import { rectangle } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import type { SkyLight } from '../sky/sky';

/** A sheet of water from the horizon (px) down. */
export function paintWater(scene: Scene, horizon: number): void {
  const { width: W, height: H, light: e } = scene;
  scene
    .pen({ region: REGION.water, depth: 0.5, raw: true })
    .shape(rectangle(-5, horizon, W + 10, H - horizon + 10), e.water[1], {
      gradient: {
        line: [0, horizon, 0, H],
        stops: [
          [0, mixLch(e.water[0], e.sky[2], 0.5)],
          [0.13, e.water[0]],
          [0.42, mixLch(mixLch(e.water[0], e.water[1], 0.6), e.sky[1], 0.38)],
          [1, e.water[1]],
        ],
      },
      strokes: 0,
      rim: 0,
      shade: 0,
      texture: 1.2,
    });
}

/** How ripples lie. */
export interface RippleStyle {
  /** Centre, 0..1 of the width, and spread; the whole width when absent. */
  readonly centre?: number;
  readonly spread?: number;
  readonly colour?: Lch;
  readonly alpha?: number;
  readonly length?: number;
  /** Part of them that is light, 0..1. */
  readonly light?: number;
}

/** `count` small waves between two heights (px), larger towards the viewer. */
export function ripples(
  scene: Scene,
  horizon: number,
  y0: number,
  y1: number,
  count: number,
  style: RippleStyle = {},
): void {
  const { width: W, height: H, light: e, random: r, unit: u } = scene;
  const pen = scene.pen({ region: REGION.water, depth: 0.3, raw: true });
  for (let i = 0; i < count; i++) {
    const y = lerp(y0, y1, Math.pow(r.next(), 0.8));
    const near = Math.max(0, (y - horizon) / (H - horizon));
    const x =
      style.centre === undefined
        ? r.next() * W * 1.1 - 0.05 * W
        : style.centre * W + r.bell() * (style.spread ?? 0.05) * W * (0.25 + near);
    const w = (6 + 70 * near) * r.range(0.4, 1.3) * u * (style.length ?? 1);
    const h = (0.5 + 3.4 * near) * u * r.range(0.5, 1);
    const base = mixLch(e.water[0], e.water[1], Math.min(1, near * 1.3));
    const lit = r.chance(style.light ?? 0.5);
    const colour =
      style.colour ?? (lit ? mixLch(base, mixLch(e.sky[2], e.light, 0.4), 0.6) : mixLch(base, e.shadow, 0.32));
    pen.shape(
      ribbon(
        [
          [x - w / 2, y],
          [x - w * 0.15, y - h * 0.35],
          [x + w * 0.2, y + h * 0.2],
          [x + w / 2, y],
        ],
        [0.3, h, h * 0.8, 0.3],
      ),
      colour,
      { plain: true, alpha: (style.alpha ?? 0.5) * r.range(0.5, 1) },
    );
  }
}

/** The path of light that the sun or moon lays on the water. */
export function glitter(scene: Scene, horizon: number, sun: SkyLight | undefined, count = 100): void {
  const e = scene.light;
  if (!sun || !e.sun) return;
  ripples(scene, horizon, horizon + 1, scene.height, count, {
    centre: sun.x / scene.width,
    spread: 0.05,
    colour: mixLch(e.sun.colour, e.light, 0.3),
    alpha: 0.75,
    length: 0.7,
  });
}
