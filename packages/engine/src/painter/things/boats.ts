import { adjustLch, lerp, mixLch, type Lch } from '@urbild/core';
import { capsule, ribbon, spline, wobble } from '../geometry/curve';
import { rectangle, type Point } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';

/** A flat boat seen from the side: centre of its water line (x, y) px, length `s` px; `load` draws what stands in it. */
export function punt(
  scene: Scene,
  {
    x,
    y,
    s,
    depth,
    colour = [0.45, 0.07, 190],
    flip = false,
    load,
  }: {
    readonly x: number;
    readonly y: number;
    readonly s: number;
    readonly depth: number;
    readonly colour?: Lch;
    readonly flip?: boolean;
    readonly load?: () => void;
  },
): void {
  if (!scene.allows('thing: boat')) return;
  const f = flip ? -1 : 1;
  const P = (u: number, v: number, corner?: 1): Point =>
    corner ? [x + u * s * f, y + v * s, 1] : [x + u * s * f, y + v * s];
  const pen = scene.pen({ region: REGION.boat, depth });
  pen.shape(
    wobble(
      spline([
        P(-0.5, -0.105, 1),
        P(-0.3, -0.065),
        P(0, -0.05),
        P(0.3, -0.065),
        P(0.5, -0.115, 1),
        P(0.42, -0.03),
        P(-0.42, -0.03),
      ]),
      0.4,
      12,
      x,
    ),
    mixLch(colour, [0.2, 0.05, 280], 0.55),
    { strokes: 0 },
  );
  load?.();
  const hull = pen.shape(
    wobble(
      spline([
        P(-0.515, -0.11, 1),
        P(-0.3, -0.055),
        P(0, -0.035),
        P(0.3, -0.055),
        P(0.515, -0.12, 1),
        P(0.44, 0, 1),
        P(0.2, 0.018),
        P(-0.2, 0.018),
        P(-0.44, 0, 1),
      ]),
      0.5,
      14,
      x,
    ),
    colour,
    { strokes: 0, volume: 0.9, shade: 1.2, rim: 1.4 },
  );
  scene.inside(hull, () => {
    for (const t of [0.35, 0.68])
      pen.line(
        [P(-0.5, lerp(-0.1, 0, t)), P(0, lerp(-0.035, 0.015, t)), P(0.5, lerp(-0.11, 0, t))],
        s * 0.006,
        adjustLch(colour, -0.14),
        { alpha: 0.6 },
      );
  });
  pen.line(
    [P(-0.515, -0.112), P(-0.3, -0.058), P(0, -0.038), P(0.3, -0.058), P(0.515, -0.122)],
    s * 0.016,
    [0.84, 0.05, 80],
    { taper: [0.02, 0.02] },
  );
}

/** A small boat with one sail, furled or set. */
export function sailingBoat(
  scene: Scene,
  x: number,
  y: number,
  s: number,
  depth: number,
  style: { colour?: Lch; sail?: Lch; furled?: boolean; flip?: boolean } = {},
): void {
  if (!scene.allows('thing: boat', 'thing: sailing boat')) return;
  scene.group({ y, sway: 2 }, () => {
    punt(scene, { x, y, s, depth, colour: style.colour ?? [0.5, 0.12, 28], flip: style.flip });
    const wood = scene.pen({ region: REGION.wood, depth });
    const cloth = scene.pen({ region: REGION.prop, depth });
    wood.line(
      [
        [x - s * 0.04, y - s * 0.05],
        [x - s * 0.04, y - s * 0.95],
      ],
      s * 0.022,
      [0.45, 0.05, 60],
    );
    wood.line(
      [
        [x - s * 0.04, y - s * 0.16],
        [x + s * 0.38, y - s * 0.2],
      ],
      s * 0.018,
      [0.45, 0.05, 60],
    );
    if (style.furled) {
      cloth.shape(
        wobble(
          capsule(
            [
              [x - s * 0.02, y - s * 0.19],
              [x + s * 0.18, y - s * 0.225],
              [x + s * 0.36, y - s * 0.225],
            ],
            [s * 0.05, s * 0.07, s * 0.04],
          ),
          0.5,
          9,
          x,
        ),
        [0.88, 0.03, 80],
      );
    } else {
      cloth.shape(
        wobble(
          spline([
            [x - s * 0.02, y - s * 0.92, 1],
            [x + s * 0.16, y - s * 0.6],
            [x + s * 0.37, y - s * 0.22, 1],
            [x + s * 0.15, y - s * 0.19],
            [x - s * 0.02, y - s * 0.18, 1],
          ]),
          0.6,
          12,
          x,
        ),
        style.sail ?? [0.62, 0.12, 40],
        { strokes: 1.2, volume: 1 },
      );
    }
    wood.line(
      [
        [x - s * 0.04, y - s * 0.94],
        [x - s * 0.48, y - s * 0.12],
      ],
      0.8 * scene.unit,
      [0.35, 0.03, 60],
      { alpha: 0.7 },
    );
  });
}

/** A wooden jetty from x0 to x1 px at deck height y px. */
export function jetty(
  scene: Scene,
  {
    x0,
    x1,
    y,
    depth,
    deck,
    leg,
  }: {
    readonly x0: number;
    readonly x1: number;
    readonly y: number;
    readonly depth: number;
    readonly deck: number;
    readonly leg: number;
  },
): void {
  const r = scene.random;
  const pen = scene.pen({ region: REGION.wood, depth });
  scene.group({ y: y + deck * 0.3 + leg, sway: 1.4 }, () => {
    const posts = Math.max(2, Math.round((x1 - x0) / (46 * scene.unit)));
    for (let i = 0; i <= posts; i++) {
      const x = lerp(x0 + 8, x1 - 8, i / posts);
      pen.shape(
        wobble(
          ribbon(
            [
              [x, y],
              [x + r.bell(), y + deck * 0.3 + leg],
            ],
            [7 * scene.unit, 9 * scene.unit],
          ),
          0.6,
          9,
          x,
        ),
        [0.34, 0.035, 55],
      );
    }
    pen.shape(
      wobble(
        [
          [x0, y],
          [x1, y],
          [x1 + deck * 0.3, y + deck * 0.35],
          [x0 - deck * 0.3, y + deck * 0.35],
        ],
        0.8,
        16,
        x0,
      ),
      [0.55, 0.04, 65],
      { strokes: 0 },
    );
    for (let x = x0; x < x1; x += 12 * scene.unit)
      pen.line(
        [
          [x, y],
          [x - 3, y + deck * 0.35],
        ],
        1.1,
        [0.38, 0.03, 55],
        { alpha: 0.7 },
      );
    pen.shape(
      wobble(rectangle(x0 - deck * 0.3, y + deck * 0.33, x1 - x0 + deck * 0.6, deck * 0.26), 0.7, 14, x1),
      [0.38, 0.035, 55],
      { strokes: 0 },
    );
  });
}
