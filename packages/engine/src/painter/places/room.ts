import { adjustLch, mixLch, type Lch } from '@urbild/core';
import { wobble } from '../geometry/curve';
import { rectangle, type Path } from '../geometry/point';
import { treeline } from '../land/land';
import { REGION } from '../scene/region';
import type { Pen, Scene } from '../scene/scene';

/** How a room is built; parts of the height, colours OKLCH. */
export interface RoomStyle {
  readonly floorAt: number;
  readonly wall: Lch;
  readonly floor: Lch;
  /** Upright planks on the wall, or plaster above a dado. */
  readonly planks: boolean;
  readonly tiles?: boolean;
}

/** The back wall and the floor of a room; returns where they meet, px. */
export function room(scene: Scene, style: RoomStyle): number {
  const { width: W, height: H, unit: u, random: r } = scene;
  const y = H * style.floorAt;
  const wall = scene.pen({ region: REGION.building, depth: 0.12 });
  const back = wall.shape(rectangle(-10, -10, W + 20, y + 20), style.wall, {
    strokes: 1.57,
    volume: 0.35,
    texture: 1.2,
    rim: 0,
    shade: 0.4,
    mottled: !style.planks,
  });
  scene.inside(back, () => {
    if (style.planks)
      for (let x = 0; x < W; x += r.range(22, 34) * u) {
        wall.shape(rectangle(x, -10, 3 * u, y + 20), adjustLch(style.wall, -0.1), { plain: true, alpha: 0.5 });
        wall.shape(rectangle(x + 3 * u, -10, 24 * u, y + 20), adjustLch(style.wall, r.bell() * 0.025), {
          texture: 0.8,
          rim: 0,
          shade: 0,
          alpha: 0.6,
        });
      }
    else {
      wall.shape(rectangle(-10, y - 90 * u, W + 20, 100 * u), adjustLch(style.wall, -0.13, 1.3), {
        strokes: 1.57,
        shade: 0,
        rim: 0,
      });
      wall.shape(rectangle(-10, y - 94 * u, W + 20, 7 * u), adjustLch(style.wall, 0.05), { strokes: 0, rim: 0 });
    }
  });
  const floor = scene.pen({ region: REGION.ground, depth: 0.08 });
  const boards = floor.shape(rectangle(-10, y, W + 20, H - y + 20), style.floor, {
    strokes: 0,
    texture: 1.2,
    volume: 0.3,
  });
  scene.inside(boards, () => {
    const lines = 12;
    for (let i = -lines; i <= lines; i++) {
      const x0 = W / 2 + (i / lines) * W * 0.75;
      const x1 = W / 2 + (i / lines) * W * 1.7;
      floor.line(
        [
          [x0, y],
          [x1, H + 10],
        ],
        1.6 * u,
        adjustLch(style.floor, -0.12),
        { alpha: 0.8, taper: [0, 0] },
      );
    }
    const rows = style.tiles ? 7 : 4;
    for (let i = 1; i < rows; i++) {
      const yy = y + (H - y) * Math.pow(i / rows, 1.6);
      if (style.tiles)
        floor.line(
          [
            [-10, yy],
            [W + 10, yy],
          ],
          1.5 * u,
          adjustLch(style.floor, -0.12),
          { alpha: 0.8, taper: [0, 0] },
        );
      else
        for (let k = 0; k < 5; k++) {
          const x = W * r.next();
          floor.line(
            [
              [x, yy],
              [x + r.range(20, 90) * u, yy],
            ],
            1.2 * u,
            adjustLch(style.floor, -0.1),
            { alpha: 0.5 },
          );
        }
    }
  });
  wall.shape(rectangle(-10, y - 9 * u, W + 20, 11 * u), adjustLch(style.wall, -0.16), { strokes: 0, rim: 0.6 });
  return y;
}

/** Where a window is, px. */
export interface WindowOpening {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  /** Where the light falls on the floor. */
  readonly floorY: number;
  /** Water lies behind it, not land. */
  readonly water?: boolean;
}

/** A window in the wall with the sky, hills and the season behind it, and the light that it throws on the floor. */
export function windowView(scene: Scene, opening: WindowOpening): void {
  const { x, y, w, h } = opening;
  const { light: e, unit: u } = scene;
  const frame: Lch = [0.9, 0.02, 85];
  const wood = scene.pen({ region: REGION.wood, depth: 0.1 });
  wood.shape(wobble(rectangle(x - 7 * u, y - 7 * u, w + 14 * u, h + 14 * u), 0.6, 12, x), frame, { texture: 0.5 });
  const hz = y + h * 0.66;
  const pane = scene.pen({ region: REGION.window, depth: 0.5, raw: true });
  const glass = pane.shape(rectangle(x, y, w, h), e.sky[1], {
    gradient: {
      line: [0, y, 0, hz],
      stops: [
        [0, e.sky[0]],
        [0.5, e.sky[1]],
        [1, e.sky[2]],
      ],
    },
    rim: 0,
    shade: 0,
    mottled: true,
  });
  scene.inside(glass, () => paintOutside(scene, pane, opening, hz));
  const bar = (path: Path) => wood.line(path, 4 * u, frame, { taper: [0, 0] });
  bar([
    [x + w / 2, y],
    [x + w / 2, y + h],
  ]);
  bar([
    [x, y + h / 2],
    [x + w, y + h / 2],
  ]);
  wood.shape(wobble(rectangle(x - 14 * u, y + h + 4 * u, w + 28 * u, 8 * u), 0.6, 12, x + 1), frame, { strokes: 0 });
  if (e.sky[1][0] >= 0.55) sunOnFloor(scene, opening);
}

