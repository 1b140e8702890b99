import { adjustLch, lerp, table, type Lch } from '@urbild/core';
import { ellipse, type Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import type { HeadModel } from './headModel';

/** A full beard with its moustache. */
export function paintBeard(f: FigureFrame, m: HeadModel, colour: Lch): void {
  const from = Math.max(-90 - m.yaw, -84);
  const to = Math.min(90 - m.yaw, 84);
  const upperEdge = table([
    [0, 0.365],
    [10, 0.355],
    [17, 0.29],
    [30, 0.25],
    [52, 0.2],
    [68, 0.1],
    [84, 0.02],
  ]);
  const upper: Point[] = [];
  for (let a = from; a <= to; a += 4) upper.push(m.on(a, upperEdge(Math.abs(a)), 0, 1.01));
  const side = m.on(Math.min(to, 70), 0.22, 0, 1.04);
  const jaw = m.on(Math.min(to, 50), 0.38, 0, 1.04);
  const chin = m.on(0, 0.5, 0.08);
  const left = m.on(Math.max(from, -70), 0.3, 0, 1.03);
  const ear = m.on(Math.max(from, -84), 0.1, 0, 1.02);
  const k = m.profile;
  const lower: Point[] = [];
  if (to > 70) lower.push([side[0] + 0.045, side[1]]);
  lower.push(
    [jaw[0] + 0.06, jaw[1] + 0.05],
    [chin[0] + 0.16, m.cy + 0.6],
    [chin[0] + 0.02, m.cy + 0.7],
    [chin[0] - 0.14 - 0.1 * k, m.cy + 0.62 - 0.04 * k],
    [left[0] - 0.02 + 0.12 * m.sin * (1 - k) - 0.06 * k, left[1] + 0.1 + 0.02 * k],
    [ear[0] - 0.01, ear[1] + 0.03],
  );
  f.shape(REGION.hair, [...upper, ...lower], colour, { strokes: 1.5, texture: 1, shade: 1.2 });
  for (let i = 0; i < (f.detail > 1 ? 26 : 6); i++) {
    const a = f.random.range(-60, 60);
    const root = m.on(a, f.random.range(0.3, 0.42));
    if (m.facing(a) < 0.1) continue;
    const sway = f.random.bell() * 0.02;
    f.stroke(
      REGION.hair,
      [
        root,
        [root[0] + (chin[0] - root[0]) * 0.15 + sway, root[1] + 0.08],
        [lerp(root[0], chin[0], 0.35) + sway, root[1] + 0.17],
      ],
      0.01,
      f.random.chance(0.5) ? adjustLch(colour, -0.16) : adjustLch(colour, 0.06),
      { alpha: 0.6 },
    );
  }
  paintMoustache(f, m, colour);
}

/** A moustache. */
export function paintMoustache(f: FigureFrame, m: HeadModel, colour: Lch): void {
  for (const s of [-1, 1]) {
    if (m.facing(s * 12) < 0.1) continue;
    const [a, b, c] = [m.on(s, 0.262, 0.03), m.on(s * 13, 0.268, 0.05), m.on(s * 25, 0.335, 0.03)];
    f.shape(
      REGION.hair,
      [
        [a[0], a[1], 1],
        [b[0], b[1] - 0.012],
        [c[0], c[1], 1],
        [b[0], b[1] + 0.055],
        [a[0], a[1] + 0.04],
      ],
      adjustLch(colour, 0.03),
      { strokes: 0.3, line: 0.8 },
    );
  }
}

/** A knitted cap with a turned-up brim. */
export function paintKnitCap(f: FigureFrame, m: HeadModel, colour: Lch): void {
  const brim: Point[] = [];
  const edge = table([
    [0, -0.235],
    [60, -0.19],
    [90, -0.13],
    [180, -0.02],
  ]);
  for (let a = -90 - m.yaw; a <= 90 - m.yaw; a += 6)
    brim.push(m.on(a, edge(Math.abs(((a + 540) % 360) - 180)), 0, 1.06));
  const right = brim[brim.length - 1];
  const left = brim[0];
  f.shape(
    REGION.headwear,
    [
      ...brim,
      [right[0] + 0.025, right[1] - 0.1],
      m.place(0.3 - 0.02 * m.sin, -0.5),
      m.place(0.05 - 0.1 * m.sin, -0.64),
      m.place(-0.22 - 0.12 * m.sin, -0.58),
      [left[0] - 0.02, left[1] - 0.14],
    ],
    colour,
    { strokes: 1.5, texture: 1.2, shade: 1.3 },
  );
  if (f.detail > 1)
    for (let i = 0; i < 11; i++) {
      const a = lerp(-82 - m.yaw, 82 - m.yaw, i / 10);
      f.stroke(
        REGION.headwear,
        [m.on(a, -0.24, 0, 1.05), m.on(lerp(a, -m.yaw, 0.25), -0.4, 0, 1.1), m.on(lerp(a, -m.yaw, 0.5), -0.5, 0, 1.25)],
        0.01,
        adjustLch(colour, -0.1),
        { alpha: 0.5 },
      );
    }
  const low = brim.map((q) => [q[0], q[1] + 0.015] as Point);
  const high = brim
    .map((q, i) => [q[0] + (i === 0 ? -0.01 : i === brim.length - 1 ? 0.01 : 0), q[1] - 0.115] as Point)
    .reverse();
  const sharp = (path: Point[]): Point[] =>
    path.map((q, i) => (i === 0 || i === path.length - 1 ? [q[0], q[1], 1] : q));
  f.shape(REGION.headwear, [...sharp(low), ...sharp(high)], adjustLch(colour, 0.07), { strokes: 1.5, texture: 1.2 });
  if (f.detail > 1)
    for (let i = 1; i < 18; i++) {
      const q = brim[Math.floor((i / 18) * (brim.length - 1))];
      f.stroke(
        REGION.headwear,
        [
          [q[0], q[1] + 0.005],
          [q[0], q[1] - 0.105],
        ],
        0.01,
        adjustLch(colour, -0.06),
        { alpha: 0.6 },
      );
    }
}

/** Round glasses. */
export function paintGlasses(f: FigureFrame, m: HeadModel, colour: Lch): void {
  if (f.head <= 40) return;
  const spacing = 25.5 * f.person.eyes.spacing;
  const style = { taper: [0, 0] as const };
  for (const s of [-1, 1]) {
    const visible = Math.cos(((s * spacing + m.yaw) * Math.PI) / 180);
    if (visible < 0.2) continue;
    const c = m.on(s * spacing, 0.045, 0.03);
    const rx = 0.115 * Math.max(0.42, visible);
    f.stroke(REGION.prop, ellipse(c[0], c[1], rx, 0.108, 0, 22).concat([[c[0] + rx, c[1]]]), 0.018, colour, style);
    if (m.facing(s * 80) > -0.1 || m.profile) {
      f.stroke(
        REGION.prop,
        [[c[0] - rx * (s < 0 || m.profile ? 1 : -1), c[1] - 0.01], m.on(s * 86, 0, 0, 1.02)],
        0.014,
        colour,
        style,
      );
    }
  }
  if (m.profile < 0.5)
    f.stroke(REGION.prop, [m.on(-11, 0.04, 0.04), m.on(0, 0.025, 0.05), m.on(11, 0.04, 0.04)], 0.016, colour, style);
}
