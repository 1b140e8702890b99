import { lerp, mixLch, type Lch } from '@urbild/core';
import { spline, wobble } from '../geometry/curve';
import { ellipse, rectangle, type Point } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Pen, Scene } from '../scene/scene';

const IRON: Lch = [0.32, 0.03, 260];

/** The height of a lighthouse's lamp above its foot, as a part of its scale. */
export const LIGHTHOUSE_LAMP = 0.815;

/** A red and white lighthouse: foot (x, y) px, scale `s` px (about its height). */
export function lighthouse(scene: Scene, x: number, y: number, s: number, depth: number): void {
  if (!scene.allows('thing: lighthouse', 'place: lighthouse')) return;
  const e = scene.light;
  scene.group(undefined, () => {
    const foot = s * 0.13;
    const head = s * 0.085;
    const top = y - s * 0.74;
    const house: Tower = { x, y, s, depth, foot, head, top };
    const pen = scene.pen({ region: REGION.building, depth });
    const glass = scene.pen({ region: REGION.window, depth, raw: e.lamps });
    const tower = pen.shape(
      wobble(
        [
          [x - foot, y],
          [x - head, top],
          [x + head, top],
          [x + foot, y],
        ],
        0.7,
        20,
        1,
      ),
      [0.93, 0.02, 80],
      { strokes: Math.PI / 2, volume: 0.95, shade: 1.4 },
    );
    scene.inside(tower, () => paintBands(scene, house));
    paintLantern(scene, house);
    if (e.lamps) glass.glow(x, top - s * 0.07, s * 0.5, [0.95, 0.1, 90], 0.95);
  });
}

/** A lighthouse: middle of its foot (x, y) px, scale `s` px, half its width at foot and head, and where the lantern begins, px. */
interface Tower {
  readonly x: number;
  readonly y: number;
  readonly s: number;
  readonly depth: number;
  readonly foot: number;
  readonly head: number;
  readonly top: number;
}

/** Red bands, windows, and the side that lies in shade. */
function paintBands(scene: Scene, { x, y, s, depth, foot, head, top }: Tower): void {
  const e = scene.light;
  const pen = scene.pen({ region: REGION.building, depth });
  const glass = scene.pen({ region: REGION.window, depth, raw: e.lamps });
  for (const [a, b] of [
    [0.12, 0.27],
    [0.44, 0.59],
    [0.76, 0.9],
  ]) {
    const y0 = lerp(top, y, a);
    const y1 = lerp(top, y, b);
    const bow = s * 0.018;
    const band: Point[] = [
      [x - foot, y0, 1],
      [x, y0 + bow],
      [x + foot, y0, 1],
      [x + foot, y1, 1],
      [x, y1 + bow],
      [x - foot, y1, 1],
    ];
    pen.shape(wobble(spline(band), 0.6, 9, a), [0.55, 0.15, 30], { strokes: 0, volume: 0.95, shade: 0, rim: 0 });
  }
  for (const t of [0.35, 0.66]) {
    glass.shape(
      rectangle(x - s * 0.015, lerp(top, y, t) - s * 0.03, s * 0.03, s * 0.045),
      e.lamps ? [0.86, 0.13, 78] : [0.35, 0.03, 250],
      { plain: true },
    );
  }
  const away = e.direction[0] > 0 ? 1 : -1;
  scene.pen({ region: REGION.building, depth, raw: true }).shape(
    [
      [x + away * head * 0.25, top],
      [x + away * foot * 1.2, top],
      [x + away * foot * 1.2, y],
      [x + away * foot * 0.2, y],
    ],
    mixLch(e.shadow, e.haze, 0.1),
    { alpha: 0.38, plain: true },
  );
}

/** The gallery, the lantern with its panes, and its roof. */
function paintLantern(scene: Scene, tower: Tower): void {
  const { x, s, depth, head, top } = tower;
  const e = scene.light;
  const pen = scene.pen({ region: REGION.building, depth });
  const roof = scene.pen({ region: REGION.roof, depth });
  const glass = scene.pen({ region: REGION.window, depth, raw: e.lamps });
  pen.shape(wobble(rectangle(x - head * 1.5, top - s * 0.02, head * 3, s * 0.028), 0.5, 9, 2), IRON, { strokes: 0 });
  glass.shape(
    wobble(rectangle(x - head * 0.72, top - s * 0.125, head * 1.44, s * 0.108), 0.4, 9, 2),
    e.lamps ? [0.93, 0.11, 88] : [0.78, 0.04, 220],
    { texture: 0.4, rim: 0 },
  );
  paintRails(pen, tower);
  roof.shape(
    wobble(
      spline([
        [x - head * 0.95, top - s * 0.122, 1],
        [x - head * 0.6, top - s * 0.165],
        [x, top - s * 0.2, 1],
        [x + head * 0.6, top - s * 0.165],
        [x + head * 0.95, top - s * 0.122, 1],
      ]),
      0.5,
      9,
      2,
    ),
    [0.5, 0.14, 30],
  );
  roof.line(
    [
      [x, top - s * 0.195],
      [x, top - s * 0.24],
    ],
    s * 0.01,
    IRON,
  );
}

