import { wobble } from '../geometry/curve';
import { rectangle } from '../geometry/point';
import { rock } from '../land/rock';
import { sailingBoat } from '../things/boats';
import { paintWindow } from '../things/houseWindow';
import { LIGHTHOUSE_LAMP, lightBeam, lighthouse as lighthouseTower } from '../things/towers';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
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
    paintWindow(scene, {
      walls: wall,
      x: x + k * u,
      y: y - 18 * u,
      w: 10 * u,
      h: 13 * u,
      s: 60 * u,
      wall: [0.86, 0.02, 85],
      lit: scene.light.lamps,
    });
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
    lightBeam(scene, { x, y: lampY, length: W * 0.9, from: Math.PI - 0.03, to: Math.PI + 0.15, alpha: 0.45 });
    lightBeam(scene, { x, y: lampY, length: W * 0.6, from: -0.1, to: 0.1, alpha: 0.34 });
  }
  paintWater(scene, hz);
  if (storm) roughSea(scene, hz);
  else {
    glitter(scene, hz, sun, 90);
    sailingBoat(scene, W * 0.2, hz + 22 * u, 70 * u, 0.46, { sail: [0.86, 0.04, 80] });
    ripples(scene, hz, hz + 3 * u, H, 160, { alpha: 0.4 });
  }
  rock(scene, {
    x: x + 10 * u,
    y: hz + 32 * u,
    w: 340 * u,
    h: 90 * u,
    colour: [0.45, 0.03, 260],
    depth: 0.34,
    knobs: 9,
    flat: 0.8,
  });
  cottage(scene, x + 52 * u, hz - 12 * u, 0.3);
  scene.landmark('lighthouse', () => lighthouseTower(scene, x, foot, 238 * u, 0.26));
  rock(scene, {
    x: x - 50 * u,
    y: hz + 38 * u,
    w: 150 * u,
    h: 64 * u,
    colour: [0.39, 0.03, 262],
    depth: 0.24,
    knobs: 7,
  });
  rock(scene, {
    x: x + 104 * u,
    y: hz + 42 * u,
    w: 200 * u,
    h: 60 * u,
    colour: [0.37, 0.03, 262],
    depth: 0.22,
    knobs: 7,
  });
  if (storm)
    waveRow(scene, { y: hz + 150 * u, amplitude: 46, length: 80, depth: 0.06, colour: [0.33, 0.05, 212], foam: true });
  rock(scene, {
    x: W * 0.34,
    y: H + 46 * u,
    w: 900 * u,
    h: 150 * u,
    colour: [0.38, 0.035, 255],
    depth: 0.04,
    knobs: 16,
    flat: 0.28,
  });
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
