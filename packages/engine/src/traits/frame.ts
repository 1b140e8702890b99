import { median, type Box } from '@urbild/core';
import type { FigureRecord } from '../painter/scene/figureRecord';

/** Where a face lies: the middle between its eyes and the tip of its chin, as parts of width and height of the picture. */
export interface FaceFrame {
  readonly eyes: readonly [x: number, y: number];
  readonly chin: readonly [x: number, y: number];
  /** Turn in degrees, 0 to the viewer. */
  readonly yaw: number;
}

/** Points of the face mesh. */
const EYES = [33, 133, 159, 145, 362, 263, 386, 374];
const CHIN = 152;
/** Foot of the nose, lips and chin, and how far down from the eyes they lie on the way to the chin. */
const DOWN: readonly (readonly [points: readonly number[], part: number])[] = [
  [[2], 0.448],
  [[13, 14], 0.63],
  [[CHIN], 1.018],
];

/**
 * The frame of a face mesh of 468 points (parts of the picture). The chin of a mesh strays where a beard hides it, so its
 * distance is the median of what nose, lips and chin say.
 */
export function frameOfMesh(mesh: readonly (readonly [number, number])[], yaw: number): FaceFrame {
  const mean = (points: readonly number[], k: 0 | 1) => points.reduce((s, i) => s + mesh[i][k], 0) / points.length;
  const eyes = [mean(EYES, 0), mean(EYES, 1)] as const;
  const dx = mesh[CHIN][0] - eyes[0];
  const dy = mesh[CHIN][1] - eyes[1];
  const square = dx * dx + dy * dy || 1e-9;
  const lengths = DOWN.map(
    ([points, part]) => ((mean(points, 0) - eyes[0]) * dx + (mean(points, 1) - eyes[1]) * dy) / square / part,
  );
  const length = Math.max(0.4, median(lengths));
  return { eyes, chin: [eyes[0] + dx * length, eyes[1] + dy * length], yaw };
}

/** The frame of a box that a person drew around a face from brow to chin: eyes a third down, chin at its foot. */
export const frameOfBox = ({ left, top, right, bottom }: Box): FaceFrame => ({
  eyes: [(left + right) / 2, top + 0.36 * (bottom - top)],
  chin: [(left + right) / 2, bottom],
  yaw: 0,
});

/** The frame of a painted face from its record, in a picture of w x h px; undefined when it is turned away. */
export function faceOfRecord(
  { landmarks, yaw }: Pick<FigureRecord, 'landmarks' | 'yaw'>,
  w: number,
  h: number,
): FaceFrame | undefined {
  const { 'far eye': far, 'near eye': near, chin } = landmarks;
  return far && near && chin
    ? { eyes: [(far[0] + near[0]) / 2 / w, (far[1] + near[1]) / 2 / h], chin: [chin[0] / w, chin[1] / h], yaw }
    : undefined;
}

/** Points of a face in its own measure: a to the right and b down from the eyes, in distances from eyes to chin; in px. */
export type OnFace = (a: number, b: number) => readonly [x: number, y: number];

/** How a frame lies in a picture of `width` x `height` px, with the length of its unit. */
export function placeFrame({ eyes, chin }: FaceFrame, width: number, height: number): { at: OnFace; unit: number } {
  const ex = eyes[0] * width;
  const ey = eyes[1] * height;
  const dx = chin[0] * width - ex;
  const dy = chin[1] * height - ey;
  return { at: (a, b) => [ex + dy * a + dx * b, ey - dx * a + dy * b], unit: Math.hypot(dx, dy) };
}
