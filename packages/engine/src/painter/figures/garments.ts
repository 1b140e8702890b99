import { adjustLch } from '@urbild/core';
import type { Point } from '../geometry/point';
import { REGION } from '../stage/region';
import { dressFolds, jumper, oilskin, shawl } from './cloth';
import type { FigureFrame } from './figure';
import type { Trunk } from './trunk';

const G = REGION.garment;

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
