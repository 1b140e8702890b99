import { isFaceShape, shapeOf, type FaceShape } from '@urbild/core';

/** A point of a face mesh, px. */
type Place = readonly [x: number, y: number];

/**
 * Points of the face mesh (468 points, the topology of the models in use) along the contours of a face, in the order of FACE_CONTOURS:
 * those of one side, and those of the other. On the middle line both are the same.
 */
const ONE = [
  ...[234, 93, 132, 58, 172, 150, 176, 152],
  ...[107, 66, 63, 70, 46, 53, 65, 55],
  ...[133, 157, 159, 161, 33, 163, 145, 154],
  ...[193, 48, 2],
  ...[0, 37, 61, 17, 13],
];
const OTHER = [
  ...[454, 323, 361, 288, 397, 379, 400, 152],
  ...[336, 296, 293, 300, 276, 283, 295, 285],
  ...[362, 384, 386, 388, 263, 390, 374, 381],
  ...[417, 278, 2],
  ...[0, 267, 291, 17, 13],
];
const ONE_EYE = [33, 246, 161, 160, 159, 158, 157, 173, 133, 155, 154, 153, 145, 144, 163, 7];
const OTHER_EYE = [263, 466, 388, 387, 386, 385, 384, 398, 362, 382, 381, 380, 374, 373, 390, 249];

/** Degrees up to which a face is seen from the front: farther round, its contours are those of the view. */
export const FRONTAL = 12;

/**
 * The contours of a face from its mesh (parts of a picture of `width` x `height` px): rolled upright, measured in distances between the
 * eyes, both halves as one, which takes a small turn out of them. Undefined for a face that is turned away farther than {@link FRONTAL}.
 */
export function meshShape(
  mesh: readonly Place[],
  yaw: number,
  { width, height }: { readonly width: number; readonly height: number },
): FaceShape | undefined {
  if (Math.abs(yaw) > FRONTAL || mesh.length < 468) return undefined;
  const px = mesh.map(([x, y]): Place => [x * width, y * height]);
  const middle = (points: readonly number[]): Place => [
    points.reduce((s, i) => s + px[i][0], 0) / points.length,
    points.reduce((s, i) => s + px[i][1], 0) / points.length,
  ];
  const [one, other] = [middle(ONE_EYE), middle(OTHER_EYE)];
  const [dx, dy] = [other[0] - one[0], other[1] - one[1]];
  const apart = Math.hypot(dx, dy);
  if (!apart) return undefined;
  const [cos, sin] = [dx / apart, dy / apart];
  const upright = (i: number): Place => {
    const [x, y] = [px[i][0] - (one[0] + other[0]) / 2, px[i][1] - (one[1] + other[1]) / 2];
    return [(x * cos + y * sin) / apart, (y * cos - x * sin) / apart];
  };
  const shape = shapeOf(
    ONE.flatMap((i, k) => {
      const [[px0, py0], [px1, py1]] = [upright(i), upright(OTHER[k])];
      return [(px1 - px0) / 2, (py0 + py1) / 2];
    }),
  );
  // eyes that fall into one make a face that no request takes
  return isFaceShape(shape) ? shape : undefined;
}
