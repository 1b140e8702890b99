import { adjustLch, lerp, mixLch, type Lch } from '@urbild/core';
import { ribbon, spline, wobble } from '../geometry/curve';
import { ellipse, rectangle, type Point } from '../geometry/point';
import { isSnowy } from '../light/environment';
import { REGION } from '../scene/region';
import type { Pen, Scene } from '../scene/scene';
import { paintWindow } from './houseWindow';

/** How one stilt house differs from the next. */
export interface StiltHouseStyle {
  readonly flip?: boolean;
  readonly wall?: Lch;
  readonly roof?: Lch;
  readonly smoke?: boolean;
  /** A lamp at the corner of the deck, where lamps are lit. */
  readonly lamp?: boolean;
  readonly mirrored?: boolean;
}

const WALLS: readonly Lch[] = [
  [0.52, 0.07, 35],
  [0.62, 0.05, 75],
  [0.48, 0.05, 230],
  [0.55, 0.06, 150],
  [0.7, 0.03, 80],
];
const ROOFS: readonly Lch[] = [
  [0.42, 0.05, 50],
  [0.38, 0.03, 260],
  [0.46, 0.06, 30],
];
const POST: Lch = [0.36, 0.035, 55];
const BRACE: Lch = [0.34, 0.03, 55];
const RAIL: Lch = [0.38, 0.03, 55];

/** A house that is being painted; `at` takes lengths to the right of its middle (to the left when it is flipped), px. */
interface House {
  readonly style: StiltHouseStyle;
  readonly wall: Lch;
  readonly roof: Lch;
  /** Middle of its foot and the water line, px. */
  readonly x: number;
  readonly water: number;
  /** Its scale, px. */
  readonly s: number;
  readonly depth: number;
  readonly f: 1 | -1;
  readonly lean: number;
  /** Lengths of its front, its side, and both. */
  readonly front: number;
  readonly side: number;
  readonly whole: number;
  /** Left and right edge of the front, and the right edge of the side. */
  readonly x0: number;
  readonly x1: number;
  readonly x2: number;
  readonly ridgeX: number;
  readonly ridgeY: number;
  readonly deck: number;
  readonly eaves: number;
  readonly wood: Pen;
  readonly walls: Pen;
  X(v: number): number;
  at(v: number, y: number): Point;
}

/** A plank house on stilts: centre x, water line y, scale `s`, all px. */
export function stiltHouse(
  scene: Scene,
  x: number,
  water: number,
  s: number,
  depth: number,
  style: StiltHouseStyle = {},
): void {
  if (!scene.allows('thing: cottage', 'place: stilt village', 'thing: stilt house')) return;
  const house = planOf(scene, x, water, s, depth, style);
  const { walls, deck, eaves, x0, x1, x2, ridgeX, X, wall } = house;
  const lit = scene.light.lamps;
  const window = (v: number, y: number, w: number, h: number) =>
    paintWindow(scene, { walls, x: X(v), y, w: w * s, h: h * s, s, wall, lit });
  scene.group(style.mirrored === false ? undefined : { y: water, sway: 1.5, tint: 0.42 }, () => {
    paintStilts(scene, house);
    paintWalls(scene, house);
    roofOf(scene, house);
    window(lerp(x0, x1, 0.27), lerp(eaves, deck, 0.42), 0.13, 0.17);
    window(ridgeX, eaves - s * 0.1, 0.1, 0.12);
    window(lerp(x1, x2, 0.5), lerp(eaves, deck, 0.45), 0.12, 0.17);
    paintDeck(house);
    ladder(house);
    paintChimney(scene, house);
    if (style.lamp && lit) paintLamp(scene, house);
  });
}

function planOf(scene: Scene, x: number, water: number, s: number, depth: number, style: StiltHouseStyle): House {
  const { random: r } = scene;
  const wall = style.wall ?? r.pick(WALLS);
  const roof = style.roof ?? r.pick(ROOFS);
  const f = style.flip ? -1 : 1;
  const lean = r.bell() * 0.02 * s;
  const front = s * 0.8;
  const side = front * 0.55;
  const whole = front + side;
  const deck = water - s * 0.42;
  const eaves = deck - s * 0.52;
  const x0 = -0.5 * whole + lean;
  const x1 = x0 + front;
  const X = (v: number) => x + v * f;
  return {
    ...{ style, wall, roof, x, water, s, depth, f, lean, front, side, whole, deck, eaves, x0, x1, X },
    x2: x1 + side,
    ridgeX: (x0 + x1) / 2,
    ridgeY: eaves - s * 0.48,
    wood: scene.pen({ region: REGION.wood, depth }),
    walls: scene.pen({ region: REGION.building, depth }),
    at: (v, y) => [X(v), y],
  };
}

