import { mixLch, type Expression } from '@urbild/core';
import { resamplePath, wobble } from '../../geometry/curve';
import { ellipse, type Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import { paintEyes } from './eyes';
import { paintBlush, paintBrows, paintMarks, paintMouth, paintNose, skinTones } from './face';
import type { FigureFrame } from '../figure';
import { paintBackHair, paintHairCap, paintHairShadow } from '../hair/hair';
import type { HeadModel } from './headModel';
import { paintBeard, paintGlasses, paintMoustache } from './headwear';
import { paintHat } from '../clothes/hats';
import { ASLEEP, EXPRESSION_MOTION } from '../person';

/** Paints a whole head but for the hair behind the neck: ears, face with features, beard, hair, hat. */
export function paintHead(f: FigureFrame, m: HeadModel, expression: Expression, asleep = false): void {
  const { person } = f;
  const motion = asleep ? ASLEEP : EXPRESSION_MOTION[expression];
  const tones = skinTones(person.skin);
  if (m.away) paintBackHair(f, m);
  if (Math.abs(m.cos) > 0.3) {
    paintEar(f, m, 1);
    paintEar(f, m, -1);
  }
  const face = f
    .pen(REGION.skin)
    .shape(
      wobble(resamplePath(f.path(m.outline()), 3), Math.min(0.8, f.head * 0.0035), Math.max(8, f.head * 0.15), 3),
      person.skin,
      {
        strokes: 1.1,
        outline: f.detail ? f.lineWidth * 1.05 : f.lineWidth * 0.8,
        volume: 0.6 - 0.4 * m.profile,
        shade: 0.7 - 0.4 * m.profile,
        rim: 0.8,
        texture: 0.5,
        mottled: true,
      },
    );
  if (!m.away)
    f.scene.inside(face, () => {
      paintBlush(f, m, tones);
      paintHairShadow(f, m, tones.shade);
      paintEyes(f, m, motion, tones);
      paintBrows(f, m, motion);
      paintNose(f, m, tones);
      paintMouth(f, m, motion, tones);
      paintMarks(f, m, tones);
    });
  if (Math.abs(m.cos) <= 0.3) paintEar(f, m, -1);
  if (person.beard && !m.away) paintBeard(f, m, person.beard);
  else if (person.moustache && !m.away) paintMoustache(f, m, person.moustache);
  paintHairCap(f, m);
  if (person.hat) paintHat(f, m, person.hat.kind, person.hat.colour);
  if (person.glasses && !m.away) paintGlasses(f, m, person.glasses);
  if (person.earring && f.detail) {
    const [x, y] = f.point(m.place(-m.half(0.08) * 0.99 * m.cos - 0.05 * m.sin - 0.02, 0.23));
    f.pen(REGION.prop).shape(ellipse(x, y, f.head * 0.03, f.head * 0.035), person.earring, {
      rim: 1,
      texture: 0,
      outline: f.lineWidth,
    });
  }
}

function paintEar(f: FigureFrame, m: HeadModel, side: 1 | -1): void {
  if (side * m.sin * Math.sign(m.cos || 1) > 0.25) return;
  const { skin } = f.person;
  const open = Math.abs(m.cos) > 0.3;
  const x = m.half(0.08) * side * 0.97 * Math.abs(m.cos) - 0.05 * m.sin;
  const w = 0.055 + 0.055 * Math.abs(m.sin) * (side * m.sin <= 0 ? 1 : 0);
  const outline: Point[] = open
    ? [
        [x, -0.03],
        [x + side * w, -0.055],
        [x + side * w * 1.25, 0.03],
        [x + side * w * 0.7, 0.13],
        [x + 0.005, 0.165],
        [x + 0.015, 0.07],
      ]
    : [
        [x, -0.03],
        [x - side * 0.02 - 0.06, -0.055],
        [x + side * w * 0.3 - 0.085, 0.03],
        [x - 0.05, 0.13],
        [x + 0.005, 0.165],
        [x + 0.015, 0.07],
      ];
  f.shape(
    REGION.skin,
    outline.map((q) => m.place(q[0], q[1])),
    mixLch(skin, [0.62, 0.14, 25], 0.14),
    { texture: 0.4, strokes: 1 },
  );
  if (f.detail < 2) return;
  const inner: Point[] = [
    [x + side * w * 0.8 - (open ? 0 : 0.06), -0.02],
    [x + side * w * 0.55 - (open ? 0 : 0.04), 0.05],
    [x + side * 0.01, 0.09],
  ];
  f.stroke(
    REGION.skin,
    inner.map((q) => m.place(q[0], q[1])),
    0.014,
    skinTones(skin).line,
    { alpha: 0.5 },
  );
}
