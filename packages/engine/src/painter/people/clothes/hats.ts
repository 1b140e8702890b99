import { adjustLch, lerp, mixLch, type Lch } from '@urbild/core';
import { spline } from '../../geometry/curve';
import type { Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import type { HeadModel } from '../head/headModel';
import { paintKnitCap } from '../head/headwear';
import type { HatKind } from '../person';

const H = REGION.headwear;

/** The visible half of a line around the head at a height, from left to right; `out` beyond the skin. */
function around(m: HeadModel, y: (angle: number) => number, scale: number, out = 0): Point[] {
  const points: Point[] = [];
  for (let a = -90 - m.yaw; a <= 90 - m.yaw + 0.01; a += 9)
    points.push(m.on(a, y(((a + 540) % 360) - 180), out, scale));
  return points;
}

/** A hat that is being painted: on whose head, in what colour. */
interface Hat {
  readonly f: FigureFrame;
  readonly m: HeadModel;
  readonly colour: Lch;
}

/** One part of a hat. */
type HatPart = (hat: Hat) => void;

/** Points of a hat from right to left, in head heights, relative to the middle of the head; 1 for a corner. */
type Top = readonly (readonly [x: number, y: number, corner?: 1])[];

/** The part over a line around the head at height `edge`; `scale` beyond the skin. */
const crown =
  (edge: number, top: Top, scale = 1.1): HatPart =>
  ({ f, m, colour }) => {
    const line = around(m, () => edge, scale);
    f.shape(H, [...line, ...top.map(([x, y, c]) => sharp(m.place(x - 0.04 * m.sin, y), c))], colour, {
      strokes: 1.4,
      shade: 1.3,
      volume: 0.9,
      texture: 1.1,
    });
  };

const sharp = (p: Point, c?: 1): Point => (c ? [p[0], p[1], 1] : p);

/** A flat brim seen a little from below: an ellipse about the head, half as wide and thick as said. */
const brim =
  (size: { y: number; half: number; thick: number; droop: number }, lighter: number): HatPart =>
  ({ f, m, colour }) => {
    const { y, half, thick, droop } = size;
    const n = 22;
    const points: Point[] = Array.from({ length: n }, (_, i) => {
      const a = (i / n) * Math.PI * 2;
      const x = Math.cos(a) * half;
      return m.place(x + 0.05 * m.sin, y + Math.sin(a) * thick + droop * (x / half) ** 2);
    });
    f.shape(H, points, adjustLch(colour, lighter), { strokes: 0, shade: 1, texture: 1.1 });
  };

/** A ribbon around the foot of a crown. */
const band =
  (y: number, scale: number, colourOf: (colour: Lch) => Lch): HatPart =>
  ({ f, m, colour }) => {
    const low = around(m, () => y, scale);
    const high = around(m, () => y - 0.075, scale * 0.99).reverse();
    f.flat(H, spline([...low, ...high], true, 0.03), colourOf(colour), { texture: 0.6 });
  };

const darker = (colour: Lch): Lch => adjustLch(colour, -0.1);

/** Plaits of straw along the brim. */
const straws: HatPart = ({ f, m, colour }) => {
  if (f.detail <= 1) return;
  for (let i = 0; i < 9; i++)
    f.stroke(
      H,
      [m.place(lerp(-0.7, 0.7, i / 8), -0.24), m.place(lerp(-0.8, 0.8, i / 8), -0.17)],
      0.012,
      darker(colour),
      { alpha: 0.6 },
    );
};

/** The stalk on top of a beret. */
const stalk: HatPart = ({ f, m, colour }) =>
  f.stroke(H, [m.place(0, -0.65), m.place(0.03, -0.74)], 0.05, darker(colour));

/** The knot of a headscarf, on the far side. */
const knot: HatPart = ({ f, m, colour }) => {
  const side = m.cos > -0.2 ? -1 : 1;
  const points = [m.place(side * 0.42, -0.2), m.place(side * 0.66, -0.12), m.place(side * 0.6, 0.1)];
  f.shape(H, [...points, m.place(side * 0.44, -0.02)], darker(colour), { strokes: 1 });
};

/** The peak of a flat cap, where the face is seen. */
const peak: HatPart = ({ f, m, colour }) => {
  if (m.cos <= -0.3) return;
  const edge = around(m, (a) => (Math.abs(a) < 60 ? -0.21 : -0.25), 1.1).filter(
    (_, i, all) => i > all.length * (m.sin > 0.5 ? 0.55 : 0.14) && i < all.length * 0.9,
  );
  if (edge.length <= 2) return;
  const rim = [...edge].reverse().map(([x, y]): Point => [x + 0.14 * m.sin, y + 0.1]);
  f.shape(H, [...edge, ...rim], darker(colour), { strokes: 0 });
};

/** A ring of points about the head. */
const teeth: HatPart = ({ f, m, colour }) => {
  const low = around(m, () => -0.3, 1.08);
  const high = [...low].reverse().map(([x, y], i): Point => [x, y - (i % 2 ? 0.26 : 0.12), 1]);
  f.shape(H, [...low.map(([x, y]): Point => [x, y, 1]), ...high], colour, { strokes: 1, rim: 1.4 });
};

/** Reds of ribbons. */
const [STRAW_RIBBON, SILK]: readonly Lch[] = [
  [0.5, 0.14, 25],
  [0.5, 0.15, 25],
];

// prettier-ignore
const TOPS = {
  dome: [[0.5, -0.4], [0.36, -0.62], [0, -0.7], [-0.36, -0.62], [-0.5, -0.4]],
  straw: [[0.47, -0.4], [0.38, -0.6], [0, -0.66], [-0.38, -0.6], [-0.47, -0.4]],
  dented: [[0.47, -0.42], [0.36, -0.7], [0.05, -0.66], [-0.3, -0.74], [-0.46, -0.42]],
  tall: [[0.45, -0.6], [0.5, -1.08, 1], [0, -1.12], [-0.5, -1.08, 1], [-0.45, -0.6]],
  soft: [[0.62, -0.42], [0.45, -0.6], [0, -0.66], [-0.5, -0.58], [-0.62, -0.4]],
  flat: [[0.56, -0.36], [0.42, -0.56], [0, -0.62], [-0.42, -0.56], [-0.52, -0.36]],
  hood: [[0.58, -0.3], [0.46, -0.64], [0.02, -0.74], [-0.46, -0.64], [-0.58, -0.3]],
} satisfies Readonly<Record<string, Top>>;

/** A headscarf lies closer than a dome of felt. */
const SCARF: Top = TOPS.dome.map(([x, y]) => [x * 0.98, y * 0.96]);

/** Every hat: its parts in the order in which they are painted. */
const PARTS: Readonly<Record<HatKind, readonly HatPart[]>> = {
  'knit cap': [({ f, m, colour }) => paintKnitCap(f, m, colour)],
  'straw hat': [
    brim({ y: -0.25, half: 0.86, thick: 0.13, droop: 0.03 }, -0.04),
    crown(-0.26, TOPS.straw),
    band(-0.25, 1.11, (colour) => mixLch(STRAW_RIBBON, colour, 0.1)),
    straws,
  ],
  hat: [
    brim({ y: -0.25, half: 0.76, thick: 0.1, droop: -0.06 }, -0.03),
    crown(-0.26, TOPS.dented),
    band(-0.25, 1.11, darker),
  ],
  "sou'wester": [crown(-0.22, TOPS.dome, 1.12), brim({ y: -0.22, half: 0.7, thick: 0.1, droop: 0.2 }, 0.02)],
  'top hat': [
    brim({ y: -0.27, half: 0.68, thick: 0.08, droop: -0.05 }, 0.03),
    crown(-0.28, TOPS.tall, 1.06),
    band(-0.28, 1.07, (colour) => mixLch(colour, SILK, 0.65)),
  ],
  beret: [crown(-0.3, TOPS.soft, 1.06), stalk],
  headscarf: [crown(-0.25, SCARF, 1.09), knot],
  'flat cap': [crown(-0.25, TOPS.flat, 1.08), peak],
  hood: [crown(-0.2, TOPS.hood, 1.16)],
  crown: [teeth],
};

/** A hat of any kind on a head turned any way. */
export function paintHat(f: FigureFrame, m: HeadModel, kind: HatKind, colour: Lch): void {
  for (const part of PARTS[kind]) part({ f, m, colour });
}
