import { lerp, mixLch, type Lch } from '@urbild/core';
import { ribbon, wobble } from '../geometry/curve';
import type { Point } from '../geometry/point';
import { fields, grass, grassOf } from '../land/fields';
import { fir } from '../land/fir';
import { treeline } from '../land/land';
import { reeds } from '../land/plants';
import { paintSky } from '../sky/sky';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import { horizonOf, type Place } from './place';

/** A great trunk that leaves the picture at the top: foot (x, y), `w` px wide. */
function trunk(scene: Scene, x: number, y: number, w: number, depth: number): void {
  const r = scene.random;
  const lean = r.bell() * w * 0.5;
  const pen = scene.pen({ region: REGION.wood, depth });
  const bark: Lch = [0.37, 0.04, r.range(48, 66)];
  const body = pen.shape(
    wobble(
      ribbon(
        [
          [x - w * 0.1, y + w * 0.1],
          [x, y - w * 0.6],
          [x + lean * 0.5, y * 0.5],
          [x + lean, -20],
        ],
        [w * 1.7, w, w * 0.86, w * 0.74],
      ),
      1.4,
      14,
      x,
    ),
    bark,
    { strokes: 1.55, volume: 1, shade: 1.2, texture: 1.5, rim: 1.3 },
  );
  scene.inside(body, () => {
    for (let i = 0; i < 9; i++) {
      const u = x + r.range(-0.45, 0.45) * w;
      const v = r.range(0, y);
      pen.line(
        [
          [u, v],
          [u + r.bell() * 3, v + w * r.range(0.6, 1.6)],
        ],
        w * 0.03,
        mixLch(bark, [0.18, 0.03, 50], 0.5),
        { alpha: 0.6 },
      );
    }
  });
  for (const s of [-1, 1]) {
    if (!r.chance(0.55)) continue;
    const v = y * r.range(0.12, 0.4);
    const l = w * r.range(1.4, 2.6);
    pen.shape(
      ribbon(
        [
          [x + lean * 0.5, v],
          [x + s * l * 0.6, v - l * 0.25],
          [x + s * l, v - l * 0.6],
        ],
        [w * 0.3, w * 0.18, w * 0.06],
      ),
      bark,
      { texture: 0.6 },
    );
  }
}

/** Leaves that hang in from above. */
function canopy(scene: Scene, depth: number, low: number, colour: Lch): void {
  const { width: W, unit: u, random: r } = scene;
  const path: Point[] = [[-10, -10]];
  for (let x = -10; x <= W + 30;) {
    const w = r.range(26, 60) * u;
    const drop = low * (0.5 + 0.7 * Math.abs(x / W - 0.5) * 2) * r.range(0.7, 1.15);
    for (let k = 0; k <= 5; k++) path.push([x + (k / 5) * w, drop + Math.sin((k / 5) * Math.PI) * w * 0.35]);
    x += w * 0.9;
  }
  path.push([W + 30, -10]);
  scene
    .pen({ region: REGION.foliage, depth })
    .shape(wobble(path, 2, 7, low), colour, { mottled: true, texture: 1.3, shade: 0.6, volume: 0.5 });
}

/** Inside a wood: pale trunks far off, great ones near, light between them. */
export const forest: Place = (scene, setting) => {
  const { width: W, height: H, unit: u, random: r, light: e } = scene;
  const hz = horizonOf(scene, setting, 0.52);
  paintSky(scene, hz + 20 * u, 0.52);
  treeline(scene, { y: hz + 10 * u, height: 150 * u, colour: grassOf(scene, -0.06), depth: 0.84 });
  treeline(scene, { y: hz + 14 * u, height: 90 * u, colour: grassOf(scene, -0.1), depth: 0.66 });
  fields(scene, hz, H * 0.78, 4, (i) =>
    mixLch(grassOf(scene, -0.06 - 0.02 * i), [0.42, 0.06, 70], e.season === 'autumn' ? 0.6 : 0.35),
  );
  for (let i = 0; i < 14; i++) {
    const t = i / 14;
    const x = W * ((i * 0.381 + 0.07) % 1);
    const y = lerp(hz + 8 * u, H * 0.64, t * t);
    if (i % 3 === 0) fir(scene, x, y, lerp(150, 320, t) * u, 0.62 - 0.4 * t);
    else trunk(scene, x, y, lerp(8, 24, t) * u, 0.62 - 0.38 * t);
  }
  const leaf: Lch =
    e.season === 'autumn' ? [0.6, 0.13, 58] : e.season === 'spring' ? [0.66, 0.12, 125] : [0.42, 0.085, 145];
  if (e.season !== 'winter') canopy(scene, 0.3, hz * 0.42, leaf);
  if (!e.stars && (e.weather === 'clear' || e.weather === 'fog')) {
    const beam = scene.pen({ region: REGION.none, depth: 0.3, raw: true });
    for (const [a, b] of [
      [0.34, 0.2],
      [0.5, 0.42],
      [0.66, 0.6],
    ])
      beam.shape(
        [
          [W * a, -10],
          [W * (a + 0.06), -10],
          [W * (b + 0.12), H * 0.8],
          [W * b, H * 0.8],
        ],
        e.light,
        { blend: 'screen', alpha: 0.1, plain: true },
      );
  }
  for (const [x, w, y, d] of [
    [0.06, 58, 0.82, 0.1],
    [0.9, 70, 0.86, 0.06],
    [0.75, 30, 0.74, 0.2],
  ])
    trunk(scene, W * x, H * y, w * u, d);
  if (e.season !== 'winter') canopy(scene, 0.05, hz * 0.2, [leaf[0] - 0.12, leaf[1], leaf[2]]);
  grass(scene, H * 0.68, H, 60, 0.16);
  for (let i = 0; i < 16; i++) {
    const x = r.next() * W;
    const y = H * r.range(0.8, 1.02);
    if (x > W * 0.28 && x < W * 0.72 && y < H * 0.95) continue;
    reeds(scene, {
      x,
      y,
      count: 9,
      height: r.range(20, 44) * u,
      colour: grassOf(scene, -0.1),
      depth: 0.05,
      style: {
        spread: 16 * u,
        width: 3.4 * u,
        wind: r.bell() * 0.3,
      },
    });
  }
  return { x: W * 0.5, y: H * 0.85, head: 45 * u, depth: 0.06, horizon: hz, left: W * 0.16, right: W * 0.84 };
};