/** Posts in the water, their braces, and the boards on top of them. */
function paintStilts(scene: Scene, { wood, at, X, x, s, whole, lean, deck, water }: House): void {
  const { random: r } = scene;
  const post = (v: number, y1: number, k: number) =>
    wood.shape(
      wobble(ribbon([at(v, deck), [X(v) + r.bell() * 1.2, y1 + 3]], [s * 0.045 * k, s * 0.05 * k]), 0.5, 9, v),
      POST,
      { rim: 0.8, texture: 0.5 },
    );
  for (const k of [-0.5, -0.2, 0.12, 0.42]) post(k * whole + s * 0.05, water - s * 0.05, 0.8);
  for (const k of [-0.55, -0.3, 0, 0.28, 0.52]) post(k * whole + lean, water, 1);
  wood.line([at(-0.5 * whole, deck + s * 0.08), at(-0.2 * whole, water - s * 0.1)], s * 0.022, BRACE);
  wood.line([at(0.05 * whole, water - s * 0.1), at(0.45 * whole, deck + s * 0.06)], s * 0.022, BRACE);
  const boards = [
    at(-0.62 * whole, deck - s * 0.01),
    at(0.6 * whole, deck - s * 0.02),
    at(0.6 * whole, deck + s * 0.045),
    at(-0.62 * whole, deck + s * 0.05),
  ];
  wood.shape(wobble(boards, 0.7, 14, x), [0.45, 0.04, 60], { strokes: 0 });
}

/** The side, then the gable in front of it, each of planks. */
function paintWalls(scene: Scene, house: House): void {
  const { walls, at, X, x, s, wall, deck, eaves, x0, x1, x2, ridgeX } = house;
  const { random: r } = scene;
  const sideWall = walls.shape(
    wobble([at(x1, deck), at(x2, deck - s * 0.015), at(x2, eaves + s * 0.02), at(x1, eaves)], 0.8, 16, x + 1),
    mixLch(wall, [0.3, 0.05, 280], 0.34),
    { strokes: Math.PI / 2, rim: 0.5, texture: 1.1 },
  );
  const frontWall = walls.shape(
    wobble([at(x0, deck), at(x1, deck), at(x1, eaves), at(ridgeX, eaves - s * 0.41), at(x0, eaves)], 0.8, 16, x + 2),
    wall,
    { strokes: Math.PI / 2, rim: 0.7, texture: 1.2 },
  );
  const planks = (a: number, b: number, y: number, n: number) => {
    for (let i = 1; i < n; i++) {
      const px = X(lerp(a, b, i / n));
      const top: Point = [px + r.bell() * 0.6, y];
      walls.line([top, [px + r.bell() * 0.6, deck]], s * 0.011, adjustLch(wall, -0.16), { alpha: 0.55 });
    }
  };
  scene.inside(frontWall, () => planks(x0, x1, eaves - s * 0.48, 7));
  scene.inside(sideWall, () => planks(x1, x2, eaves, 5));
}

/** The door and the rail. */
function paintDeck({ wood, at, X, x, s, whole, deck, x0, x1 }: House): void {
  const door = rectangle(X(lerp(x0, x1, 0.7)) - s * 0.075, deck - s * 0.31, s * 0.15, s * 0.31);
  wood.shape(wobble(door, 0.5, 9, x), [0.42, 0.08, 25], { strokes: Math.PI / 2 });
  for (const k of [-0.6, -0.56, 0.53, 0.58])
    wood.line([at(k * whole, deck), at(k * whole, deck - s * 0.14)], s * 0.02, RAIL);
  wood.line([at(0.5 * whole, deck - s * 0.13), at(0.6 * whole, deck - s * 0.14)], s * 0.018, RAIL);
}

function paintChimney(scene: Scene, { style, walls, X, x, s, depth, ridgeX, ridgeY, side }: House): void {
  const { light: e } = scene;
  const chimney = X(ridgeX + side * 0.55);
  const pot = ridgeY + s * 0.024;
  walls.shape(wobble(rectangle(chimney - s * 0.035, pot - s * 0.17, s * 0.07, s * 0.2), 0.4, 9, x), [0.45, 0.06, 35]);
  if (!style.smoke) return;
  const plume: Point[] = [
    [chimney, pot - s * 0.18],
    [chimney + s * 0.06, pot - s * 0.34],
    [chimney - s * 0.02, pot - s * 0.52],
    [chimney + s * 0.12, pot - s * 0.8],
  ];
  scene
    .pen({ region: REGION.none, depth, raw: true })
    .shape(wobble(ribbon(plume, [s * 0.03, s * 0.09, s * 0.13, s * 0.02]), 1.5, 14, x), mixLch(e.haze, e.light, 0.4), {
      alpha: 0.38,
      rim: 0,
      shade: 0,
      texture: 0.4,
    });
}

