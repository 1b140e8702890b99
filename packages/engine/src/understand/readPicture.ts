import { boxPlane, levelOf, resample, type Picture } from '@urbild/core';
import { crispEdges } from './areas/crispEdges';
import { facesBetween, grow, type AreaLabels } from './areas/faces';
import { formsOf, type AreaForm } from './areas/forms';
import { kindsOf } from './areas/kinds';
import { merged } from './areas/merging';
import type { NamedSeen } from './areas/naming';
import { outlinesOf } from './areas/outlines';
import { superpixels, type Planes } from './areas/superpixels';
import { drawnBy, evenSteps, isGroundAt, makingOf, type DrawnBy, type MakingFacts } from './drawnBy';
import { closedGaps } from './lines/gaps';
import { darkMarks, distanceTo, thinned } from './lines/masks';
import { eraseFigure } from './lines/figureLines';
import { stickFigures, type StickFigure } from './lines/stickFigures';
import { prunedStrokes, type Stroke } from './lines/strokes';

/** Longer side at which pictures are read, px. */
export const SEEN_SIDE = 400;

/** A picture as it was understood: how it is made, its areas and what they show, its lines, its figures of lines. px of the size it was read at. */
export interface SeenPicture {
  readonly width: number;
  readonly height: number;
  readonly drawnBy: DrawnBy;
  readonly making: MakingFacts;
  readonly labels: AreaLabels;
  /** By area. */
  readonly forms: readonly (AreaForm | undefined)[];
  readonly kinds: ReadonlyMap<number, NamedSeen>;
  /** Softened along its edges: the local colours. */
  readonly planes: Planes;
  readonly strokes: readonly Stroke[];
  readonly figures: readonly StickFigure[];
}

/** How far softening goes, in squared steps; merging by the way a picture is made. */
const RULES: Readonly<
  Record<
    Exclude<DrawnBy, 'lines' | 'on plain ground'>,
    { soften: number; pixels: number; compact: number; least: number; cap: number; small: number }
  >
> = {
  'felt pen': { soften: 12, pixels: 1000, compact: 8, least: 150, cap: 2, small: 0.3 },
  solids: { soften: 12, pixels: 1400, compact: 8, least: 30, cap: 2, small: 0.3 },
  flat: { soften: 12, pixels: 1400, compact: 8, least: 60, cap: 1e9, small: 0.3 },
  photograph: { soften: 60, pixels: 1000, compact: 12, least: 25, cap: 2, small: 0.45 },
  painted: { soften: 40, pixels: 1000, compact: 8, least: 30, cap: 3, small: 0.45 },
};
/** At most so many areas are left. */
const AREAS = 40;
/** Gaps of lines are closed up to so many line widths. */
const REACH = { lines: 15, edges: 9 } as const;
/** Felt pen covers an area where so much of a box is inked. */
const COVERED = 0.36;

const read = new WeakMap<Picture, SeenPicture>();

/** Understands a picture; the same picture is read once. */
export function readPicture(picture: Picture): SeenPicture {
  let known = read.get(picture);
  if (!known) read.set(picture, (known = seen(thickEnough(levelOf(picture, SEEN_SIDE)))));
  return known;
}

/** A picture is at least this thick when it is read, px: lines of one pixel have no areas. */
const THINNEST = 12;

const thickEnough = (picture: Picture): Picture =>
  Math.min(picture.width, picture.height) >= THINNEST
    ? picture
    : resample(picture, Math.max(THINNEST, picture.width), Math.max(THINNEST, picture.height));

function seen(picture: Picture): SeenPicture {
  const { width: w, height: h } = picture;
  const planes = evenSteps(picture);
  const making = makingOf(planes, w, h);
  const how = drawnBy(making);
  const found =
    how === 'lines'
      ? areasOfLines(planes, making, w, h)
      : how === 'on plain ground'
        ? areasOfEdges(planes, w, h)
        : areasOfColour(planes, how, making, w, h);
  const outlines = outlinesOf(found.labels, w, h, { tolerance: 1.5, smooth: 0 });
  const forms = formsOf(found.labels, outlines, planes, w, h);
  const kinds = kindsOf({
    ...{ forms, drawnBy: how, figures: found.figures, w, h, grey: making.chroma < 4 },
    mirror: how === 'photograph' || how === 'painted' ? mirrorRow(planes[0], w, h) : undefined,
  });
  return { width: w, height: h, drawnBy: how, making, forms, kinds, ...found };
}

type Found = Pick<SeenPicture, 'labels' | 'planes' | 'strokes' | 'figures'>;

/** What drawn lines enclose; figures are taken out first, else an arm would join the horizon. */
function areasOfLines(planes: Planes, { lines }: MakingFacts, w: number, h: number): Found {
  const skeleton = thinned(darkMarks(planes[0], w, h), w, h);
  const lineWidth = Math.max(2, lines.width);
  const strokes = prunedStrokes(skeleton, w, lineWidth * 2.5);
  const figures = stickFigures(skeleton, w, h);
  for (const figure of figures) eraseFigure(skeleton, w, h, figure);
  const left = prunedStrokes(skeleton, w, lineWidth * 2.5);
  const links = closedGaps(left, skeleton, { w, h, lineWidth, reach: REACH.lines });
  return { labels: facesBetween(skeleton, links, { w, h }), planes, strokes: figures.length ? left : strokes, figures };
}

