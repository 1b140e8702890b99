import { blurPlane, clamp, mapPlanes, seenThrough, smoothstep, type Picture, type PictureWindow } from '@urbild/core';
import type { FigureRecord } from '../painter/scene/figureRecord';
import { isFigure } from '../painter/scene/region';

/** A frame as it is held: its stage before looks were laid over it, and its figures. */
export interface HeldFrame {
  readonly stage: Picture;
  readonly figures: readonly FigureRecord[];
}

/** The frame that is held, and the finished picture of the frame that holds it. */
export interface Holding extends HeldFrame {
  readonly picture: Picture;
  /** What of that picture stands where this frame is: the camera's way between the two. */
  readonly window: PictureWindow;
}

/** How far stages may differ, in OKLab, and still show the same: colours, and forms apart from colours. */
const SAME_COLOUR = [0.02, 0.06] as const;
const SAME_FORM = [0.012, 0.04] as const;
/** A figure is the same figure where light and step change it a little: so many times more may differ on it. */
const ON_FIGURES = 1.8;
/** Over this part of its sides a frame that is seen in part fades out. */
const FADE = 0.14;
/** Forms are what is finer than this, colours what is broader: px at a height of 512. */
const BROAD = 7;

/**
 * A frame held by another: where its stage shows the same as that of the other - at the place to which camera and figures
 * have moved it - its strokes and its colours become those of the other, which are not invented anew from frame to frame.
 * Strokes are held where the forms agree, also when the light has changed; colours where the colours agree.
 */
export function heldBy(picture: Picture, labels: Uint8Array, own: HeldFrame, other: Holding): Picture {
  const { width: w, height: h } = picture;
  const ground = layer(other, other.window, w, h);
  const figure = figureWindow(own.figures, other.figures, w, h);
  const near = figure && layer(other, figure, w, h);
  const sigma = (BROAD * h) / 512;
  let out = blend(picture, own.stage, ground, sigma, 1, (i) => !near || !isFigure(labels[i]));
  if (near) out = blend(out, own.stage, near, sigma, ON_FIGURES, (i) => isFigure(labels[i]));
  return out;
}

interface Layer {
  readonly stage: Picture;
  readonly picture: Picture;
  /** How far a pixel lies within what is seen of the other frame: 0 outside, 1 well inside; no edge of it may show. */
  readonly inside: (x: number, y: number) => number;
}

function layer({ stage, picture }: Holding, window: PictureWindow, w: number, h: number): Layer {
  const { x, y, width, height } = window;
  return {
    stage: seenThrough(stage, window, w, h),
    picture: seenThrough(picture, window, w, h),
    inside: (px, py) => {
      const [u, v] = [x + ((px + 0.5) * width) / w, y + ((py + 0.5) * height) / h];
      const [w0, h0] = [stage.width, stage.height];
      // a side fades out only where it lies within the picture
      const left = x < -1 ? u / w0 : 1;
      const right = x + width > w0 + 1 ? 1 - u / w0 : 1;
      const top = y < -1 ? v / h0 : 1;
      const bottom = y + height > h0 + 1 ? 1 - v / h0 : 1;
      return smoothstep(0, FADE, Math.min(left, right, top, bottom));
    },
  };
}

/** Where the first figure of one frame stands in another, as a window of the other; undefined when either has none. */
function figureWindow(
  own: readonly FigureRecord[],
  other: readonly FigureRecord[],
  w: number,
  h: number,
): PictureWindow | undefined {
  const [a, b] = [own.find((f) => f.kind === 'person'), other.find((f) => f.kind === 'person')];
  const [p, q] = [a?.joints.neck, b?.joints.neck];
  if (!a || !b || !p || !q || a.entity !== b.entity) return undefined;
  const k = b.head / a.head;
  return { x: q[0] - p[0] * k, y: q[1] - p[1] * k, width: w * k, height: h * k };
}

/** Lays a layer over a picture where the stages agree, `slack` times as far apart as usual, and `here` says so. */
function blend(
  picture: Picture,
  stage: Picture,
  from: Layer,
  sigma: number,
  slack: number,
  here: (i: number) => boolean,
): Picture {
  const { width: w, height: h } = picture;
  const broad = (p: Picture) => p.planes.map((plane) => blurPlane(plane, w, h, sigma));
  const [mine, theirs] = [broad(stage), broad(from.stage)];
  const colour = agreement(w, h, SAME_COLOUR, slack, sigma / 3, (c, i) => mine[c][i] - theirs[c][i]);
  const form = agreement(
    w,
    h,
    SAME_FORM,
    slack,
    sigma / 4,
    (c, i) => stage.planes[c][i] - mine[c][i] - (from.stage.planes[c][i] - theirs[c][i]),
  );
  for (let y = 0, i = 0; y < h; y++)
    for (let x = 0; x < w; x++, i++) {
      const k = here(i) ? from.inside(x, y) : 0;
      colour[i] *= k;
      form[i] *= k;
    }
  const [low, held] = [broad(picture), broad(from.picture)];
  return mapPlanes(w, h, (c) =>
    picture.planes[c].map((v, i) => {
      const fine = v - low[c][i];
      const heldFine = from.picture.planes[c][i] - held[c][i];
      return low[c][i] + colour[i] * (held[c][i] - low[c][i]) + fine + form[i] * (heldFine - fine);
    }),
  );
}

/** 1 where a difference is small, 0 where it is large; a little softened, so that no edge of it shows. */
function agreement(
  w: number,
  h: number,
  [same, other]: readonly [number, number],
  slack: number,
  sigma: number,
  difference: (plane: number, i: number) => number,
): Float32Array {
  const off = new Float32Array(w * h);
  for (let i = 0; i < off.length; i++)
    off[i] = Math.sqrt(difference(0, i) ** 2 + difference(1, i) ** 2 + difference(2, i) ** 2);
  const soft = blurPlane(off, w, h, sigma);
  return soft.map((d) => clamp(1 - smoothstep(same * slack, other * slack, d)));
}