/** What is seen through a window down to the horizon `hz`, px, and below. */
function paintOutside(scene: Scene, pane: Pen, { x, y, w, h, water }: WindowOpening, hz: number): void {
  const { light: e, unit: u, width: W } = scene;
  if (e.sun) pane.glow(x + w * 0.7, hz - h * 0.4, h * 0.5, e.sun.colour, 0.5);
  if (e.stars)
    for (let i = 0; i < 12; i++)
      pane.shape(
        rectangle(x + scene.random.next() * w, y + scene.random.next() * h * 0.6, 1.4 * u, 1.4 * u),
        [0.95, 0.03, 90],
        { plain: true },
      );
  if (water) pane.shape(rectangle(x, hz, w, h), e.water[0], { toColour: e.water[1], rim: 0, shade: 0, strokes: 0 });
  else
    scene
      .pen({ region: REGION.window, depth: 0.4 })
      .shape(rectangle(x, hz, w, h), [0.56, 0.1, 126], { rim: 0, shade: 0 });
  treeline(scene, {
    y: hz + 2 * u,
    height: h * 0.12,
    colour: [0.42, 0.07, 160],
    depth: 0.6,
    from: x / W,
    to: (x + w) / W,
  });
  if (e.weather === 'snow' || e.weather === 'rain' || e.weather === 'storm')
    for (let i = 0; i < 18; i++) {
      const [px, py] = [x + scene.random.next() * w, y + scene.random.next() * h];
      if (e.weather === 'snow') pane.shape(rectangle(px, py, 2 * u, 2 * u), [0.98, 0.005, 240], { plain: true });
      else
        pane.line(
          [
            [px, py],
            [px - 3 * u, py + 11 * u],
          ],
          0.8 * u,
          [0.9, 0.02, 230],
          { alpha: 0.6 },
        );
    }
}

/** The light that falls through a window, in two bands. */
function sunOnFloor(scene: Scene, { x, w, floorY }: WindowOpening): void {
  const { light: e, unit: u, height: H } = scene;
  const beam = scene.pen({ region: REGION.none, depth: 0.06, raw: true });
  const slant = -0.5 * w;
  for (const half of [0, 1]) {
    const x0 = x + (half ? w * 0.55 : 0) + slant * 0.6;
    beam.shape(
      [
        [x0, floorY + 14 * u],
        [x0 + w * 0.42, floorY + 14 * u],
        [x0 + w * 0.42 + slant, H * 0.97],
        [x0 + slant, H * 0.97],
      ],
      mixLch(e.light, e.sky[2], 0.3),
      { blend: 'screen', alpha: e.weather === 'clear' || e.weather === 'wind' ? 0.3 : 0.12, plain: true },
    );
  }
}

/** A beam under the ceiling across the whole width, and posts. */
export function beams(scene: Scene, wood: Lch, posts: readonly number[], floorY: number): void {
  const { width: W, unit: u } = scene;
  const pen = scene.pen({ region: REGION.wood, depth: 0.1 });
  for (const x of posts)
    pen.shape(wobble(rectangle(W * x - 8 * u, -10, 16 * u, floorY + 6 * u), 0.8, 14, x * 9), wood, {
      strokes: 1.57,
      shade: 1.2,
    });
  pen.shape(wobble(rectangle(-20, 12 * u, W + 40, 22 * u), 0.8, 16, 3), wood, { strokes: 0, shade: 1.2 });
}

/** A lamp that hangs from above; it shines where lamps are lit. */
export function hangingLamp(scene: Scene, x: number, y: number, reach: number): void {
  const { unit: u, light: e } = scene;
  scene.pen({ region: REGION.prop, depth: 0.08 }).line(
    [
      [x, -5],
      [x, y - 14 * u],
    ],
    1.6 * u,
    [0.25, 0.02, 60],
    { taper: [0, 0] },
  );
  const shade: Path = [
    [x - 5 * u, y - 16 * u],
    [x + 5 * u, y - 16 * u],
    [x + 20 * u, y],
    [x - 20 * u, y],
  ];
  scene.pen({ region: REGION.prop, depth: 0.08 }).shape(wobble(shade, 0.5, 9, 4), [0.42, 0.09, 160], { rim: 1.3 });
  const bulb = scene.pen({ region: REGION.window, depth: 0.08, raw: true });
  bulb.shape(
    [
      [x - 7 * u, y],
      [x + 7 * u, y],
      [x + 4 * u, y + 7 * u],
      [x - 4 * u, y + 7 * u],
    ],
    e.lamps ? [0.97, 0.09, 90] : [0.85, 0.03, 90],
    { plain: true },
  );
  if (!e.lamps) return;
  bulb.glow(x, y + 4 * u, 70 * u, [0.88, 0.12, 78], 0.8);
  bulb.glow(x, y + 30 * u, 260 * u, [0.8, 0.12, 72], 0.4);
  scene.lamps.push({ x, y: y + 20 * u, radius: reach });
}
