import { mixLch, type Lch } from '@urbild/core';
import { wobble } from '../geometry/curve';
import type { Point } from '../geometry/point';
import { cornerGrass, fields, grass, grassOf } from '../land/fields';
import { fir } from '../land/fir';
import { treeline } from '../land/land';
import { rock } from '../land/rock';
import { mist } from '../sky/precipitation';
import { paintClouds, paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import { horizonOf, type Place } from './place';

/** A range of peaks with snow on them: base line y px, `height` px. */
function range(
  scene: Scene,
  {
    y,
    height,
    peaks,
    colour,
    depth,
    snow,
  }: {
    readonly y: number;
    readonly height: number;
    readonly peaks: readonly (readonly [x: number, h: number])[];
    readonly colour: Lch;
    readonly depth: number;
    readonly snow: number;
  },
): void {
  const { width: W, random: r } = scene;
  const path: Point[] = [[-20, y + 10]];
  const tops: [number, number, number][] = [];
  peaks.forEach(([px, ph], i) => {
    const x = px * W;
    const w = W * 0.16;
    const top = y - ph * height;
    path.push(
      [x - w * 0.75, y - ph * height * 0.42 + r.bell() * 4],
      [x - w * 0.32, y - ph * height * 0.72 + r.bell() * 4],
      [x, top],
      [x + w * 0.24, y - ph * height * 0.8],
      [x + w * 0.6, y - ph * height * 0.5],
    );
    tops.push([x, top, ph * height]);
    if (i === peaks.length - 1) path.push([W + 20, y - height * 0.2]);
  });
  path.push([W + 20, y + 10]);
  path.sort((a, b) => a[0] - b[0]);
  path.push([W + 20, y + 12], [-20, y + 12]);
  const pen = scene.pen({ region: REGION.hill, depth });
  const body = pen.shape(wobble(path, 1.1, 12, depth * 30), colour, {
    volume: 0.5,
    strokes: 1.1,
    texture: 1.2,
    mottled: true,
  });
  scene.inside(body, () => {
    for (const [x, top, h] of tops) {
      pen.shape(
        wobble(
          [
            [x, top - 6],
            [x + h * 0.75, top + h * 1.1],
            [x + h * 0.12, top + h * 1.1],
            [x + h * 0.08, top + h * 0.5],
          ],
          1,
          12,
          x,
        ),
        mixLch(colour, scene.light.shadow, 0.3),
        { plain: true, alpha: 0.5 },
      );
      if (!snow) continue;
      const s = h * snow;
      pen.shape(
        wobble(
          [
            [x, top - 8],
            [x - s * 0.85, top + s * 0.72],
            [x - s * 0.38, top + s * 0.5],
            [x - s * 0.12, top + s * 0.92],
            [x + s * 0.12, top + s * 0.5],
            [x + s * 0.42, top + s * 0.86],
            [x + s * 0.7, top + s * 0.6],
          ],
          1.2,
          9,
          x,
        ),
        [0.96, 0.012, 250],
        { volume: 0.4, shade: 0.3, texture: 0.6 },
      );
    }
  });
}

/** High peaks behind a wooded valley, seen from a grassy ledge. */
export const mountains: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, light: e } = scene;
  const hz = horizonOf(scene, setting, 0.6);
  paintSky(scene, hz, 0.24);
  paintClouds(scene, hz * 0.7);
  const snow = e.season === 'summer' ? 0.34 : 0.5;
  range(scene, {
    y: hz,
    height: 250 * u,
    peaks: [
      [0.16, 0.66],
      [0.44, 1],
      [0.78, 0.84],
    ],
    colour: [0.56, 0.05, 262],
    depth: 0.8,
    snow,
  });
  mist(scene, hz - 20 * u, 30 * u, 0.4);
  range(scene, {
    y: hz + 6 * u,
    height: 130 * u,
    peaks: [
      [0.05, 0.9],
      [0.3, 0.6],
      [0.64, 0.76],
      [0.95, 1],
    ],
    colour: [0.46, 0.06, 240],
    depth: 0.58,
    snow: 0,
  });
  mist(scene, hz + 4 * u, 24 * u, 0.35);
  treeline(scene, { y: hz + 12 * u, height: 26 * u, colour: [0.36, 0.06, 170], depth: 0.46 });
  fields(scene, hz + 6 * u, H * 0.84, 3, (i) => grassOf(scene, [0.02, -0.03, 0.02][i]));
  for (const [x, y, s, d] of [
    [0.1, 0.74, 150, 0.24],
    [0.2, 0.72, 104, 0.3],
    [0.02, 0.79, 190, 0.2],
    [0.88, 0.75, 160, 0.22],
    [0.97, 0.8, 200, 0.18],
    [0.79, 0.715, 90, 0.32],
  ])
    fir(scene, W * x, H * y, s * u, d);
  rock(scene, { x: W * 0.86, y: H * 0.97, w: 190 * u, h: 60 * u, colour: [0.52, 0.02, 255], depth: 0.08 });
  rock(scene, { x: W * 0.07, y: H * 1.02, w: 200 * u, h: 70 * u, colour: [0.5, 0.02, 255], depth: 0.05 });
  grass(scene, H * 0.76, H, 90, 0.14);
  cornerGrass(scene, 40, 0.12, 0.88);
  return { x: W * 0.42, y: H * 0.87, head: 44 * u, depth: 0.06, horizon: hz, left: W * 0.14, right: W * 0.84 };
};
