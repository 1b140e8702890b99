import { adjustLch, lerp, mixLch, Random, type Lch } from '@urbild/core';
import { ribbon, spline, wobble } from '../../geometry/curve';
import { ellipse, type Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import type { HeadModel } from './headModel';
import type { FaceMotion } from '../person';

/** The colours that belong to a skin: its shade and the line drawn on it. */
export interface SkinTones {
  readonly skin: Lch;
  readonly shade: Lch;
  readonly line: Lch;
}

export const skinTones = (skin: Lch): SkinTones => ({
  skin,
  shade: mixLch(skin, [0.46, 0.13, 22], 0.34),
  line: mixLch(adjustLch(skin, -0.34, 1.4, -8), [0.3, 0.08, 20], 0.4),
});

/** Blush and soft planes, painted before the features. */
export function paintBlush(f: FigureFrame, m: HeadModel, { shade }: SkinTones): void {
  if (!f.detail) return;
  const { blush } = f.person;
  for (const s of [-1, 1])
    if (m.facing(s * 36) > 0.12) f.stain(m.on(s * 36, 0.175), 0.17, [0.7, 0.14, 27], 0.3 * blush);
  if (m.cos > 0.2 || m.profile) f.stain(m.on(0, 0.17, m.noseLength * 0.6), 0.09, [0.66, 0.14, 28], 0.26 * blush);
  for (const s of [-1, 1]) if (m.facing(s * 24) > 0.2) f.stain(m.on(s * 22, -0.015), 0.13, shade, 0.16);
  f.stain(m.on(0, 0.395), 0.12, shade, 0.25);
}

export function paintBrows(f: FigureFrame, m: HeadModel, motion: FaceMotion): void {
  const { brow } = f.person;
  const y = -0.082 - (brow.lift ?? 0) - motion.browLift * 0.035;
  const angle = motion.browAngle * 0.03 + brow.angle * 0.4;
  for (const side of [-1, 1]) {
    if (m.facing(side * 24) < 0.16) continue;
    const centre = (
      [
        [11, y + 0.002 + angle],
        [24, y - 0.018 * (1 + brow.arch)],
        [39, y + 0.012 - angle * 0.4],
      ] as const
    ).map(([a, h]) => m.on(side * a, h));
    const t = 0.022 * brow.thickness * f.head;
    f.pen(REGION.hair).shape(
      wobble(ribbon(f.path(centre), [t * 0.9, t * 1.1, t * 0.35], 2), 0.3, 6, side),
      brow.colour,
      { texture: 0.3, rim: 0.3, shade: 0, plain: f.detail < 2 },
    );
  }
}

/** Where a nose begins, in head heights. */
const BRIDGE = -0.02;

/** A nose: its marks on the head, from the bridge to what is under it. */
interface Nose {
  readonly f: FigureFrame;
  readonly m: HeadModel;
  readonly tones: SkinTones;
  readonly tip: Point;
  readonly under: Point;
  readonly bridge: Point;
  readonly middle: Point;
  readonly near: Point;
  readonly far: Point;
}

export function paintNose(f: FigureFrame, m: HeadModel, tones: SkinTones): void {
  const { width, snub, hook, reach = 1 } = f.person.nose;
  const down = (y: number) => BRIDGE + (y - BRIDGE) * reach;
  const { line } = tones;
  if (f.detail === 0 || f.head < 60) {
    if (m.profile < 0.5)
      f.stroke(REGION.skin, [m.on(0, 0.17, 0.03), m.on(4, 0.205, 0.03), m.on(-8, 0.205, 0.02)], 0.018, line, {
        alpha: 0.8,
      });
    return;
  }
  if (m.profile >= 0.5) return noseFromTheSide(f, m, tones);
  const nose: Nose = {
    ...{ f, m, tones },
    tip: m.on(0, down(0.165) - snub * 0.012 + hook * 0.03, m.noseLength),
    under: m.on(0, down(0.232), 0.015),
    bridge: m.on(0, BRIDGE),
    middle: m.on(0, down(0.08), m.noseLength * 0.42 + hook * 0.03),
    near: m.on(-9.5 * width, down(0.205), 0.015),
    far: m.on(9.5 * width, down(0.205), 0.015),
  };
  const turned = Math.abs(m.sin);
  if (turned > 0.2) noseTurned(nose);
  else noseInFront(nose);
  noseBase(nose, turned);
  for (const s of [-1, 1])
    if (!(turned > 0.35 && s > 0))
      nostril(f, tones, m.on(s * 5.5 * width, down(0.222), 0.012), [0.013 * width, 0.0075, 0]);
}

function nostril(
  f: FigureFrame,
  { line }: SkinTones,
  q: Point,
  [rx, ry, turn]: readonly [number, number, number],
): void {
  const [x, y] = f.point(q);
  const hole = ellipse(x, y, f.head * rx, f.head * ry, turn, 10);
  f.pen(REGION.skin).shape(hole, adjustLch(line, -0.06), { plain: true, alpha: 0.65 });
}

function noseFromTheSide(f: FigureFrame, m: HeadModel, tones: SkinTones): void {
  const q = m.on(-8, 0.205, 0.01);
  const wing: Point[] = [
    [q[0] + 0.012, q[1] - 0.04],
    [q[0] - 0.012, q[1] - 0.012],
    [q[0] - 0.002, q[1] + 0.02],
    [q[0] + 0.03, q[1] + 0.018],
  ];
  f.stroke(REGION.skin, wing, 0.012, tones.line, { alpha: 0.75 });
  nostril(f, tones, [q[0] + 0.045, q[1] + 0.016], [0.013, 0.007, 0.3]);
}

/** Three quarters: a light body and its dark outline. */
function noseTurned({ f, tones: { skin, line }, tip, under, bridge, middle, near }: Nose): void {
  const body: Point[] = [
    [bridge[0], bridge[1], 1],
    middle,
    [tip[0] - 0.005, tip[1] - 0.02],
    tip,
    [tip[0] - 0.005, tip[1] + 0.028],
    under,
    near,
    [near[0] + 0.004, near[1] - 0.035],
    [lerp(near[0], bridge[0], 0.55), lerp(near[1], bridge[1], 0.5)],
  ];
  f.flat(REGION.skin, spline(body, true, 0.02), mixLch(skin, [0.92, 0.05, 70], 0.25), { plain: true, alpha: 0.5 });
  f.stroke(
    REGION.skin,
    [
      [bridge[0] + 0.01, bridge[1] + 0.03],
      [middle[0] + 0.012, middle[1]],
      [tip[0] + 0.005, tip[1] - 0.025],
      [tip[0] + 0.008, tip[1] + 0.008],
      [tip[0] - 0.01, tip[1] + 0.035],
      [under[0] + 0.005, under[1]],
    ],
    0.013,
    line,
    { alpha: 0.8, taper: [0.5, 0.15] },
  );
}

/** From the front: its shaded side, and a light on the tip. */
function noseInFront({ f, tones: { shade }, tip, under, bridge, middle, near, far }: Nose): void {
  const q = f.scene.light.direction[0] * (f.flip ? -1 : 1) > 0 ? 1 : -1;
  const wing = q > 0 ? far : near;
  f.flat(
    REGION.skin,
    spline(
      [
        [bridge[0] + q * 0.018, bridge[1] + 0.04, 1],
        [middle[0] + q * 0.022, middle[1]],
        [wing[0], wing[1] - 0.035],
        wing,
        [under[0], under[1] + 0.004],
        [tip[0] + q * 0.01, tip[1] - 0.03],
      ],
      true,
      0.02,
    ),
    shade,
    { plain: true, alpha: 0.32 },
  );
  const [x, y] = f.point([tip[0] - q * 0.012, tip[1] - 0.005]);
  f.pen(REGION.skin).shape(ellipse(x, y, f.head * 0.016, f.head * 0.02), [0.97, 0.03, 80], {
    plain: true,
    alpha: 0.45,
  });
}

/** The line under it, as far round as it is seen. */
function noseBase({ f, tones: { line }, under, near, far }: Nose, turned: number): void {
  const base: Point[] = [
    [near[0] + 0.004, near[1] - 0.022],
    [near[0] - 0.004, near[1] + 0.004],
    [lerp(near[0], under[0], 0.5), under[1] - 0.004],
    [under[0], under[1] + 0.004],
  ];
  if (turned < 0.35)
    base.push(
      [lerp(far[0], under[0], 0.5), under[1] - 0.004],
      [far[0] + 0.004, far[1] + 0.004],
      [far[0] - 0.004, far[1] - 0.022],
    );
  f.stroke(REGION.skin, base, 0.0125, line, { alpha: 0.8, taper: [0.3, 0.3] });
}

export function paintMouth(f: FigureFrame, m: HeadModel, motion: FaceMotion, { skin, line }: SkinTones): void {
  const { width, fullness, colour } = f.person.mouth;
  const half = 17 * width * (1 + motion.smile * 0.14) * (motion.round ? 0.6 : 1);
  const y = 0.315 + (f.person.mouth.drop ?? 0);
  const lift = -0.028 * motion.smile;
  const profile = m.profile > 0.5;
  const angles: number[] = [];
  for (let i = 0; i <= 8; i++) {
    const a = lerp(-half, profile ? -1 : half, i / 8);
    if (m.facing(a) >= 0.02) angles.push(a);
  }
  if (angles.length < 2) return;
  const curve = (a: number, extra: number, out: number) => {
    const t = Math.abs(a) / half;
    return m.on(a, y + lift * t * t * t + extra, out);
  };
  const seam = angles.map((a) => {
    const t = Math.abs(a) / half;
    return curve(a, 0.012 * motion.smile * (1 - t * t), 0.012 * (1 - t * t));
  });
  const floor = angles.map((a) => {
    const t = Math.abs(a) / half;
    return curve(a, 0.012 * motion.smile + 0.095 * motion.open * Math.sqrt(Math.max(0, 1 - t * t)), 0);
  });
  if (motion.open > 0 && f.detail) {
    const inside = f.flat(REGION.skin, [...seam, ...[...floor].reverse()], [0.3, 0.09, 20], { plain: true });
    if (!motion.round)
      f.scene.inside(inside, () => {
        f.flat(
          REGION.skin,
          [...seam, ...[...seam].reverse().map((q) => [q[0], q[1] + 0.028] as Point)],
          [0.95, 0.01, 80],
          { plain: true },
        );
        const [x, ty] = f.point(m.on(0, y + 0.085 * motion.open));
        f.pen(REGION.skin).shape(ellipse(x, ty, f.head * 0.05, f.head * 0.03), [0.62, 0.14, 22], { plain: true });
      });
  }
  if (f.detail > 1 || f.head > 60) {
    const lowerLip = angles.map((a) => {
      const t = Math.abs(a) / half / 0.86;
      const open = motion.open > 0 ? 0.095 * motion.open : 0;
      return m.on(
        a * 0.86,
        y + lift * t * t * 0.5 + 0.012 * motion.smile + open + 0.03 * fullness * Math.pow(Math.max(0, 1 - t * t), 0.7),
        0.01,
      );
    });
    f.flat(REGION.skin, [...(motion.open > 0 ? floor : seam), ...lowerLip.reverse()], mixLch(skin, colour, 0.72), {
      plain: true,
      alpha: 0.75,
    });
    const upperLip = angles.map((a) => {
      const t = Math.abs(a) / half;
      return curve(
        a,
        0.012 * motion.smile * (1 - t * t) -
          0.024 * fullness * Math.pow(Math.max(0, 1 - t * t), 0.8) +
          (t < 0.15 ? 0.007 : 0),
        0.012,
      );
    });
    f.flat(REGION.skin, [...seam, ...upperLip.reverse()], mixLch(skin, adjustLch(colour, -0.05), 0.66), {
      plain: true,
      alpha: 0.75,
    });
  }
  f.stroke(REGION.skin, seam, f.detail > 1 ? 0.014 : 0.022, adjustLch(line, -0.05), {
    alpha: 0.95,
    taper: [0.12, 0.12],
  });
  if (f.detail > 1)
    f.stroke(REGION.skin, [m.on(-5, 0.385), m.on(0, 0.39), m.on(profile ? -1 : 5, 0.385)], 0.008, line, {
      alpha: 0.35,
    });
}

/** Freckles over nose and cheeks, wrinkles at nose and brow. */
export function paintMarks(f: FigureFrame, m: HeadModel, { skin, line }: SkinTones): void {
  if (f.person.wrinkles && f.detail > 1) {
    for (const s of [-1, 1])
      if (m.facing(s * 22) >= 0.25)
        f.stroke(REGION.skin, [m.on(s * 13, 0.19, 0.01), m.on(s * 20, 0.25), m.on(s * 21, 0.31)], 0.01, line, {
          alpha: 0.5,
        });
    for (const y of [-0.2, -0.15])
      f.stroke(REGION.skin, [m.on(-22, y + 0.01), m.on(-4, y), m.on(18, y + 0.008)], 0.008, line, { alpha: 0.3 });
  }
  if (!f.person.freckles || !f.detail) return;
  const r = new Random(99);
  const pen = f.pen(REGION.skin);
  for (let i = 0; i < (f.detail > 1 ? 44 : 16); i++) {
    const a = r.bell() * 36;
    const y = 0.15 + r.bell() * 0.05 - Math.abs(a) * 0.0004;
    const size = f.head * r.range(0.004, 0.0085);
    const alpha = r.range(0.5, 0.85);
    if (m.facing(a) < 0.15) continue;
    const [px, py] = f.point(m.on(a, y, Math.abs(a) < 6 ? m.noseLength * 0.22 : 0));
    pen.shape(ellipse(px, py, size * 1.1, size, 0, 7), mixLch(skin, [0.48, 0.11, 45], 0.72), { plain: true, alpha });
  }
}
