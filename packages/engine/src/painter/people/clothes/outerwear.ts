import { adjustLch, lerp, mixLch, type Lch } from '@urbild/core';
import { outline } from '../../geometry/outline';
import { ellipse, type Point } from '../../geometry/point';
import type { ShapeNode } from '../../scene/displayList';
import { REGION } from '../../scene/region';
import type { FigureFrame } from '../figure';
import { paintPattern } from './patterns';
import type { Cloth } from '../person';
import type { Trunk } from '../pose/trunk';

const G = REGION.garment;

/** What is worn over the top: shawl, apron, waistcoat, dungarees. */
export function paintOuterwear(f: FigureFrame, t: Trunk): void {
  const { over } = f.person;
  switch (over?.kind) {
    case 'shawl':
      return shawl(f, t, over.colour);
    case 'apron':
      return t.back ? ties(f, over.colour) : bib(f, t, over, t.seated ? 1.9 : 2.45, 0.46);
    case 'dungarees':
      return t.back ? straps(f, t, over.colour) : bib(f, t, over, 1.95, 0.5);
    case 'waistcoat':
      return waistcoat(f, t, over);
    default:
      return;
  }
}

const shifted = (text: string, t: Trunk, k: number): Point[] =>
  outline(text).map(([x, y, c]) => {
    const q = x * k * t.narrow + t.seam(y) * 0.75;
    return c ? [q, y, 1] : [q, y];
  });

/** A bib with straps, and the cloth below it. */
function bib(f: FigureFrame, t: Trunk, cloth: Cloth, hem: number, half: number): void {
  const k = f.person.girth;
  straps(f, t, cloth.colour);
  const shape = f.shape(
    G,
    shifted(
      `-.26,.42! .26,.42! .28,1.05 ${half},1.2 ${half + 0.06},${hem}! 0,${hem + 0.04} -${half + 0.06},${hem}! -${half},1.2 -.28,1.05`,
      t,
      k,
    ),
    cloth.colour,
    { strokes: 1.5, shade: 0.8 },
  );
  f.scene.inside(shape, () => paintPattern(f, cloth, { width: 0.8, top: 0.5, bottom: hem }));
  const x = t.seam(0.7) * 0.75;
  f.shape(
    G,
    [
      [x - 0.13, 0.62, 1],
      [x + 0.13, 0.62, 1],
      [x + 0.12, 0.84],
      [x - 0.12, 0.84],
    ],
    adjustLch(cloth.colour, 0.03),
    { line: 0.7 },
  );
  f.stroke(G, shifted('-.42,1.2 0,1.24 .42,1.2', t, k), 0.05, adjustLch(cloth.colour, -0.08), { taper: [0, 0] });
}

function straps(f: FigureFrame, t: Trunk, colour: Lch): void {
  for (const s of [-1, 1])
    f.band(
      G,
      [
        [s * 0.36 * t.narrow, 0.02],
        [s * 0.24 * t.narrow + t.seam(0.45) * 0.75, 0.48],
      ],
      [0.09, 0.09],
      adjustLch(colour, -0.03),
    );
}

function ties(f: FigureFrame, colour: Lch): void {
  f.stroke(G, outline('-0.5,1.2 0,1.24 0.5,1.2'), 0.06, colour, { taper: [0, 0] });
  for (const s of [-1, 1])
    f.band(
      G,
      [
        [0, 1.24],
        [s * 0.12, 1.5],
        [s * 0.1, 1.75],
      ],
      [0.05, 0.08, 0.06],
      colour,
    );
}

function waistcoat(f: FigureFrame, t: Trunk, cloth: Cloth): void {
  const { girth: k } = f.person;
  const seam = t.back ? 0 : 0.03;
  for (const s of [-1, 1]) {
    const edge = (y: number) => (t.back ? t.middle(y) : t.seam(y)) + s * seam;
    const panel = f.shape(
      G,
      [
        [s * 0.4 * t.narrow, 0],
        [s * (t.shoulders - 0.05), 0.2],
        [s * 0.5 * k * t.narrow, 0.8],
        [s * 0.5 * k * t.narrow, 1.55, 1],
        [edge(1.7), 1.72, 1],
        [edge(0.6), t.back ? 0 : 0.55],
        [s * 0.2 * t.narrow, -0.04],
      ],
      cloth.colour,
      { strokes: 1.5 },
    );
    f.scene.inside(panel, () => paintPattern(f, cloth, { width: 0.8, top: 0, bottom: 1.7 }));
  }
  if (!t.back)
    for (const y of [0.75, 1.05, 1.35])
      f.shape(REGION.prop, ellipse(t.seam(y), y, 0.035, 0.035, 0, 9), [0.8, 0.09, 82], { texture: 0, line: 0.5 });
}

