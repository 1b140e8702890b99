import { CHROMA_GAIN, createPicture, pictureToRgba, type Lab, type Picture } from '@urbild/core';
import { placeFrame, type FaceFrame } from './frame';
import { headSize, placeOf } from './headField';
import type { HeadPart, HeadParts } from './headParts';

/** What was seen of a head, and where. */
export interface HeadSeen {
  readonly frame: FaceFrame;
  readonly parts: HeadParts;
}

/** Pixels of a cell of the field. */
const ZOOM = 3;
/** The colour that each part is tinted with, and how strongly, 0..1. */
export const PART_TINTS: Readonly<Record<HeadPart, Lab>> = {
  skin: [0.75, 0.1, 0.07],
  hair: [0.62, -0.02, -0.14],
  cloth: [0.72, -0.12, 0.09],
};
const TINT = 0.42;
/** How much of its chroma and contrast the ground keeps. */
const GROUND = 0.3;

/**
 * The head of somebody, set upright, with what was taken for skin, for hair and for clothes tinted and the ground faded: 8-bit sRGB with
 * alpha. For people: it tells at a look what colours were read from.
 */
export function headPicture(
  { width, height, planes: [L, A, B] }: Picture,
  { frame, parts }: HeadSeen,
): { readonly width: number; readonly height: number; readonly rgba: Uint8ClampedArray } {
  const { columns, rows } = headSize;
  const [w, h] = [columns * ZOOM, rows * ZOOM];
  const head = createPicture(w, h);
  const there = new Uint8Array(w * h);
  const { at } = placeFrame(frame, width, height);
  const [a0, b0] = placeOf({ columns }, 0);
  const step = placeOf({ columns }, 1)[0] - a0;
  for (let y = 0, o = 0; y < h; y++)
    for (let x = 0; x < w; x++, o++) {
      const cell = Math.floor(y / ZOOM) * columns + Math.floor(x / ZOOM);
      const [px, py] = at(a0 + (step * (x - 1)) / ZOOM, b0 + (step * (y - 1)) / ZOOM).map(Math.round);
      if (px < 0 || py < 0 || px >= width || py >= height) continue;
      const i = py * width + px;
      there[o] = 1;
      tinted([L[i], A[i] / CHROMA_GAIN, B[i] / CHROMA_GAIN], cell, parts).forEach(
        (v, k) => (head.planes[k][o] = k ? v * CHROMA_GAIN : v),
      );
    }
  const rgba = pictureToRgba(head);
  there.forEach((is, i) => is || (rgba[4 * i + 3] = 0));
  return { width: w, height: h, rgba };
}

function tinted(lab: Lab, cell: number, parts: HeadParts): Lab {
  let rest = 1;
  const out: [number, number, number] = [0, 0, 0];
  for (const [part, tint] of Object.entries(PART_TINTS) as [HeadPart, Lab][]) {
    const amount = parts[part][cell];
    rest -= amount;
    // the tint gives the hue, the picture its lights and darks
    const own = [lab[0], tint[1] * TINT + lab[1] * (1 - TINT), tint[2] * TINT + lab[2] * (1 - TINT)];
    own.forEach((v, k) => (out[k] += amount * v));
  }
  const faded = [0.93 + (lab[0] - 0.93) * GROUND, lab[1] * GROUND, lab[2] * GROUND];
  faded.forEach((v, k) => (out[k] += Math.max(0, rest) * v));
  return out;
}
