import { clamp, median } from '../maths/scalar';

/**
 * The contours of a face from the front, and how many points each has. Half a face: the other half mirrors it. Places are in distances
 * between the middles of the eyes: x to the right from the middle line, y down from the line of the eyes.
 *
 * - `outline`: eight points from beside the eyes down to the tip of the chin, the last one on the middle line.
 * - `brow`: its upper edge from the inner end to the outer one, four points, then the lower edge back, four points.
 * - `eye`: eight points from the inner corner over the upper lid to the outer corner and back.
 * - `nose`: beside the bridge, beside the wing, and the point under it on the middle line.
 * - `lips`: the middle of the upper edge, its peak, the corner, the middle of the lower edge, and the middle of the seam.
 */
export const FACE_CONTOURS = { outline: 8, brow: 8, eye: 8, nose: 3, lips: 5 } as const;
export type FaceContour = keyof typeof FACE_CONTOURS;
const NAMES = Object.keys(FACE_CONTOURS) as FaceContour[];

/** A point of half a face: x and y in distances between the eyes. */
export type FacePoint = readonly [x: number, y: number];

/** The form of a face: its contours in the order of {@link FACE_CONTOURS}. */
export type FaceShape = Readonly<Record<FaceContour, readonly FacePoint[]>>;

/** No point of a face is farther from the middle of its eyes, in distances between them. */
export const FACE_REACH = 4;

/** All coordinates of a face in one row. */
export const rowOf = (shape: FaceShape): number[] => NAMES.flatMap((name) => shape[name].flat());

/** The face of a row of coordinates; the inverse of {@link rowOf}. */
export function shapeOf(row: ArrayLike<number>): FaceShape {
  let at = 0;
  const next = (): FacePoint => [row[at++], row[at++]];
  return Object.fromEntries(
    NAMES.map((name) => [name, Array.from({ length: FACE_CONTOURS[name] }, next)]),
  ) as unknown as FaceShape;
}

/** True for a face with all its points, within {@link FACE_REACH}. */
export const isFaceShape = (shape: FaceShape): boolean =>
  NAMES.every(
    (name) => shape[name]?.length === FACE_CONTOURS[name] && shape[name].flat().every((v) => Math.abs(v) <= FACE_REACH),
  );

/** One face from several: the median of every coordinate, so that one picture that is off moves nothing. */
export function fuseShapes(shapes: readonly FaceShape[]): FaceShape {
  const rows = shapes.map(rowOf);
  return shapeOf(rows[0].map((_, k) => median(rows.map((row) => row[k]))));
}

/** How far two faces are apart: the root mean square over contours of how far their points are from each other, in distances between the eyes. */
export function shapeDistance(a: FaceShape, b: FaceShape): number {
  const parts = NAMES.map((name) => {
    const off = a[name].map(([x, y], k) => (x - b[name][k][0]) ** 2 + (y - b[name][k][1]) ** 2);
    return off.reduce((s, v) => s + v, 0) / off.length;
  });
  return Math.sqrt(parts.reduce((s, v) => s + v, 0) / parts.length);
}

/** The most that a face is overdrawn: so many times its deviation from the usual one, at a weight of 2. */
const CARICATURE = 1.5;

/**
 * How much of what a face has of its own is drawn for a pull of 0..2: as much as the pull up to 1, from there slowly up to a slight
 * caricature.
 */
export const ownPart = (pull: number): number => {
  const p = clamp(pull, 0, 2);
  return p <= 1 ? p : 1 + (CARICATURE - 1) * (p - 1);
};
