import { codesThrough, seenThrough, type Medium, type Picture, type PictureWindow } from '@urbild/core';
import type { Points } from '../painter/scene/figureRecord';
import type { FigureRecord } from '../painter/scene/figureRecord';
import type { SceneSeen } from '../painter/scene/seen';
import type { MediumPalette } from '../painter/media';
import type { PaintedStage } from '../render/stageCache';
import { viewAt, type FrameMove, type FrameView } from './frame';

/** The window of a view on a picture of a size, px. */
export const windowOf = ({ x, y, size }: FrameView, width: number, height: number): PictureWindow => ({
  x: (x - size / 2) * width,
  y: (y - size / 2) * height,
  width: size * width,
  height: size * height,
});

/** What of a picture with one view stands where another picture of the same scene is, with a view of its own. */
export const windowBetween = (own: FrameView, other: FrameView, width: number, height: number): PictureWindow => ({
  x: ((own.x - own.size / 2 - (other.x - other.size / 2)) / other.size) * width,
  y: ((own.y - own.size / 2 - (other.y - other.size / 2)) / other.size) * height,
  width: (own.size / other.size) * width,
  height: (own.size / other.size) * height,
});

/** What of the frame at one moment stands where the frame at another is, in parts of its sides. */
export const cameraWindow = ({ camera }: FrameMove, from: number, to: number): PictureWindow =>
  camera ? windowBetween(viewAt(camera, to), viewAt(camera, from), 1, 1) : { x: 0, y: 0, width: 1, height: 1 };

/** A stage as a camera sees it that looks at a part of it. */
export function seenStage(
  stage: PaintedStage,
  whole: { readonly width: number; readonly height: number },
  view: FrameView,
  width: number,
  height: number,
): PaintedStage {
  const window = windowOf(view, whole.width, whole.height);
  return {
    figures: stage.figures.map((f) => seenFigure(f, window, width / window.width)),
    seen: seenThere(stage.seen, whole, window, { width, height }),
    labels: () => codesThrough(stage.labels(), whole.width, whole.height, window, width, height),
    depth: () => codesThrough(stage.depth(), whole.width, whole.height, window, width, height),
    painted: () => seenThrough(stage.painted(), window, width, height),
    drawnIn: (medium: Medium, palette: MediumPalette, checkpoint: () => void): Picture =>
      seenThrough(stage.drawnIn(medium, palette, checkpoint), window, width, height),
  };
}

/** What a camera sees of it: the same witnesses, the map as far as the view reaches. */
function seenThere(
  seen: SceneSeen,
  whole: { readonly width: number; readonly height: number },
  window: PictureWindow,
  { width, height }: { readonly width: number; readonly height: number },
): SceneSeen {
  return {
    ...seen,
    view: { width, height, map: codesThrough(seen.map, whole.width, whole.height, window, width, height) },
  };
}

function seenFigure(f: FigureRecord, { x, y }: PictureWindow, k: number): FigureRecord {
  const points = (of: Points): Points =>
    Object.fromEntries(Object.entries(of).map(([name, [px, py]]) => [name, [(px - x) * k, (py - y) * k] as const]));
  const [left, top, right, bottom] = f.box;
  return {
    ...f,
    box: [(left - x) * k, (top - y) * k, (right - x) * k, (bottom - y) * k],
    joints: points(f.joints),
    landmarks: points(f.landmarks),
    head: f.head * k,
  };
}
