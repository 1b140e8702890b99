import { adjustLch, clamp, lerp, mixLch, type Lch } from '@urbild/core';
import { capsule, ribbon } from '../geometry/curve';
import { rectangle, type Point } from '../geometry/point';
import type { ShapeNode } from '../stage/displayList';
import { REGION } from '../stage/region';
import type { FigureFrame } from './figure';

/** The measures of a trunk turned to a certain yaw, in figure units. */
export interface Trunk {
  readonly shoulders: number;
  /** Narrowing by the turn, 0..1. */
  readonly narrow: number;
  readonly sin: number;
  readonly cos: number;
  /** x of the body's middle line at a height. */
  readonly middle: (y: number) => number;
  /** x of the front seam at a height. */
  readonly seam: (y: number) => number;
  readonly hem: number;
  /** Half the width at the hips. */
  readonly hips: number;
}

const G = REGION.garment;

export function trunkOf(f: FigureFrame, bodyYaw: number, hipShift: number): Trunk {
  const { shoulders, girth: k, coat } = f.person;
  const yaw = (bodyYaw * Math.PI) / 180;
  const sin = Math.sin(yaw);
  const cos = Math.cos(yaw);
  const narrow = Math.hypot(cos, 0.72 * sin);
  const middle = (y: number) => lerp(0, hipShift, clamp(y / 1.75, 0, 1.3));
  return {
    shoulders: shoulders * Math.hypot(cos, 0.52 * sin),
    narrow,
    sin,
    cos,
    middle,
    seam: (y) => middle(y) + sin * (0.34 + 0.08 * Math.sin(y * 1.4)) * k * 0.95,
    hem: coat.kind === 'jumper' ? 1.75 : coat.kind === 'shawl' ? 3.2 : 2.35,
    hips: (coat.kind === 'oilskin' ? 0.66 : coat.kind === 'shawl' ? 0.72 : 0.46) * k * narrow,
  };
}

/** The trunk in its coat, jumper or dress, with folds and fastenings. */
export function paintTrunk(f: FigureFrame, t: Trunk): void {
  const k = f.person.girth;
  const { coat } = f.person;
  const { shoulders: sw, narrow: cw, middle, hem, hips: hw, sin } = t;
  const outline: Point[] = [
    [-0.2 * cw, -0.07],
    [-sw * 0.72, 0.02],
    [-sw, 0.16],
    [-sw * 1.02, 0.42],
    [-0.5 * k * cw + middle(0.8), 0.85],
    [-0.47 * k * cw + middle(1.2), 1.2],
    [-hw * 0.98 + middle(1.9), Math.min(1.85, hem - 0.05)],
    [-hw * 1.12 + middle(hem), hem, 1],
    [middle(hem) + 0.02, hem + 0.06],
    [hw * 1.12 + middle(hem), hem - 0.01, 1],
    [hw * 0.98 + middle(1.9), Math.min(1.85, hem - 0.05)],
    [0.47 * k * cw + middle(1.2) + 0.05 * sin, 1.2],
    [0.5 * k * cw + middle(0.8) + 0.1 * sin, 0.8],
    [sw * 1.02 + 0.05 * sin, 0.42],
    [sw, 0.16],
    [sw * 0.72, 0.02],
    [0.2 * cw, -0.07],
  ];
  const body = f.shape(G, outline, coat.colour, { strokes: 1.45, shade: 1.1, volume: 0.9, rim: 1.2, texture: 1 });
  f.scene.inside(body, () => {
    if (coat.kind === 'oilskin') oilskin(f, t);
    else if (coat.kind === 'jumper') jumper(f, t);
    else dressFolds(f, t);
  });
  if (coat.kind === 'shawl' && coat.second) shawl(f, t, coat.second);
}

function fold(f: FigureFrame, points: Point[], alpha: number): void {
  f.stroke(G, points, 0.02, mixLch(adjustLch(f.person.coat.colour, -0.15, 1, -6), f.scene.light.shadow, 0.2), {
    alpha,
    taper: [0.3, 0.4],
  });
}