function paintRails(pen: Pen, { x, s, head, top }: Tower): void {
  for (const k of [-0.7, -0.25, 0.25, 0.7])
    pen.line(
      [
        [x + head * k, top - s * 0.125],
        [x + head * k, top - s * 0.015],
      ],
      s * 0.007,
      IRON,
    );
  for (const k of [-1.45, -0.75, 0, 0.75, 1.45])
    pen.line(
      [
        [x + head * k, top - s * 0.055],
        [x + head * k, top - s * 0.015],
      ],
      s * 0.006,
      IRON,
    );
  pen.line(
    [
      [x - head * 1.5, top - s * 0.055],
      [x + head * 1.5, top - s * 0.055],
    ],
    s * 0.007,
    IRON,
  );
}

/** A beam of light from (x, y) px between two angles (radians). */
export function lightBeam(
  scene: Scene,
  {
    x,
    y,
    length,
    from,
    to,
    alpha = 0.4,
  }: {
    readonly x: number;
    readonly y: number;
    readonly length: number;
    readonly from: number;
    readonly to: number;
    readonly alpha?: number;
  },
): void {
  const pen = scene.pen({ region: REGION.none, depth: 0.5, raw: true });
  const end = (a: number): Point => [x + Math.cos(a) * length, y + Math.sin(a) * length];
  const middle = (from + to) / 2;
  for (const [k, q] of [
    [1, 0.5],
    [0.55, 0.8],
  ]) {
    const half = ((to - from) / 2) * k;
    pen.shape([[x, y - 2], end(middle - half), end(middle + half), [x, y + 2]], [0.95, 0.1, 95], {
      alpha: alpha * q,
      plain: true,
      blend: 'screen',
    });
  }
}

/** A tower mill: foot (x, y) px, scale `s` px, sails turned by `turn` radians. */
export function mill(
  scene: Scene,
  {
    x,
    y,
    s,
    depth,
    turn = 0.35,
    colour = [0.6, 0.06, 45],
    mirror = false,
  }: {
    readonly x: number;
    readonly y: number;
    readonly s: number;
    readonly depth: number;
    readonly turn?: number;
    readonly colour?: Lch;
    readonly mirror?: boolean;
  },
): void {
  if (!scene.allows('thing: windmill', 'place: mill')) return;
  const e = scene.light;
  scene.group(mirror ? { y } : undefined, () => {
    const top = y - s * 0.62;
    const wall = scene.pen({ region: REGION.building, depth });
    const wood = scene.pen({ region: REGION.wood, depth });
    const glass = scene.pen({ region: REGION.window, depth, raw: e.lamps });
    const body = wall.shape(
      wobble(
        [
          [x - s * 0.2, y],
          [x - s * 0.115, top],
          [x + s * 0.115, top],
          [x + s * 0.2, y],
        ],
        0.7,
        14,
        x,
      ),
      colour,
      { strokes: Math.PI / 2, volume: 0.9, shade: 1.3 },
    );
    scene.inside(body, () => {
      for (let i = 0; i < 9; i++) {
        const row = lerp(top, y, i / 9);
        wall.line(
          [
            [x - s * 0.2, row],
            [x + s * 0.2, row + 1],
          ],
          s * 0.008,
          [0.4, 0.05, 50],
          { alpha: 0.4 },
        );
      }
    });
    scene.pen({ region: REGION.roof, depth }).shape(
      wobble(
        spline([
          [x - s * 0.15, top + s * 0.02, 1],
          [x - s * 0.12, top - s * 0.1],
          [x, top - s * 0.17],
          [x + s * 0.12, top - s * 0.1],
          [x + s * 0.15, top + s * 0.02, 1],
        ]),
        0.6,
        10,
        x,
      ),
      [0.4, 0.05, 40],
    );
    wood.shape(rectangle(x - s * 0.035, y - s * 0.14, s * 0.07, s * 0.14), [0.35, 0.06, 30]);
    glass.shape(
      rectangle(x - s * 0.03, y - s * 0.36, s * 0.06, s * 0.07),
      e.lamps ? [0.87, 0.13, 78] : [0.35, 0.03, 250],
      { plain: true },
    );
    if (e.lamps) glass.glow(x, y - s * 0.32, s * 0.2, [0.82, 0.13, 70], 0.5);
    paintSails(wood, x - s * 0.01, top - s * 0.05, s, turn);
  });
}

/** Four sails about a point in px. */
function paintSails(wood: Pen, cx: number, cy: number, s: number, turn: number): void {
  const reach = s * 0.55;
  for (let k = 0; k < 4; k++) {
    const a = turn + (k * Math.PI) / 2;
    const P = (u: number, v: number): Point => [
      cx + Math.cos(a) * u - Math.sin(a) * v,
      cy + Math.sin(a) * u + Math.cos(a) * v,
    ];
    wood.shape(
      wobble([P(reach * 0.22, s * 0.01), P(reach, s * 0.01), P(reach, s * 0.12), P(reach * 0.22, s * 0.1)], 0.5, 9, k),
      [0.86, 0.03, 80],
      { texture: 0.6, alpha: 0.92 },
    );
    for (let i = 0; i <= 6; i++) {
      const u = lerp(reach * 0.22, reach, i / 6);
      wood.line([P(u, s * 0.01), P(u, s * 0.115)], s * 0.007, [0.36, 0.04, 50]);
    }
    wood.line([P(0, 0), P(reach, 0)], s * 0.02, [0.33, 0.04, 50], { taper: [0.15, 0] });
    wood.line([P(reach * 0.22, s * 0.06), P(reach, s * 0.065)], s * 0.006, [0.36, 0.04, 50]);
  }
  wood.shape(ellipse(cx, cy, s * 0.025, s * 0.025), [0.33, 0.04, 50], { plain: true });
}