/** The lamp at the corner of the deck. */
function paintLamp(scene: Scene, { X, s, depth, whole, deck }: House): void {
  const [px, py] = [X(-0.58 * whole), deck - s * 0.17];
  const lamp = scene.pen({ region: REGION.prop, depth, raw: true });
  lamp.shape(ellipse(px, py, s * 0.025, s * 0.035), [0.92, 0.12, 85], { plain: true });
  lamp.glow(px, py, s * 0.4, [0.84, 0.13, 72], 0.75);
}

function roofOf(scene: Scene, house: House): void {
  const { at, X, x0, x1, x2, ridgeX, ridgeY, eaves, side, s, f, x, roof, depth } = house;
  const r = scene.random;
  const pen = scene.pen({ region: REGION.roof, depth });
  const over = s * 0.08;
  const slope = pen.shape(
    wobble(
      [
        at(ridgeX - s * 0.01, ridgeY - s * 0.02),
        at(ridgeX + side * 0.95, ridgeY + s * 0.005),
        at(x2 + over * 0.9, eaves + s * 0.09),
        at(x1 + over, eaves + s * 0.11),
      ],
      1,
      14,
      x + 3,
    ),
    roof,
    { strokes: f, rim: 1.2, shade: 0.5, texture: 1.3 },
  );
  scene.inside(slope, () => {
    for (let i = 1; i < 7; i++) {
      const t = i / 7;
      const rows: Point[] = [0, 0.5, 1].map((k) => [
        X(lerp(ridgeX + side * k, x1 + side * k + over, t)),
        lerp(ridgeY, eaves + s * (0.11 - 0.02 * k), t) + r.bell() * k,
      ]);
      pen.line(rows, s * 0.013, adjustLch(roof, -0.12), { alpha: 0.6 });
    }
    for (let i = 0; i < 26; i++) {
      const t = r.next();
      const a: Point = [X(lerp(ridgeX, x1 + over, t) + r.next() * side), lerp(ridgeY, eaves + s * 0.1, t)];
      pen.line([a, [a[0] + s * 0.01 * f, a[1] + s * 0.06]], s * 0.009, adjustLch(roof, r.bell() * 0.1), { alpha: 0.6 });
    }
  });
  const snowy = isSnowy(scene.light);
  if (snowy) {
    const cover: Point[] = [
      [...at(ridgeX - s * 0.03, ridgeY - s * 0.035), 1] as unknown as Point,
      [...at(ridgeX + side * 0.97, ridgeY - s * 0.015), 1] as unknown as Point,
      at(x2 + over * 0.6, eaves),
      at(x1 + side * 0.5, eaves - s * 0.05),
      at(x1 + over * 0.3, eaves - s * 0.01),
      at((ridgeX + x1) / 2, (ridgeY + eaves) / 2 - s * 0.02),
    ];
    pen.shape(wobble(spline(cover, true), 1, 12, x + 5), [0.95, 0.012, 250], { texture: 0.4 });
  }
  const barge = s * 0.05;
  pen.shape(
    wobble(
      [
        at(x0 - over, eaves + s * 0.1),
        at(ridgeX - s * 0.01, ridgeY - s * 0.02),
        at(x1 + over, eaves + s * 0.11),
        at(x1 + over * 0.6, eaves + s * 0.11 + barge * 0.6),
        at(ridgeX - s * 0.01, ridgeY + barge * 1.1),
        at(x0 - over * 0.6, eaves + s * 0.1 + barge * 0.6),
      ],
      0.5,
      12,
      x,
    ),
    snowy ? [0.93, 0.012, 250] : adjustLch(roof, 0.09),
    { strokes: 0.8, texture: 0.6, shade: 0.3 },
  );
}

function ladder({ wood, X, x0, front, deck, water, s }: House): void {
  const v = x0 + front * 0.9;
  for (const k of [0, 0.1])
    wood.line(
      [
        [X(v + k * s), deck],
        [X(v + k * s + s * 0.04), water],
      ],
      s * 0.018,
      RAIL,
    );
  for (let i = 1; i < 5; i++) {
    const t = i / 5;
    wood.line(
      [
        [X(v + s * 0.04 * t), lerp(deck, water, t)],
        [X(v + s * 0.1 + s * 0.04 * t), lerp(deck, water, t)],
      ],
      s * 0.015,
      [0.4, 0.03, 55],
    );
  }
}
