import { mixLch, type Lch } from '@urbild/core';
import { spline } from '../geometry/curve';
import { ellipse } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';

/** Rain, snow and mist in front of everything, as the weather says. `horizon` in px. */
export function paintPrecipitation(scene: Scene, horizon: number): void {
  const { weather } = scene.light;
  scene.markWeather(() => {
    if (weather === 'rain') rain(scene, 0.6, 210);
    if (weather === 'storm') rain(scene, 0.45, 170);
    if (weather === 'snow') snow(scene, 190);
    if (weather === 'wind') gusts(scene);
  });
  if (weather === 'fog') mist(scene, horizon + 30 * scene.unit, 120 * scene.unit, 0.5);
}

function rain(scene: Scene, alpha: number, count: number): void {
  const { random: r, light: e, width: W, height: H, unit: u } = scene;
  const pen = scene.pen({ region: REGION.none, depth: 0, raw: true });
  // light drops before what is dark, dark ones before what is light: neither sky swallows all of them
  const light = mixLch(e.haze, e.light, 0.5);
  const dark: Lch = [light[0] * 0.62, light[1], light[2]];
  for (let i = 0; i < count; i++) {
    const x = r.next() * W * 1.2;
    const y = r.next() * H * 1.1 - 20;
    const l = r.range(16, 42) * u;
    pen.line(
      [
        [x, y],
        [x - l * 0.3, y + l],
      ],
      r.range(0.8, 1.7) * u,
      i % 3 ? light : dark,
      { alpha: alpha * r.range(0.4, 1) },
    );
  }
}

/** Long curved strokes of wind, and leaves that it carries. */
function gusts(scene: Scene): void {
  const { random: r, light: e, width: W, height: H, unit: u } = scene;
  const pen = scene.pen({ region: REGION.none, depth: 0, raw: true });
  for (let i = 0; i < 9; i++) {
    const x = r.range(-0.1, 0.8) * W;
    const y = r.range(0.08, 0.75) * H;
    const l = r.range(0.15, 0.34) * W;
    const s = r.range(6, 16) * u;
    pen.line(
      spline(
        [
          [x, y],
          [x + l * 0.4, y - s],
          [x + l * 0.8, y + s * 0.2],
          [x + l, y - s * 0.7],
          [x + l * 0.94, y - s * 1.3],
        ],
        false,
      ),
      1.3 * u,
      mixLch(e.light, e.haze, 0.4),
      { alpha: 0.5, taper: [0.4, 0.4] },
    );
  }
  const leaf: Lch = {
    spring: [0.9, 0.05, 0],
    summer: [0.6, 0.12, 130],
    autumn: [0.62, 0.14, 55],
    winter: [0.5, 0.05, 60],
  }[e.season] as unknown as Lch;
  for (let i = 0; i < 26; i++)
    pen.shape(
      ellipse(r.next() * W, r.range(0.1, 0.95) * H, r.range(2, 4.4) * u, r.range(1, 2) * u, r.next() * 3, 8),
      leaf,
      { plain: true, alpha: 0.85 },
    );
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