function oilskin(f: FigureFrame, { narrow: cw, middle: m, seam, hem, hips: hw, shoulders: sw, cos, sin }: Trunk): void {
  const k = f.person.girth;
  const dark = mixLch(adjustLch(f.person.coat.colour, -0.13, 1, -8), f.scene.light.shadow, 0.12);
  const full = { taper: [0, 0] as const };
  fold(
    f,
    [
      [-0.4 * cw, 0.3],
      [-0.36 * cw + m(0.9), 0.7],
      [-0.42 * cw + m(1.4), 1.2],
    ],
    0.4,
  );
  fold(
    f,
    [
      [0.44 * cw, 0.35],
      [0.38 * cw, 0.75],
      [0.42 * cw + m(1.4), 1.2],
    ],
    0.4,
  );
  fold(
    f,
    [
      [-0.3 * cw + m(1.3), 1.25],
      [-0.36 * cw + m(2), 1.8],
      [-0.42 * cw + m(2.4), hem],
    ],
    0.5,
  );
  fold(
    f,
    [
      [0.32 * cw + m(1.3), 1.3],
      [0.36 * cw + m(2), 1.8],
      [0.44 * cw + m(2.4), hem],
    ],
    0.5,
  );
  f.stroke(
    G,
    [
      [seam(-0.05), -0.05],
      [seam(0.6), 0.6],
      [seam(1.3), 1.3],
      [seam(hem), hem],
    ],
    0.022,
    dark,
    { ...full, alpha: 0.9 },
  );
  f.stroke(
    G,
    [
      [seam(0.05) + 0.1 * cos, 0.05],
      [seam(0.6) + 0.11 * cos, 0.6],
      [seam(1.3) + 0.12 * cos, 1.3],
      [seam(hem) + 0.12 * cos, hem],
    ],
    0.01,
    dark,
    { ...full, alpha: 0.6 },
  );
  for (const y of [0.34, 0.74, 1.14, 1.54]) {
    const x = seam(y);
    f.shape(
      REGION.prop,
      capsule(
        [
          [x - 0.045, y],
          [x + 0.085, y + 0.006],
        ],
        [0.06, 0.055],
        0.03,
      ),
      [0.36, 0.06, 50],
      { texture: 0.2, line: 0.7 },
    );
    if (f.detail < 2) continue;
    f.stroke(
      G,
      [
        [x - 0.15, y - 0.012],
        [x - 0.04, y],
      ],
      0.014,
      [0.9, 0.03, 80],
      full,
    );
    f.stroke(
      G,
      [
        [x + 0.08, y],
        [x + 0.17, y - 0.01],
      ],
      0.014,
      [0.9, 0.03, 80],
      full,
    );
  }
  f.stroke(
    G,
    [
      [-sw, 0.36],
      [-0.3 * cw, 0.45],
      [seam(0.4), 0.47],
      [0.35 * cw, 0.44],
      [sw, 0.35],
    ],
    0.011,
    dark,
    { ...full, alpha: 0.7 },
  );
  for (const s of [-1, 1]) {
    const x = m(1.5) + s * 0.36 * k * cw + sin * 0.1;
    f.stroke(
      G,
      [
        [x - 0.15, 1.5],
        [x, 1.53],
        [x + 0.15, 1.5],
      ],
      0.018,
      dark,
      { alpha: 0.8 },
    );
    f.stroke(
      G,
      [
        [x - 0.15, 1.5],
        [x - 0.14, 1.74],
        [x, 1.78],
        [x + 0.14, 1.74],
        [x + 0.15, 1.5],
      ],
      0.01,
      dark,
      { alpha: 0.6 },
    );
  }
  f.stroke(
    G,
    [
      [-hw * 1.2 + m(hem), hem - 0.09],
      [m(hem), hem - 0.03],
      [hw * 1.2 + m(hem), hem - 0.09],
    ],
    0.01,
    dark,
    { alpha: 0.7 },
  );
}

function jumper(f: FigureFrame, { narrow: cw, seam }: Trunk): void {
  const { colour, second } = f.person.coat;
  if (second) {
    for (let y = 0.18; y < 1.8; y += 0.24) {
      const row: Point[] = [];
      for (let x = -1; x <= 1; x += 0.1) row.push([x, y + 0.05 * (1 - x * x)]);
      f.flat(
        G,
        ribbon(
          row,
          row.map(() => 0.1),
          0.05,
        ),
        second,
        { texture: 0.8, rim: 0, shade: 0 },
      );
    }
  } else if (f.detail) {
    for (let x = -0.5, i = 0; x <= 0.5; x += 0.125, i++)
      for (let y = 0.1; y < 1.7; y += 0.11) {
        const cx = x * cw * 1.1 + seam(0) * 0.6;
        f.stroke(
          G,
          [
            [cx - 0.03, y],
            [cx, y + 0.045],
            [cx + 0.03, y],
          ],
          0.011,
          adjustLch(colour, i % 2 ? 0.09 : -0.06),
          { alpha: 0.7 },
        );
      }
  }
  fold(
    f,
    [
      [-0.4 * cw, 0.4],
      [-0.34 * cw, 0.9],
      [-0.4 * cw, 1.3],
    ],
    0.4,
  );
  fold(
    f,
    [
      [0.42 * cw, 0.4],
      [0.36 * cw, 0.9],
      [0.42 * cw, 1.3],
    ],
    0.4,
  );
}

