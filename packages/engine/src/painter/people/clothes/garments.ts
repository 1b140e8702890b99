import { adjustLch, mixLch } from '@urbild/core';
import { outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { REGION } from '../../scene/region';
import { paintFastenings } from './cloth';
import type { FigureFrame } from '../figure';
import { paintOuterwear } from './outerwear';
import { paintPattern } from './patterns';
import type { Trunk } from '../pose/trunk';

const G = REGION.garment;

/** The trunk in its coat, jumper or dress, with folds and fastenings. */
export function paintTrunk(f: FigureFrame, t: Trunk): void {
  const k = f.person.girth;
  const { top, over, bottom } = f.person;
  const { shoulders: sw, narrow: cw, middle, hem, hips: hw, sin } = t;
  if (bottom.kind === 'skirt' && top.kind !== 'dress' && !t.seated) paintSkirt(f, t);
  const silhouette: Point[] = [
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
  const body = f.shape(G, silhouette, top.colour, { strokes: 1.45, shade: 1.1, volume: 0.9, rim: 1.2, texture: 1 });
  f.scene.inside(body, () => {
    paintPattern(f, top, { width: 1.1, top: 0.1, bottom: hem });
    paintFastenings(f, t);
  });
  if (over && over.kind !== 'cloak') paintOuterwear(f, t);
}

/** A skirt from the waist down, under the top. */
function paintSkirt(f: FigureFrame, { middle: m, narrow: cw }: Trunk): void {
  const { bottom, girth: k } = f.person;
  const cloth = f.shape(
    REGION.legwear,
    [
      [-0.42 * k * cw + m(1.2), 1.2, 1],
      [-0.62 * k * cw + m(1.9), 1.95],
      [-0.78 * k * cw + m(2.3), 2.85, 1],
      [m(2.3), 2.93],
      [0.78 * k * cw + m(2.3), 2.84, 1],
      [0.62 * k * cw + m(1.9), 1.95],
      [0.42 * k * cw + m(1.2), 1.2, 1],
    ],
    bottom.colour,
    { strokes: 1.45, shade: 1.1, volume: 0.8 },
  );
  f.scene.inside(cloth, () => {
    paintPattern(f, bottom, { width: 1, top: 1.3, bottom: 2.9 });
    for (const x of [-0.35, -0.05, 0.3])
      f.stroke(
        REGION.legwear,
        [
          [x * 0.7, 1.5],
          [x, 2.1],
          [x * 1.3, 2.85],
        ],
        0.02,
        mixLch(adjustLch(bottom.colour, -0.13), f.scene.light.shadow, 0.2),
        { alpha: 0.5, taper: [0.4, 0.3] },
      );
  });
}

const mirrored = (points: readonly Point[]): Point[] => points.map(([x, y, c]) => (c ? [-x, y, 1] : [-x, y]));

/** The collar, over everything at the neck. */
export function paintCollar(f: FigureFrame, { narrow: cw, seam, sin, cos, back }: Trunk): void {
  const { kind, colour } = f.person.top;
  if (back) {
    if (kind !== 'oilskin' && kind !== 'dress')
      f.shape(G, outline('-0.27,-0.16 0,-0.2 0.27,-0.16 0.3,0.03 0,0.07 -0.3,0.03'), adjustLch(colour, -0.03), {
        strokes: 0,
      });
    return;
  }
  if (kind === 'oilskin' || kind === 'coat' || kind === 'jacket') {
    const flap = kind === 'oilskin' ? 0.24 : 0.42;
    f.shape(
      G,
      [
        [-0.24 * cw - 0.04 * sin, -0.16],
        [-0.1 + seam(0) * 0.5, 0],
        [seam(0) * 0.85, flap - 0.14, 1],
        [seam(0) * 0.7 - 0.14, flap],
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
        [seam(0) * 0.85, flap - 0.14, 1],
        [seam(0) * 0.75 + 0.17 * cos, flap],
        [0.36 * cw + 0.02 * sin, 0.09],
        [0.35 * cw, -0.07],
      ],
      adjustLch(colour, 0.025),
      { strokes: -0.6 },
    );
  } else if (kind === 'shirt') {
    const half: Point[] = [
      [0.02, 0.02],
      [0.22 * cw, -0.16],
      [0.3 * cw, -0.02],
      [0.17 * cw, 0.14, 1],
    ];
    for (const side of [half, mirrored(half)])
      f.shape(
        G,
        side.map(([x, y, c]) => (c ? [x + seam(0) * 0.6, y, 1] : [x + seam(0) * 0.6, y]) as Point),
        adjustLch(colour, 0.03),
        { strokes: 0.4 },
      );
  } else if (kind === 'jumper') {
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
      adjustLch(colour, -0.03),
      { strokes: 1.5 },
    );
  }
}
