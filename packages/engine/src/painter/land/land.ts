import { smoothstep, type Lch } from '@urbild/core';
import { spline, wobble } from '../geometry/curve';
import type { Path, Point } from '../geometry/point';
import type { ShapeNode, ShapeStyle } from '../scene/displayList';
import { REGION, type Region } from '../scene/region';
import type { Scene } from '../scene/scene';

/** A row of far hills: base line at `y` px, `amplitude` and `rough` (length of a feature) in units. */
export function ridge(
  scene: Scene,
  y: number,
  amplitude: number,
  rough: number,
  colour: Lch,
  depth: number,
): ShapeNode {
  const { width: W, random: r, noise, unit: u } = scene;
  const offset = r.next() * 100;
  const path: Point[] = [];
  for (let x = -10; x <= W + 10; x += 6) {
    path.push([x, y - amplitude * u * (0.35 + noise.fractal(x / (rough * u) + offset, offset, 4))]);
  }
  path.push([W + 10, y + 10], [-10, y + 10]);
  return scene.pen({ region: REGION.hill, depth }).shape(wobble(path, 0.7, 8, depth * 9), colour, {
    strokes: 0.05,
    volume: 0.4,
    shade: 0.2,
    rim: 0.8,
    texture: 0.9,
    mottled: true,
  });
}

/** Far trees along a base line at `y` px, `height` px tall, between two parts of the width. */
export function treeline(
  scene: Scene,
  {
    y,
    height,
    colour,
    depth,
    from = -0.02,
    to = 1.02,
  }: {
    readonly y: number;
    readonly height: number;
    readonly colour: Lch;
    readonly depth: number;
    readonly from?: number;
    readonly to?: number;
  },
): ShapeNode {
  const { width: W, random: r, noise } = scene;
  const x0 = from * W;
  const x1 = to * W;
  const path: Point[] = [[x0, y + 4]];
  for (let x = x0; x < x1;) {
    const w = r.range(0.5, 1.3) * height;
    const t = (x - x0) / (x1 - x0);
    const ends = smoothstep(0, 0.12, t) * smoothstep(1, 0.88, t);
    const h = height * ends * (0.45 + 0.75 * Math.abs(noise.at(x / (height * 4), depth * 31)) + 0.2 * r.next());
    for (let k = 0; k <= 6; k++) {
      const q = (k / 6) * Math.PI;
      path.push([x + w / 2 - (Math.cos(q) * w) / 2, y - h * 0.6 - Math.sin(q) * h * 0.45]);
    }
    x += w * 0.8;
  }
  path.push([x1, y + 4]);
  return scene
    .pen({ region: REGION.foliage, depth })
    .shape(wobble(path, 1, 6, depth * 7), colour, { strokes: -1.2, volume: 0.5, rim: 0.9, shade: 0.3, mottled: true });
}

/** A bank of earth or grass from its outline (px). */
export function bank(
  scene: Scene,
  outline: Path,
  colour: Lch,
  depth: number,
  region: Region = REGION.ground,
  style: ShapeStyle = {},
): ShapeNode {
  return scene.pen({ region, depth }).shape(wobble(spline(outline, true), 1.3, 14, depth * 17), colour, {
    strokes: 0.02,
    shade: 0.5,
    texture: 1.2,
    ...style,
  });
}

/** A flat grassy island between x0 and x1 (px), its upper edge at `y`, `h` px thick. */
export function islet(
  scene: Scene,
  {
    x0,
    x1,
    y,
    h,
    depth,
    colour,
  }: {
    readonly x0: number;
    readonly x1: number;
    readonly y: number;
    readonly h: number;
    readonly depth: number;
    readonly colour: Lch;
  },
): void {
  const at = (t: number) => x0 + (x1 - x0) * t;
  bank(
    scene,
    [
      [x0, y + h, 1],
      [x0 - 8, y],
      [at(0.3), y - h * 0.25],
      [at(0.7), y - h * 0.1],
      [x1 + 8, y + h * 0.1],
      [x1, y + h, 1],
      [at(0.6), y + h * 1.25],
      [at(0.3), y + h * 1.1],
    ],
    colour,
    depth,
  );
}