function dressFolds(f: FigureFrame, { narrow: cw }: Trunk): void {
  fold(
    f,
    [
      [-0.3 * cw, 1.3],
      [-0.4 * cw, 2],
      [-0.5 * cw, 3.1],
    ],
    0.5,
  );
  fold(
    f,
    [
      [0.1, 1.4],
      [0.12, 2.2],
      [0.1, 3.1],
    ],
    0.4,
  );
  fold(
    f,
    [
      [0.35 * cw, 1.3],
      [0.42 * cw, 2],
      [0.55 * cw, 3.1],
    ],
    0.5,
  );
}

function shawl(f: FigureFrame, { shoulders: sw, narrow: cw, seam, sin }: Trunk, colour: Lch): void {
  const cloth: ShapeNode = f.shape(
    G,
    [
      [-0.24 * cw, -0.1],
      [-sw * 0.8, 0],
      [-sw * 1.12, 0.25],
      [-sw * 1.1, 0.75],
      [-0.35 * cw, 1],
      [seam(0.9) + 0.02, 1.25, 1],
      [0.4 * cw + 0.1 * sin, 0.95],
      [sw * 1.12, 0.7],
      [sw * 1.12, 0.25],
      [sw * 0.8, 0],
      [0.24 * cw, -0.1],
      [seam(0.3) * 0.9, 0.28, 1],
    ],
    colour,
    { strokes: 0.8, shade: 1.1 },
  );
  f.scene.inside(cloth, () => {
    for (let i = 0; i < 7; i++) {
      const t = i / 6;
      f.stroke(
        G,
        [
          [lerp(-1, 1, t) * sw * 1.1, 0.1],
          [lerp(-0.6, 0.6, t) * sw + seam(0.5) * 0.4, 0.7],
          [seam(1.2) + lerp(-0.1, 0.1, t), 1.3],
        ],
        0.012,
        [0.5, 0.1, 25],
        { alpha: 0.55, taper: [0, 0] },
      );
    }
    for (const y of [0.45, 0.62, 0.78])
      f.stroke(
        G,
        [
          [-sw * 1.2, y - 0.2],
          [seam(0.5) * 0.8, y + 0.28],
          [sw * 1.2, y - 0.2],
        ],
        0.016,
        [0.45, 0.1, 20],
        { alpha: 0.6, taper: [0, 0] },
      );
  });
}

/** The collar, over everything at the neck. */
export function paintCollar(f: FigureFrame, { narrow: cw, seam, sin, cos }: Trunk): void {
  const { kind, colour } = f.person.coat;
  if (kind === 'oilskin') {
    f.shape(
      G,
      [
        [-0.24 * cw - 0.04 * sin, -0.16],
        [-0.1 + seam(0) * 0.5, 0],
        [seam(0) * 0.85, 0.1, 1],
        [seam(0) * 0.7 - 0.14, 0.24],
        [-0.34 * cw + 0.04 * sin, 0.1],
        [-0.36 * cw, -0.06],
      ],
      adjustLch(colour, 0.02),
      { strokes: 0.6 },
    );
    f.shape(
      G,
      [
        [0.24 * cw - 0.02 * sin, -0.15],
        [0.12 + seam(0) * 0.7, -0.02],
        [seam(0) * 0.85, 0.1, 1],
        [seam(0) * 0.75 + 0.17 * cos, 0.24],
        [0.36 * cw + 0.02 * sin, 0.09],
        [0.35 * cw, -0.07],
      ],
      adjustLch(colour, 0.025),
      { strokes: -0.6 },
    );
  } else if (kind === 'jumper') {
    const knit = adjustLch(colour, -0.03);
    f.shape(
      G,
      [
        [-0.25 * cw, -0.18],
        [seam(0) * 0.4, -0.1],
        [0.25 * cw, -0.18],
        [0.28 * cw, 0.03],
        [seam(0) * 0.5, 0.13],
        [-0.28 * cw, 0.03],
      ],
      knit,
      { strokes: 1.5 },
    );
  }
}

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
