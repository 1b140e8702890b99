import { wobble } from '../geometry/curve';
import { rectangle } from '../geometry/point';
import { rock } from '../land/rock';
import { sailingBoat } from '../props/boats';
import { paintWindow } from '../props/stiltHouse';
import { LIGHTHOUSE_LAMP, lightBeam, lighthouse as lighthouseTower } from '../props/towers';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../stage/region';
import type { Scene } from '../stage/scene';
import { glitter, paintWater, ripples } from '../water/water';
import { roughSea, waveRow } from '../water/waves';
import { horizonOf, type Place } from './place';

/** The keeper's cottage beside a lighthouse. */
function cottage(scene: Scene, x: number, y: number, depth: number): void {
  const u = scene.unit;
  const wall = scene.pen({ region: REGION.building, depth });
  wall.shape(wobble(rectangle(x, y - 34 * u, 66 * u, 38 * u), 0.7, 12, 1), [0.86, 0.02, 85], { strokes: Math.PI / 2 });
  wall.shape(wobble(rectangle(x + 48 * u, y - 70 * u, 9 * u, 16 * u), 0.5, 9, 2), [0.5, 0.06, 35]);
  scene.pen({ region: REGION.roof, depth }).shape(
    wobble(
      [
        [x - 6 * u, y - 32 * u],
        [x + 10 * u, y - 58 * u],
        [x + 58 * u, y - 58 * u],
        [x + 73 * u, y - 32 * u],
      ],
      0.7,
      12,
      2,
    ),
    [0.48, 0.1, 32],
    { strokes: 1 },
  );
  for (const k of [17, 50])
    paintWindow(scene, wall, x + k * u, y - 18 * u, 10 * u, 13 * u, 60 * u, [0.86, 0.02, 85], scene.light.lamps);
  scene.pen({ region: REGION.wood, depth }).shape(rectangle(x + 29 * u, y - 25 * u, 11 * u, 27 * u), [0.4, 0.07, 210]);
}

export const lighthouse: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, light: e } = scene;
  const hz = horizonOf(scene, setting, 0.54);
  const storm = e.weather === 'storm';
  const sun = paintSky(scene, hz, 0.22);
  paintClouds(scene, hz);
  const x = W * 0.68;
  const foot = hz - 40 * u;
  const lampY = foot - 238 * u * LIGHTHOUSE_LAMP;
  if (e.lamps) {
    lightBeam(scene, x, lampY, W * 0.9, Math.PI - 0.03, Math.PI + 0.15, 0.45);
    lightBeam(scene, x, lampY, W * 0.6, -0.1, 0.1, 0.34);
  }
  paintWater(scene, hz);
  if (storm) roughSea(scene, hz);
  else {
    glitter(scene, hz, sun, 90);
    sailingBoat(scene, W * 0.2, hz + 22 * u, 70 * u, 0.46, { sail: [0.86, 0.04, 80] });
    ripples(scene, hz, hz + 3 * u, H, 160, { alpha: 0.4 });
  }
  rock(scene, x + 10 * u, hz + 32 * u, 340 * u, 90 * u, [0.45, 0.03, 260], 0.34, 9, 0.8);
  cottage(scene, x + 52 * u, hz - 12 * u, 0.3);
  lighthouseTower(scene, x, foot, 238 * u, 0.26);
  rock(scene, x - 50 * u, hz + 38 * u, 150 * u, 64 * u, [0.39, 0.03, 262], 0.24, 7);
  rock(scene, x + 104 * u, hz + 42 * u, 200 * u, 60 * u, [0.37, 0.03, 262], 0.22, 7);
  if (storm) waveRow(scene, hz + 150 * u, 46, 80, 0.06, [0.33, 0.05, 212], true);
  rock(scene, W * 0.34, H + 46 * u, 900 * u, 150 * u, [0.38, 0.035, 255], 0.04, 16, 0.28);
  return {
    x: W * 0.3,
    y: H * 0.845,
    head: 46 * u,
    depth: 0.03,
    keepOut: [W * 0.68],
    horizon: hz,
    boat: { x: W * 0.42, y: hz + 96 * u },
  };
};
