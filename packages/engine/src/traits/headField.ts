import { CHROMA_GAIN, type Lab, type Picture } from '@urbild/core';
import { alphaAt, type Matte } from '../understand/matte/matte';
import { placeFrame, type FaceFrame } from './frame';

/** Steps of the grid around a head, in distances from eyes to chin, and how far it reaches: left and right, up, down. */
const STEP = 0.06;
const REACH = { beside: 2.4, above: 2.2, below: 3.6 } as const;

/** How many cells every field has. */
export const headSize = {
  columns: Math.round((2 * REACH.beside) / STEP) + 1,
  rows: Math.round((REACH.above + REACH.below) / STEP) + 1,
} as const;

/** A head and what is around it on a grid in the face's own measure, so that size, place and tilt in the picture do not matter. */
export interface HeadField {
  readonly columns: number;
  readonly rows: number;
  /** Colours, OKLab, one per cell. */
  readonly lab: readonly Lab[];
  /** 0 ground .. 1 figure; 0 beyond the picture. */
  readonly alpha: Float32Array;
  /** 1 where a cell lies in the picture. */
  readonly there: Uint8Array;
}

/** Place of a cell: a to the right and b down from the middle between the eyes, in distances from eyes to chin. */
export const placeOf = ({ columns }: Pick<HeadField, 'columns'>, k: number): readonly [a: number, b: number] => [
  -REACH.beside + STEP * (k % columns),
  -REACH.above + STEP * Math.floor(k / columns),
];

/** The cell at a place; undefined beyond the field. */
export function cellAt(
  { columns, rows }: Pick<HeadField, 'columns' | 'rows'>,
  a: number,
  b: number,
): number | undefined {
  const [x, y] = [Math.round((a + REACH.beside) / STEP), Math.round((b + REACH.above) / STEP)];
  return x < 0 || y < 0 || x >= columns || y >= rows ? undefined : y * columns + x;
}

/** The area of a cell, in squares of the distance from eyes to chin. */
export const CELL_AREA = STEP * STEP;

/** Reads an evened picture and its matte around a face. */
export function headField(picture: Picture, frame: FaceFrame, matte: Matte): HeadField {
  const { width, height, planes } = picture;
  const [L, A, B] = planes;
  const { columns, rows } = headSize;
  const { at } = placeFrame(frame, width, height);
  const lab: Lab[] = [];
  const alpha = new Float32Array(columns * rows);
  const there = new Uint8Array(columns * rows);
  for (let k = 0; k < alpha.length; k++) {
    const [x, y] = at(...placeOf({ columns }, k));
    const [px, py] = [Math.round(x), Math.round(y)];
    const inside = px >= 0 && py >= 0 && px < width && py < height;
    const i = inside ? py * width + px : 0;
    lab.push(inside ? [L[i], A[i] / CHROMA_GAIN, B[i] / CHROMA_GAIN] : [0, 0, 0]);
    if (!inside) continue;
    there[k] = 1;
    alpha[k] = alphaAt(matte, (px + 0.5) / width, (py + 0.5) / height);
  }
  return { columns, rows, lab, alpha, there };
}

/** The cells beside a cell: left, right, above, below; those beyond the grid are left out. */
export function* besideOf({ columns, rows }: HeadField, k: number): Generator<number> {
  const x = k % columns;
  if (x > 0) yield k - 1;
  if (x < columns - 1) yield k + 1;
  if (k >= columns) yield k - columns;
  if (k < columns * (rows - 1)) yield k + columns;
}
