import { mixLch, type Lch } from '@urbild/core';
import { ribbon, spline, wobble } from '../geometry/curve';
import { ellipse, type Point } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';

interface Crest {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** One row of a rough sea: slow backs, steep faces, torn caps. `amplitude` and `length` in units. */
export function waveRow(
  scene: Scene,
  {
    y,
    amplitude,
    length,
    depth,
    colour,
    foam,
  }: {
    readonly y: number;
    readonly amplitude: number;
    readonly length: number;
    readonly depth: number;
    readonly colour: Lch;
    readonly foam: boolean;
  },
): void {
  const { random: r, unit: u, width: W, height: H, light: e } = scene;
  const path: Point[] = [];
  const crests: Crest[] = [];
  const step = length * u * 2.2;
  for (let x = -step - r.next() * step; x < W + step * 2;) {
    const w = step * r.range(0.75, 1.3);
    const a = amplitude * u * r.range(0.6, 1.15);
    const peak = x + w * 0.66;
    for (const [dx, dy] of [
      [0, 0],
      [0.3, 0.38],
      [0.52, 0.86],
      [0.66, 1],
      [0.71, 0.93],
      [0.735, 0.72],
      [0.72, 0.45],
      [0.82, 0.1],
    ])
      path.push([x + w * dx, y - a * dy]);
    crests.push({ x: peak, y: y - a, width: w, height: a });
    x += w;
  }
  const pen = scene.pen({ region: REGION.water, depth });
  const swell = pen.shape(wobble([...spline(path, false, 4), [W + 60, H + 20], [-60, H + 20]], 0.7, 11, y), colour, {
    volume: 0,
    gradient: {
      line: [0, y - amplitude * u, 0, y + amplitude * u * 2.6],
      stops: [
        [0, pen.colour(mixLch(colour, [0.8, 0.075, 165], 0.42))],
        [0.35, pen.colour(colour)],
        [1, pen.colour(mixLch(colour, [0.2, 0.05, 230], 0.5))],
      ],
    },
    strokes: 0.12,
    rim: 1.2,
    shade: 0,
    texture: 1.3,
  });
  scene.inside(swell, () => {
    for (const crest of crests)
      for (let k = 0; k < 20; k++) {
        const t = r.range(-0.55, 0.1);
        const x = crest.x + t * crest.width;
        const y0 = crest.y + crest.height * (t < 0 ? Math.pow(-t / 0.55, 1.4) * 0.9 : 0.2) + r.range(1, 5) * u;
        const l = r.range(0.25, 0.8) * crest.height;
        const w = r.range(0.6, 2) * u * (amplitude / 22);
        pen.shape(
          ribbon(
            [
              [x, y0],
              [x - l * 0.25, y0 + l * 0.5],
              [x - l * 0.9, y0 + l * 1.05],
            ],
            [w, w, 0.2],
          ),
          mixLch(colour, e.light, r.range(0.25, 0.6)),
          {
            alpha: r.range(0.25, 0.6),
            plain: true,
          },
        );
      }
  });
  if (foam) for (const crest of crests) foamCap(scene, crest, depth, amplitude);
}

function foamCap(scene: Scene, { x, y, width: w, height: a }: Crest, depth: number, amplitude: number): void {
  const { random: r, unit: u } = scene;
  const pen = scene.pen({ region: REGION.water, depth });
  const cap = spline(
    (
      [
        [-0.34, 0.5, 1],
        [-0.16, 0.1],
        [0, -0.06],
        [0.075, 0.05],
        [0.1, 0.32],
        [0.075, 0.52],
        [0.055, 0.34],
        [0.02, 0.22],
        [-0.05, 0.22],
        [-0.14, 0.28],
      ] as const
    ).map(([dx, dy, corner]) => (corner ? [x + w * dx, y + a * dy, 1] : [x + w * dx, y + a * dy]) as Point),
    true,
    3,
  );
  pen.shape(wobble(wobble(cap, a * 0.06, 7, x), 1.2, 3, x + 3), [0.94, 0.02, 150], {
    rim: 0.3,
    texture: 1.2,
    strokes: -0.8,
  });
  for (let k = 0; k < 22; k++) {
    const q = r.range(0.5, 2.4) * u * (amplitude / 26);
    const px = x + r.range(-0.12, 0.22) * w;
    const py = y - Math.abs(r.bell()) * a * 0.32 + a * 0.05;
    pen.shape(ellipse(px, py, q * 1.3, q, r.next() * 3, 8), [0.95, 0.015, 150], {
      plain: true,
      alpha: r.range(0.4, 0.9),
    });
  }
}

/** A rough sea in rows from the horizon (px) to the viewer. */
export function roughSea(scene: Scene, horizon: number): void {
  const u = scene.unit;
  const rows: readonly [dy: number, amplitude: number, length: number, depth: number, colour: Lch][] = [
    [5, 5, 14, 0.62, [0.58, 0.05, 180]],
    [16, 9, 22, 0.5, [0.53, 0.055, 185]],
    [38, 16, 34, 0.22, [0.47, 0.055, 190]],
    [84, 30, 56, 0.12, [0.41, 0.055, 200]],
    [146, 50, 90, 0.05, [0.35, 0.05, 210]],
  ];
  rows.forEach(([dy, amplitude, length, depth, colour], i) =>
    waveRow(scene, { y: horizon + dy * u, amplitude, length, depth, colour, foam: i > 1 }),
  );
}
