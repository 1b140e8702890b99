import { adjustLch, lerp, mixLch, smoothstep, type Lch } from '@urbild/core';
import { resamplePath, wobble } from '../../geometry/curve';
import { ellipse, type Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import type { HeadModel } from '../head/headModel';
import { paintTail, paintTonsure, paintWaves } from './hairBack';
import { hairLineAt } from './hairLines';

const HAIR = REGION.hair;

const turnOf = (angle: number) => ((angle + 540) % 360) - 180;

/** The hair line across the visible half of the head, from left to right. */
function hairLine(f: FigureFrame, m: HeadModel): Point[] {
  const { style } = f.person.hair;
  const ragged = style === 'tousled' ? 0.035 : style === 'bowl' || style === 'short' ? 0.012 : 0.006;
  const points: Point[] = [];
  for (let angle = -90 - m.yaw, i = 0; angle <= 90 - m.yaw + 0.01; angle += 3, i++) {
    const y =
      hairLineAt(style, turnOf(angle)) + ragged * Math.sin(i * 2.1) + (style === 'bowl' && i % 4 === 0 ? 0.015 : 0);
    points.push(m.on(angle, y, 0, 1.02));
  }
  return points;
}

/** Hair that hangs behind the head. */
export function paintBackHair(f: FigureFrame, m: HeadModel): void {
  const { style, colour, volume } = f.person.hair;
  const { random: r } = f;
  const dark = adjustLch(colour, -0.13);
  if (style === 'bun')
    f.shape(
      HAIR,
      ellipse(m.place(-0.5 * m.sin, 0)[0], m.place(0, -0.52 + 0.26 * m.sin ** 2)[1], 0.2, 0.18, 0, 20),
      colour,
      { strokes: 0.5 },
    );
  if (style === 'ponytail' && !m.away) paintTail(f, m);
  if (style === 'wavy' && !m.away) paintWaves(f, m, dark);
  if (style === 'long' && !m.away) {
    const back: Point[] = Array.from({ length: 14 }, (_, i) => {
      const a = ((-215 + (i / 13) * 250) * Math.PI) / 180;
      return m.place(-0.08 * m.sin + Math.cos(a) * 0.5, -0.06 + Math.sin(a) * 0.5);
    });
    f.shape(
      HAIR,
      [
        ...back,
        m.place(0.5, 0.35),
        m.place(0.52, 0.8),
        m.place(0.3, 0.92),
        m.place(-0.32, 0.94),
        m.place(-0.54, 0.8),
        m.place(-0.5, 0.35),
      ],
      dark,
      { strokes: 1.5 },
    );
  }
  if (style !== 'curly') return;
  const k = 1.2 * volume;
  const knots: Point[] = Array.from({ length: 20 }, (_, i) => {
    const a = (i / 19) * Math.PI * 2;
    const q = m.place(
      -0.08 * m.sin + Math.cos(a) * 0.44 * k * (1 + 0.08 * m.sin * m.sin),
      -0.17 + Math.sin(a) * 0.5 * k,
    );
    return i % 19 ? [q[0] + r.bell() * 0.018, q[1] + r.bell() * 0.018] : q;
  });
  const cloud = f.shape(HAIR, scallop(knots, 0.075), mixLch(colour, f.scene.light.shadow, 0.1), {
    strokes: -1,
    mottled: true,
    shade: 1.2,
  });
  if (f.detail)
    f.scene.inside(cloud, () => {
      for (let i = 0; i < (f.detail > 1 ? 90 : 24); i++) {
        const a = r.next() * 6.3;
        const q = 0.62 + 0.36 * Math.sqrt(r.next());
        curl(
          f,
          m.place(-0.08 * m.sin + Math.cos(a) * 0.44 * k * q, -0.17 + Math.sin(a) * 0.5 * k * q),
          r.range(0.025, 0.05),
          0.5,
        );
      }
    });
}

function curl(f: FigureFrame, at: Point, size: number, alpha: number): void {
  const { colour } = f.person.hair;
  const c = f.random.chance(0.5)
    ? mixLch(adjustLch(colour, 0.1, 1, 6), f.scene.light.light, 0.18)
    : adjustLch(colour, -0.13);
  f.stroke(
    HAIR,
    [
      [at[0] - size, at[1]],
      [at[0], at[1] - size],
      [at[0] + size, at[1]],
      [at[0] + size * 0.2, at[1] + size * 0.6],
    ],
    0.012,
    c,
    { alpha },
  );
}

/** Every side of an outline bulges outwards. */
function scallop(knots: readonly Point[], bulge: number): Point[] {
  const out: Point[] = [];
  for (let i = 0; i < knots.length - 1; i++) {
    const [a, b] = [knots[i], knots[i + 1]];
    const dx = b[0] - a[0];
    const dy = b[1] - a[1];
    const length = Math.hypot(dx, dy) || 1;
    for (let k = 0; k < 5; k++) {
      const t = k / 5;
      const d = Math.sin(Math.PI * t) * bulge;
      out.push([lerp(a[0], b[0], t) + (dy / length) * d, lerp(a[1], b[1], t) - (dx / length) * d]);
    }
  }
  return out;
}

/** The shadow that hair throws on the forehead; painted inside the face. */
export function paintHairShadow(f: FigureFrame, m: HeadModel, shade: Lch): void {
  const line = hairLine(f, m).map((q) => [q[0] + f.scene.light.direction[0] * 0.02, q[1] + 0.045] as Point);
  f.flat(REGION.skin, [...line, m.place(0.6, -0.6), m.place(-0.7, -0.6)], mixLch(shade, f.person.hair.colour, 0.25), {
    plain: true,
    alpha: 0.22,
  });
}

/** The hair on top of the head. */
export function paintHairCap(f: FigureFrame, m: HeadModel): void {
  const { style, colour, volume } = f.person.hair;
  if (style === 'bald') return paintTonsure(f, m);
  const line = hairLine(f, m);
  const size = volume * (style === 'curly' ? 1.1 : style === 'tousled' ? 1.12 : 1.055);
  const ys: [side: 1 | -1, y: number][] = [];
  const edge = (angle: number) => hairLineAt(style, turnOf(angle));
  for (let y = Math.min(edge(90 - m.yaw), 0.36); y >= -0.5; y -= 0.025) ys.push([1, y]);
  for (let y = -0.5; y <= Math.min(edge(-90 - m.yaw), 0.4); y += 0.025) ys.push([-1, y]);
  const top = ys.map(([side, y]) => {
    const k = 1.02 + (size - 1) * smoothstep(0.5, -0.2, y);
    const depth = side > 0 ? m.front(y) : Math.max(0, m.back(y));
    const x = side * Math.hypot(m.half(y) * m.cos * k, depth * m.sin * k);
    return m.place(x, y < -0.2 ? -0.2 + (y + 0.2) * (1 + (size - 1) * 2.1) : y);
  });
  const curly = style === 'curly';
  const outline = curly
    ? [
        ...line,
        ...scallop(
          top.filter((_, i) => i % 5 === 0 || i === top.length - 1),
          -0.04,
        ),
      ]
    : [...line, ...top];
  const cap = f
    .pen(HAIR)
    .shape(
      wobble(resamplePath(f.path(outline), 3), Math.min(0.9, f.head * 0.004), Math.max(6, f.head * 0.09), 5),
      colour,
      {
        strokes: style === 'plait' ? 0.9 : 1.2,
        outline: curly ? 0 : f.detail ? f.lineWidth * 1.1 : f.lineWidth * 0.8,
        shade: curly ? 0.4 : 1.2,
        rim: curly ? 0 : 1.2,
        volume: curly ? 0.4 : 0.9,
      },
    );
  if (f.detail) f.scene.inside(cap, () => strands(f, m));
  if (style === 'plait' && f.detail) wisps(f, m);
}

function strands(f: FigureFrame, m: HeadModel): void {
  const { style, colour } = f.person.hair;
  const r = f.random;
  const dark = adjustLch(colour, -0.13);
  const light = mixLch(adjustLch(colour, 0.1, 1, 6), f.scene.light.light, 0.18);
  for (let i = 0; i < (f.detail > 1 ? 46 : 14); i++) {
    const c = r.chance(0.5) ? dark : light;
    const w = r.range(0.006, 0.014);
    if (style === 'curly') {
      const at = m.place(lerp(-0.45, 0.45, r.next()), lerp(-0.56, 0.1, r.next()));
      curl(f, at, r.range(0.03, 0.06), 0.6);
    } else if (style === 'short' || style === 'bowl' || style === 'tousled') {
      const a = r.range(-85 - m.yaw, 85 - m.yaw);
      const y = hairLineAt(style, turnOf(a));
      f.stroke(
        HAIR,
        [m.on(a * 0.65, -0.47, 0, 1.03), m.on(a * 0.9, lerp(-0.4, y, 0.45), 0, 1.04), m.on(a, y - 0.01, 0, 1.02)],
        w,
        c,
        { alpha: r.range(0.3, 0.7) },
      );
    } else {
      const side = r.chance(0.5) ? -1 : 1;
      const y0 = r.range(-0.46, -0.32);
      const end = side * r.range(70, 115) - (side < 0 ? Math.max(0, m.yaw - 30) * 0.45 : 0);
      const q = r.next();
      const middle = side * r.range(30, 50);
      if ((side > 0 && m.yaw > 50) || m.facing(end) < -0.1 || m.facing(side * 40) < 0.05) continue;
      f.stroke(
        HAIR,
        [
          m.on(side < 0 ? 6 : 10, y0, 0, 1.03),
          m.on(middle, lerp(-0.42, -0.12, q), 0, 1.05),
          m.on(end, lerp(-0.2, 0.22, q), 0, 1.04),
        ],
        w,
        c,
        { alpha: r.range(0.35, 0.8) },
      );
    }
  }
  if (style === 'plait' || style === 'long')
    f.stroke(HAIR, [m.on(8, -0.34), m.on(9, -0.44, 0, 1.04), m.on(12, -0.52, 0, 1.1)], 0.014, adjustLch(colour, -0.2), {
      alpha: 0.8,
    });
}

/** A few hairs that escaped the plait. */
function wisps(f: FigureFrame, m: HeadModel): void {
  const light = mixLch(adjustLch(f.person.hair.colour, 0.1, 1, 6), f.scene.light.light, 0.18);
  for (const [from, to, y0, y1] of [
    [20, 34, -0.28, -0.05],
    [-12, -30, -0.29, -0.08],
    [-52, -66, -0.05, 0.2],
    [58, 70, -0.04, 0.18],
    [-40, -62, -0.15, 0.12],
  ]) {
    if (m.facing(to) < 0.05) continue;
    f.stroke(
      HAIR,
      [m.on(from, y0, 0, 1.02), m.on((from + to) / 2 + 4, (y0 + y1) / 2 - 0.02, 0, 1.07), m.on(to, y1, 0, 1.05)],
      0.014,
      light,
      { alpha: 0.9 },
    );
  }
}
