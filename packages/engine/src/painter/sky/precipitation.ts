import { mixLch } from '@urbild/core';
import { ellipse } from '../geometry/point';
import { REGION } from '../stage/region';
import type { Scene } from '../stage/scene';

/** Rain, snow and mist in front of everything, as the weather says. `horizon` in px. */
export function paintPrecipitation(scene: Scene, horizon: number): void {
  const { weather } = scene.light;
  if (weather === 'rain') rain(scene, 0.3, 170);
  if (weather === 'storm') rain(scene, 0.3, 150);
  if (weather === 'snow') snow(scene, 190);
  if (weather === 'fog') mist(scene, horizon + 30 * scene.unit, 120 * scene.unit, 0.5);
}

function rain(scene: Scene, alpha: number, count: number): void {
  const { random: r, light: e, width: W, height: H, unit: u } = scene;
  const pen = scene.pen({ region: REGION.none, depth: 0, raw: true });
  for (let i = 0; i < count; i++) {
    const x = r.next() * W * 1.2;
    const y = r.next() * H * 1.1 - 20;
    const l = r.range(12, 34) * u;
    pen.line(
      [
        [x, y],
        [x - l * 0.3, y + l],
      ],
      r.range(0.5, 1.2) * u,
      mixLch(e.haze, e.light, 0.5),
      { alpha: alpha * r.range(0.4, 1) },
    );
  }
}

function snow(scene: Scene, count: number): void {
  const { random: r, width: W, height: H, unit: u } = scene;
  const pen = scene.pen({ region: REGION.none, depth: 0, raw: true });
  for (let i = 0; i < count; i++) {
    const radius = r.range(0.7, 2.6) * u * (r.chance(0.08) ? 1.8 : 1);
    pen.shape(ellipse(r.next() * W, r.next() * H, radius, radius * 0.9, 0, 9), [0.98, 0.008, 250], {
      plain: true,
      alpha: r.range(0.5, 0.95),
    });
  }
}

/** Soft bands of mist about a height of `y` px. */
export function mist(scene: Scene, y: number, height: number, alpha: number): void {
  const { random: r, light: e, width: W } = scene;
  const pen = scene.pen({ region: REGION.none, depth: 0.5, raw: true });
  for (let i = 0; i < 7; i++) {
    const x = r.range(-0.2, 0.9) * W;
    const w = r.range(0.4, 0.9) * W;
    pen.mist(x, y + r.bell() * height * 0.5, w, height * r.range(0.25, 0.7), mixLch(e.haze, e.light, 0.25), alpha);
  }
}
