import { adjustLch, type Lch } from '@urbild/core';
import { spline, wobble } from '../geometry/curve';
import { ellipse, rectangle, type Path, type Point } from '../geometry/point';
import { isSnowy } from '../light/environment';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';

/** A town house: middle of its foot (x, y) px, `w` x `h` px up to the eaves. */
export interface Townhouse {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  readonly depth: number;
  readonly colour: Lch;
  readonly roof: Lch;
  readonly shutter: Lch;
}

const FRAME: Lch = [0.92, 0.02, 85];

/** A gabled town house. */
export function townhouse(scene: Scene, house: Townhouse): void {
  if (!scene.allows('thing: cottage')) return;
  const { x, y, w, h, depth } = house;
  const { light: e } = scene;
  const gable = w * 0.62;
  paintFront(scene, house, gable);
  paintRoof(scene, house, gable);
  const rows = Math.max(2, Math.round(h / (w * 0.52)));
  for (let row = 0; row < rows; row++)
    for (const k of row === rows - 1 ? [-0.24] : [-0.24, 0.24])
      paintCasement(scene, house, x + k * w, y - h + ((row + 0.45) * h) / rows);
  scene
    .pen({ region: REGION.window, depth, raw: e.lamps })
    .shape(ellipse(x, y - h - gable * 0.42, w * 0.09, w * 0.09), e.lamps ? [0.87, 0.13, 78] : [0.4, 0.04, 245]);
  const door: Point[] = [
    [x + w * 0.12, y, 1],
    [x + w * 0.12, y - w * 0.36],
    [x + w * 0.23, y - w * 0.44],
    [x + w * 0.34, y - w * 0.36],
    [x + w * 0.34, y, 1],
  ];
  scene
    .pen({ region: REGION.wood, depth })
    .shape(wobble(spline(door), 0.5, 9, x), [0.42, 0.09, 25], { strokes: Math.PI / 2 });
}

function paintFront(scene: Scene, { x, y, w, h, depth, colour }: Townhouse, gable: number): void {
  const { random: r } = scene;
  const wall = scene.pen({ region: REGION.building, depth });
  const outline: Point[] = [
    [x - w / 2, y],
    [x - w / 2, y - h],
    [x, y - h - gable],
    [x + w / 2, y - h],
    [x + w / 2, y],
  ];
  const front = wall.shape(wobble(outline, 0.9, 16, x), colour, { strokes: Math.PI / 2, texture: 1.1 });
  scene.inside(front, () => {
    for (let i = 0; i < 16; i++)
      wall.shape(
        rectangle(x + r.range(-0.5, 0.5) * w, y - r.next() * h, w * 0.08, w * 0.03),
        adjustLch(colour, r.bell() * 0.06),
        { plain: true, alpha: 0.5 },
      );
  });
}

function paintRoof(scene: Scene, { x, y, w, h, depth, roof }: Townhouse, gable: number): void {
  const outline: Point[] = [
    [x - w * 0.56, y - h + w * 0.06],
    [x, y - h - gable * 1.08],
    [x + w * 0.56, y - h + w * 0.06],
    [x + w * 0.48, y - h + w * 0.08],
    [x, y - h - gable * 0.88],
    [x - w * 0.48, y - h + w * 0.08],
  ];
  scene
    .pen({ region: REGION.roof, depth })
    .shape(wobble(outline, 0.7, 12, x), isSnowy(scene.light) ? [0.94, 0.012, 250] : roof, { strokes: 0.8 });
}

/** A window with its shutters, lit by chance where lamps are; middle in px. */
function paintCasement(scene: Scene, { w, depth, shutter }: Townhouse, cx: number, cy: number): void {
  const lit = scene.light.lamps && scene.random.chance(0.75);
  const [ww, hh] = [w * 0.2, w * 0.26];
  const wall = scene.pen({ region: REGION.building, depth });
  const wood = scene.pen({ region: REGION.wood, depth });
  const glass = scene.pen({ region: REGION.window, depth, raw: lit });
  const frame = rectangle(cx - ww / 2 - 2, cy - hh / 2 - 2, ww + 4, hh + 4);
  wall.shape(wobble(frame, 0.5, 9, cx), FRAME, { texture: 0.2 });
  const pane = rectangle(cx - ww / 2, cy - hh / 2, ww, hh);
  glass.shape(wobble(pane, 0.4, 9, cx), lit ? [0.87, 0.135, 78] : [0.4, 0.045, 245], { texture: 0.3 });
  const bars: readonly Path[] = [
    [
      [cx, cy - hh / 2],
      [cx, cy + hh / 2],
    ],
    [
      [cx - ww / 2, cy],
      [cx + ww / 2, cy],
    ],
  ];
  for (const bar of bars) wall.line(bar, w * 0.018, FRAME);
  for (const q of [-1, 1]) {
    const leaf = rectangle(cx + q * ww * 0.78 - ww * 0.22, cy - hh / 2, ww * 0.44, hh);
    wood.shape(wobble(leaf, 0.4, 9, cx), shutter, { texture: 0.5 });
  }
  if (lit) glass.glow(cx, cy, w * 0.5, [0.82, 0.13, 70], 0.4);
}
