import { smoothstep, type Lch } from '@urbild/core';
import { ridge } from '../land/land';
import { reedBank } from '../land/plants';
import { paintClouds, paintSky } from '../sky/sky';
import type { Scene } from '../scene/scene';
import { glitter, paintWater, ripples } from '../water/water';
import { roughSea } from '../water/waves';

const FRAME_GREEN: Lch = [0.27, 0.055, 130];

/** Dark reeds in the lower corners hold the picture together. */
export function foregroundReeds(scene: Scene, leftEnd: number, rightStart: number, height: number): void {
  const { width: W, height: H, unit: u } = scene;
  const style = { step: 11, width: 3.6 * u, heads: 0.1, lit: 0.22 };
  reedBank(scene, {
    x0: -12,
    x1: W * leftEnd,
    shore: () => H + 6 * u,
    height: height * u,
    colour: FRAME_GREEN,
    depth: 0,
    style: {
      ...style,
      count: 6,
      wind: 0.12,
      scale: (x) => 0.35 + 0.85 * smoothstep(W * leftEnd, 0, x),
    },
  });
  reedBank(scene, {
    x0: W * rightStart,
    x1: W * 1.03,
    shore: () => H + 6 * u,
    height: height * 0.8 * u,
    colour: FRAME_GREEN,
    depth: 0,
    style: {
      ...style,
      count: 5,
      wind: -0.1,
      scale: (x) => 0.3 + 0.8 * smoothstep(W * rightStart, W, x),
    },
  });
}

/** Calm water under a sky, or a rough sea in a storm. */
export function openWater(scene: Scene, horizon: number, sunX: number, count = 120): void {
  const sun = paintSky(scene, horizon, sunX);
  paintClouds(scene, horizon);
  ridge(scene, horizon, 24, 150, [0.46, 0.06, 250], 0.8);
  paintWater(scene, horizon);
  if (scene.light.weather === 'storm') return roughSea(scene, horizon);
  glitter(scene, horizon, sun, 110);
  ripples(scene, horizon, horizon + 4 * scene.unit, scene.height, count, { alpha: 0.36 });
}
