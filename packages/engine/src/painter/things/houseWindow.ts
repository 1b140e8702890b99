import { adjustLch, type Lch } from '@urbild/core';
import { wobble } from '../geometry/curve';
import { rectangle, type Point } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Pen, Scene } from '../scene/scene';

/** A window with frame, cross bars, and light behind it where lamps are lit. Centre and size in px. */
export function paintWindow(
  scene: Scene,
  {
    walls,
    x,
    y,
    w,
    h,
    s,
    wall,
    lit,
  }: {
    readonly walls: Pen;
    readonly x: number;
    readonly y: number;
    readonly w: number;
    readonly h: number;
    readonly s: number;
    readonly wall: Lch;
    readonly lit: boolean;
  },
): void {
  const depth = walls.options.depth;
  const pane = wobble(rectangle(x - w / 2, y - h / 2, w, h), 0.4, 8, x);
  const frame = pane.map(
    ([px, py]) => [px + (px > x ? 1 : -1) * s * 0.014, py + (py > y ? 1 : -1) * s * 0.014] as Point,
  );
  scene.pen({ region: REGION.wood, depth }).shape(frame, adjustLch(wall, -0.2), { texture: 0, shade: 0 });
  const glass = scene.pen({ region: REGION.window, depth, raw: lit });
  glass.shape(pane, lit ? [0.87, 0.135, 78] : [0.42, 0.04, 245], {
    volume: 0.3,
    rim: 0,
    shade: lit ? 0 : 0.6,
    texture: 0.4,
  });
  walls.line(
    [
      [x, y - h / 2],
      [x, y + h / 2],
    ],
    s * 0.013,
    adjustLch(wall, -0.22),
  );
  walls.line(
    [
      [x - w / 2, y],
      [x + w / 2, y],
    ],
    s * 0.013,
    adjustLch(wall, -0.22),
  );
  if (lit) glass.glow(x, y, s * 0.3, [0.82, 0.13, 70], 0.5);
}
