import type { Lch } from '@urbild/core';
import { ellipse, type Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';

const BRASS: Lch = [0.36, 0.05, 50];

/** A lantern hanging from a point in figure units; it lights what is near it. */
export function paintLantern(f: FigureFrame, at: Point, scale = 1, reach = 3): void {
  const P = (x: number, y: number, corner?: 1): Point =>
    corner ? [at[0] + x * scale, at[1] + y * scale, 1] : [at[0] + x * scale, at[1] + y * scale];
  for (const s of [-1, 1])
    f.stroke(REGION.prop, [P(0, 0), P(s * 0.09, 0.12), P(s * 0.09, 0.18)], 0.018, [0.3, 0.03, 60], { taper: [0, 0] });
  f.shape(REGION.prop, [P(-0.13, 0.2, 1), P(-0.05, 0.12, 1), P(0.05, 0.12, 1), P(0.13, 0.2, 1), P(0, 0.22, 1)], BRASS);
  const glass = f.pen(REGION.window, true);
  glass.shape(f.path([P(-0.11, 0.21), P(0.11, 0.21), P(0.13, 0.52), P(-0.13, 0.52)]), [0.95, 0.1, 88], {
    volume: 0,
    texture: 0.2,
    rim: 0,
    shade: 0,
    outline: f.lineWidth * 0.8,
  });
  f.stroke(REGION.prop, [P(0, 0.22), P(0, 0.52)], 0.014, BRASS, { taper: [0, 0] });
  f.shape(REGION.prop, [P(-0.15, 0.5, 1), P(0.15, 0.5, 1), P(0.14, 0.6, 1), P(-0.14, 0.6, 1)], BRASS);
  const [x, y] = f.point(P(0, 0.37));
  const h = f.head * scale;
  glass.shape(ellipse(x, y + h * 0.04, h * 0.035, h * 0.07), [0.99, 0.05, 95], { plain: true });
  const lit = f.scene.light.lamps;
  glass.glow(x, y, h * 1.3, [0.86, 0.13, 75], lit ? 0.75 : 0.41);
  glass.glow(x, y, h * 3.6, [0.8, 0.12, 70], lit ? 0.3 : 0.16);
  if (lit) f.scene.lamps.push({ x, y, radius: f.head * reach });
}

/** A written sheet about a point in figure units. */
export function paintLetter(f: FigureFrame, at: Point, turn = 0, scale = 1): void {
  const c = Math.cos(turn);
  const s = Math.sin(turn);
  const P = (x: number, y: number, corner?: 1): Point => {
    const px = at[0] + (c * x - s * y) * scale;
    const py = at[1] + (s * x + c * y) * scale;
    return corner ? [px, py, 1] : [px, py];
  };
  f.shape(
    REGION.prop,
    [P(-0.36, -0.24, 1), P(0.33, -0.27, 1), P(0.36, 0.26, 1), P(-0.34, 0.28, 1)],
    [0.955, 0.022, 88],
    { texture: 0.3, unsteady: 0.3, strokes: turn },
  );
  f.stroke(REGION.prop, [P(-0.35, 0.02), P(0, 0.005), P(0.35, -0.005)], 0.01, [0.7, 0.03, 80], { alpha: 0.6 });
  for (let i = 0; i < 7; i++) {
    const y = -0.18 + i * 0.062;
    f.stroke(
      REGION.prop,
      [P(-0.28, y), P(-0.1, y - 0.008), P(0.08, y + 0.006), P(i === 6 ? 0.05 : 0.27, y)],
      0.01,
      [0.42, 0.05, 265],
      { alpha: 0.65, taper: [0, 0] },
    );
  }
  const seal = P(0.22, 0.2);
  f.shape(REGION.prop, ellipse(seal[0], seal[1], 0.05, 0.05, 0, 14), [0.52, 0.17, 27], { texture: 0.3 });
}

/** The long pole of a punt through both hands. */
export function paintPole(f: FigureFrame, upper: Point, lower: Point): void {
  const dx = upper[0] - lower[0];
  const dy = upper[1] - lower[1];
  f.band(
    REGION.wood,
    [
      [upper[0] + dx * 1.7, upper[1] + dy * 1.7],
      [lower[0] - dx * 1.2, lower[1] - dy * 1.2],
      [lower[0] - dx * 4.9, lower[1] - dy * 4.9],
    ],
    [0.075, 0.085, 0.08],
    [0.55, 0.06, 65],
    { strokes: 1.3 },
  );
}

/** An oar through the hands, its blade in the water beside the boat. */
export function paintOar(f: FigureFrame, hands: Point): void {
  const [x, y] = hands;
  f.band(
    REGION.wood,
    [
      [x - 0.25, y - 0.16],
      [x + 1, y + 0.62],
      [x + 2.3, y + 1.42],
    ],
    [0.08, 0.085, 0.08],
    [0.58, 0.06, 68],
    { strokes: 0.6 },
  );
  f.shape(
    REGION.wood,
    [
      [x + 2.1, y + 1.2],
      [x + 2.85, y + 1.62],
      [x + 2.8, y + 1.86],
      [x + 2.05, y + 1.45],
    ],
    [0.62, 0.06, 70],
    { strokes: 0.6 },
  );
}