/** What the crisp edges of something before a plain ground enclose. */
function areasOfEdges(planes: Planes, w: number, h: number): Found {
  const soft = softened(softened(planes, w, h, 2, 6), w, h, 2, 6);
  const skeleton = crispEdges(soft, w, h, { low: 0.1, high: 0.3 });
  const strokes = prunedStrokes(skeleton, w, 5, 1);
  const links = closedGaps(strokes, skeleton, { w, h, lineWidth: 2.5, reach: REACH.edges });
  const faces = facesBetween(skeleton, links, { w, h, least: 70, balls: false });
  const labels = merged(faces, soft, w, h, { count: AREAS, least: 14, cap: 1, small: 0.3 });
  return { labels, planes: soft, strokes: [], figures: [] };
}

/** Areas of like colour. */
function areasOfColour(planes: Planes, how: keyof typeof RULES, making: MakingFacts, w: number, h: number): Found {
  const { soften, pixels, compact, ...rules } = RULES[how];
  const inked = how === 'felt pen' ? filledIn(planes, making, w, h) : planes;
  const soft = softened(softened(inked, w, h, 3, soften), w, h, 3, soften);
  const labels = merged(superpixels(soft, w, h, { count: pixels, compact }), soft, w, h, { count: AREAS, ...rules });
  const thin = how === 'felt pen' ? Math.max(4, making.lines.width * 0.75) : how === 'flat' ? 1.6 : 0;
  const figures = how === 'felt pen' ? stickFigures(thinned(darkMarks(planes[0], w, h), w, h), w, h) : [];
  return { labels: thin ? withoutThin(labels, w, h, thin) : labels, planes: soft, strokes: [], figures };
}

/** Softens every plane by itself within its edges (guided filter, He, Sun and Tang 2013); `epsilon` in squared steps. */
function softened(planes: Planes, w: number, h: number, radius: number, epsilon: number): Planes {
  return planes.map((p) => {
    const mean = boxPlane(p, w, h, radius);
    const square = boxPlane(
      p.map((v) => v * v),
      w,
      h,
      radius,
    );
    const slope = mean.map((m, i) => {
      const variance = Math.max(0, square[i] - m * m);
      return variance / (variance + epsilon);
    });
    const offset = boxPlane(
      mean.map((m, i) => m * (1 - slope[i])),
      w,
      h,
      radius,
    );
    const slopes = boxPlane(slope, w, h, radius);
    return p.map((v, i) => slopes[i] * v + offset[i]);
  }) as unknown as Planes;
}

/** Felt pen that leaves paper between its strokes, as the area that it stands for. */
function filledIn(planes: Planes, { ground, lines }: MakingFacts, w: number, h: number): Planes {
  const ink = Float32Array.from({ length: w * h }, (_, i) => (isGroundAt(planes, ground.lab, i) ? 0 : 1));
  const r = Math.max(5, Math.round(lines.width * 1.5));
  const near = boxPlane(ink, w, h, r);
  const cover = boxPlane(near, w, h, r >> 1);
  return planes.map((p, c) => {
    const colour = boxPlane(
      p.map((v, i) => v * ink[i]),
      w,
      h,
      r,
    );
    return p.map((v, i) => {
      const around = near[i] > 0 ? colour[i] / near[i] : ground.lab[c];
      if (ink[i]) return v * 0.65 + 0.35 * around;
      return cover[i] > COVERED ? around : ground.lab[c];
    });
  }) as unknown as Planes;
}

/** Gives areas that are nowhere thicker than twice `radius` px to those around them. */
function withoutThin({ of, count }: AreaLabels, w: number, h: number, radius: number): AreaLabels {
  const border = new Uint8Array(w * h);
  for (let i = 0; i < w * h; i++) {
    const x = i % w;
    if (
      (x < w - 1 && of[i + 1] !== of[i]) ||
      (i + w < w * h && of[i + w] !== of[i]) ||
      (x && of[i - 1] !== of[i]) ||
      (i >= w && of[i - w] !== of[i])
    )
      border[i] = 1;
  }
  const far = distanceTo(border, w, h);
  const most = new Float32Array(count + 1);
  far.forEach((d, i) => (most[of[i]] = Math.max(most[of[i]], d)));
  const out = of.map((k) => (most[k] < radius ? 0 : k));
  if (out.some((k) => k)) grow(out, w, h);
  else return { of, count };
  return { of: out, count };
}

/** The row about which lightness mirrors itself best, and how well (correlation): still water lies below it. */
function mirrorRow(L: Float32Array, w: number, h: number): { row: number; likeness: number } {
  const soft = boxPlane(L, w, h, 2);
  let best = { row: 0, likeness: 0 };
  for (let row = Math.round(h * 0.35); row < h * 0.85; row += 2) {
    const reach = Math.min(50, h - row - 4);
    let [n, sa, sb, aa, bb, ab] = [0, 0, 0, 0, 0, 0];
    for (let d = 4; d < reach; d += 2)
      for (let x = 0; x < w; x += 3) {
        const [a, b] = [soft[(row - d) * w + x], soft[(row + d) * w + x]];
        [n, sa, sb, aa, bb, ab] = [n + 1, sa + a, sb + b, aa + a * a, bb + b * b, ab + a * b];
      }
    if (!n) continue;
    const likeness = (n * ab - sa * sb) / Math.sqrt((n * aa - sa * sa) * (n * bb - sb * sb) + 1);
    if (likeness > best.likeness) best = { row, likeness };
  }
  return best;
}
