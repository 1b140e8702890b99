import { adjustLch, lerp, type Lch } from '@urbild/core';
import { rectangle, type Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import type { Trunk } from '../pose/trunk';

/** A shoulder bag with letters in it. */
export function paintSatchel(f: FigureFrame, t: Trunk, colour: Lch, withBag: boolean): void {
  const { narrow: cw, seam, middle, sin, cos } = t;
  const k = f.person.girth;
  const P = REGION.prop;
  const top: Point = [0.36 * cw + 0.02 * sin, 0];
  const front: Point = [seam(0.7) * (0.9 - 0.55 * Math.max(0, sin) ** 2) + 0.02, 0.75];
  const hip: Point = [-0.52 * k * cw + middle(1.5), 1.42];
  f.band(
    P,
    [top, [lerp(top[0], front[0], 0.5) + 0.03, 0.36], front, hip],
    [0.085, 0.09, 0.09, 0.085],
    adjustLch(colour, -0.06),
    { strokes: 1 },
  );
  if (!withBag) return;
  const x = -0.6 * k * cw + middle(1.7) - 0.02;
  const y = 1.4;
  const w = 0.66 * Math.max(0.75, cos + 0.2);
  const h = 0.52;
  for (const [dx, turn] of [
    [-0.18, -0.1],
    [0.05, 0.06],
    [0.2, 0.16],
  ]) {
    f.shape(
      P,
      [
        [x + dx - 0.12, y - 0.16 + turn * 0.3, 1],
        [x + dx + 0.12, y - 0.17 - turn * 0.3, 1],
        [x + dx + 0.12, y, 1],
        [x + dx - 0.12, y, 1],
      ],
      [0.94, 0.025, 80],
      { line: 0.6, texture: 0.2 },
    );
  }
  f.shape(
    P,
    [
      [x - w * 0.5, y, 1],
      [x + w * 0.5, y, 1],
      [x + w * 0.52, y + h * 0.9],
      [x + w * 0.44, y + h],
      [x - w * 0.46, y + h],
      [x - w * 0.53, y + h * 0.9],
    ],
    colour,
    { strokes: 0, shade: 1.3 },
  );
  f.shape(
    P,
    [
      [x - w * 0.53, y - 0.03, 1],
      [x + w * 0.53, y - 0.03, 1],
      [x + w * 0.53, y + h * 0.42],
      [x + 0.1 * w, y + h * 0.56],
      [x - 0.1 * w, y + h * 0.56],
      [x - w * 0.53, y + h * 0.42],
    ],
    adjustLch(colour, 0.035),
    { strokes: 0 },
  );
  if (!f.detail) return;
  for (const s of [-0.28, 0.28]) {
    f.band(
      P,
      [
        [x + s * w, y + 0.02],
        [x + s * w, y + h * 0.66],
      ],
      [0.06, 0.06],
      [0.42, 0.07, 55],
      { line: 0.7 },
    );
    const [bx, by] = f.point([x + s * w, y + h * 0.62]);
    f.pen(P).shape(rectangle(bx - f.head * 0.03, by - f.head * 0.03, f.head * 0.06, f.head * 0.06), [0.8, 0.11, 85], {
      plain: true,
    });
  }
}