/** A cloak hanging behind the body, drawn before it; from behind it covers the body and is drawn after. */
export function paintCloak(f: FigureFrame, t: Trunk, cloth: Cloth): void {
  const k = f.person.girth;
  const hem = t.seated ? 2.2 : 3.1;
  const w = t.shoulders + 0.1;
  const shape = f.shape(
    G,
    [
      [-0.26 * t.narrow, -0.12],
      [-w, 0.12],
      [-w - 0.1, 0.7],
      [-(0.72 * k) - 0.06 * t.sin, 1.9],
      [-(0.86 * k) - 0.1 * t.sin, hem, 1],
      [-0.3, hem + 0.1],
      [0.3, hem + 0.08],
      [0.86 * k * t.narrow, hem, 1],
      [0.72 * k * t.narrow, 1.9],
      [w + 0.08, 0.7],
      [w, 0.12],
      [0.26 * t.narrow, -0.12],
    ],
    t.back ? cloth.colour : adjustLch(cloth.colour, -0.05),
    { strokes: 1.5, volume: 0.9, shade: 1.2 },
  );
  f.scene.inside(shape, () => {
    paintPattern(f, cloth, { width: 1.1, top: 0.2, bottom: hem });
    const dark = mixLch(adjustLch(cloth.colour, -0.14), f.scene.light.shadow, 0.2);
    for (const x of [-0.5, -0.2, 0.15, 0.45])
      f.stroke(
        G,
        [
          [x * 0.6, 0.4],
          [x, 1.6],
          [x * 1.4, hem],
        ],
        0.025,
        dark,
        { alpha: 0.55, taper: [0.4, 0.2] },
      );
  });
}

/** The front edges of a cloak over the shoulders, with its clasp. */
export function paintCloakFront(f: FigureFrame, t: Trunk, cloth: Cloth): void {
  const w = t.shoulders + 0.08;
  for (const s of [-1, 1])
    f.shape(
      G,
      [
        [s * 0.16 * t.narrow, -0.14],
        [s * w * 0.8, 0],
        [s * (w + 0.06), 0.3],
        [s * (w + 0.04), 1.1],
        [s * (w - 0.2), 1.2, 1],
        [s * 0.28 * t.narrow + t.seam(0.3) * 0.4, 0.4],
      ],
      cloth.colour,
      { strokes: 1.4, shade: 1.1 },
    );
  f.shape(REGION.prop, ellipse(t.seam(0.1) * 0.8, 0.05, 0.07, 0.07, 0, 12), [0.8, 0.12, 85], { texture: 0 });
}

/** A scarf wound about the neck, with one hanging end. */
export function paintScarf(f: FigureFrame, t: Trunk, cloth: Cloth): void {
  const end = f.shape(
    G,
    t.back
      ? outline('-.05,-.05! .22,-.02! .3,.85! .08,.92!')
      : [
          [t.seam(0) * 0.6 - 0.02, -0.05, 1],
          [t.seam(0) * 0.6 + 0.24, -0.02, 1],
          [t.seam(0.7) * 0.7 + 0.26, 0.92, 1],
          [t.seam(0.7) * 0.7 + 0.02, 0.95, 1],
        ],
    adjustLch(cloth.colour, -0.02),
    { strokes: 1.5, shade: 1 },
  );
  const wound = f.shape(
    G,
    [
      [-0.33 * t.narrow, -0.2],
      [0, -0.26],
      [0.33 * t.narrow, -0.2],
      [0.37 * t.narrow, -0.02],
      [t.seam(0) * 0.4, 0.1],
      [-0.36 * t.narrow, -0.01],
    ],
    cloth.colour,
    { strokes: 0.1, shade: 1.2, volume: 0.9 },
  );
  if (cloth.pattern === 'stripes') {
    const second = cloth.second ?? [0.93, 0.025, 85];
    f.scene.inside(end, () => {
      for (let y = 0.15; y < 1; y += 0.22)
        f.flat(
          G,
          [
            [-1, y],
            [1, y],
            [1, y + 0.09],
            [-1, y + 0.09],
          ],
          second,
          { texture: 0.5 },
        );
    });
    f.scene.inside(wound, () => {
      for (let x = -0.4; x < 0.5; x += 0.2)
        f.flat(
          G,
          [
            [x, -0.4],
            [x + 0.08, -0.4],
            [x + 0.12, 0.2],
            [x + 0.04, 0.2],
          ],
          second,
          { texture: 0.5 },
        );
    });
  } else f.scene.inside(end, () => paintPattern(f, cloth, { width: 0.7, top: 0, bottom: 1 }));
}

/** A patterned shawl over the shoulders. */
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
