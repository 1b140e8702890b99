import { blurPlane } from '../picture/filter';
import type { Picture } from '../picture/picture';
import { levelOf } from '../picture/resample';
import { findPlainBackground, isPlain } from './plainBackground';

/** A part of a picture: left, top, right, bottom as parts of its width and height, 0..1. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

export const WHOLE: Box = { left: 0, top: 0, right: 1, bottom: 1 };

const SIDE = 72;

/** How much each pixel stands out: contrast to the colours of the border, plus detail. 0..1 at 72 px. */
export function salienceOf(picture: Picture): { map: Float32Array; width: number; height: number } {
  const small = levelOf(picture, SIDE);
  const { width: w, height: h, planes } = small;
  const soft = planes.map((p) => blurPlane(p, w, h, 1));
  const mean = soft.map((p) => {
    let sum = 0;
    let n = 0;
    for (let i = 0; i < p.length; i++) {
      const x = i % w;
      const y = (i / w) | 0;
      if (x < 4 || x >= w - 4 || y < 3 || y >= h - 3) {
        sum += p[i];
        n++;
      }
    }
    return sum / n;
  });
  const map = new Float32Array(w * h);
  let top = 0;
  for (let i = 0; i < map.length; i++) {
    const x = i % w;
    const y = (i / w) | 0;
    const [l, a, b] = [soft[0][i] - mean[0], 1.3 * (soft[1][i] - mean[1]), 1.3 * (soft[2][i] - mean[2])];
    const contrast = Math.sqrt(l * l + a * a + b * b);
    const right = x < w - 1 ? planes[0][i + 1] : planes[0][i];
    const below = y < h - 1 ? planes[0][i + w] : planes[0][i];
    const detail = Math.abs(right - planes[0][i]) + Math.abs(below - planes[0][i]);
    const [dx, dy] = [x / w - 0.5, y / h - 0.5];
    const centred = 1 - 0.55 * Math.sqrt(dx * dx + dy * dy);
    map[i] = (contrast + 1.5 * detail) * centred;
    top = Math.max(top, map[i]);
  }
  const spread = blurPlane(map, w, h, 2);
  for (let i = 0; i < spread.length; i++) spread[i] /= top || 1;
  return { map: spread, width: w, height: h };
}

/** Where the part `share` (0..1) of a sum lies, cutting off equal parts at both ends. */
function middle(sums: Float64Array, share: number): [number, number] {
  const all = sums.reduce((a, b) => a + b, 0);
  const cut = (all * (1 - share)) / 2;
  let low = 0;
  for (let seen = 0; low < sums.length - 1 && seen + sums[low] < cut; low++) seen += sums[low];
  let high = sums.length - 1;
  for (let seen = 0; high > low && seen + sums[high] < cut; high--) seen += sums[high];
  return [low, high + 1];
}

/**
 * The part of a picture that matters most, for a first proposal of its focus: the subject on a plain background, else
 * where most of what stands out lies.
 */
export function salientBox(picture: Picture): Box {
  const background = findPlainBackground(picture);
  const plain = isPlain(background);
  const {
    map,
    width: w,
    height: h,
  } = plain
    ? {
        map: Float32Array.from(background.mask, (v) => 1 - v),
        width: background.width,
        height: background.height,
      }
    : salienceOf(picture);
  const strong = plain ? map : map.map((v) => (v > 0.25 ? v * v : 0));
  const columns = new Float64Array(w);
  const rows = new Float64Array(h);
  for (let i = 0; i < strong.length; i++) {
    columns[i % w] += strong[i];
    rows[(i / w) | 0] += strong[i];
  }
  const share = plain ? 0.985 : 0.8;
  const [left, right] = middle(columns, share);
  const [top, bottom] = middle(rows, share);
  const pad = 0.03;
  return {
    left: Math.max(0, left / w - pad),
    top: Math.max(0, top / h - pad),
    right: Math.min(1, right / w + pad),
    bottom: Math.min(1, bottom / h + pad),
  };
}

/** A square (in pixels) around a box, inside a picture of `width` x `height`. */
export function squareAround(box: Box, width: number, height: number): Box {
  const side = Math.min(
    Math.max((box.right - box.left) * width, (box.bottom - box.top) * height),
    Math.min(width, height),
  );
  const put = (low: number, high: number, length: number): [number, number] => {
    const from = Math.min(Math.max(0, ((low + high) / 2) * length - side / 2), length - side);
    return [from / length, (from + side) / length];
  };
  const [left, right] = put(box.left, box.right, width);
  const [top, bottom] = put(box.top, box.bottom, height);
  return { left, top, right, bottom };
}

/**
 * The focus that suits a face: for a face reference a square around head and neck; for a character the body below it as well,
 * as far as the picture goes.
 */
export function focusOnFace(face: Box, kind: string, width: number, height: number): Box {
  const w = face.right - face.left;
  const h = face.bottom - face.top;
  const around = (left: number, top: number, right: number, bottom: number): Box => ({
    left: Math.max(0, face.left - left * w),
    top: Math.max(0, face.top - top * h),
    right: Math.min(1, face.right + right * w),
    bottom: Math.min(1, face.bottom + bottom * h),
  });
  return kind === 'character' ? around(1.1, 0.7, 1.1, 3) : squareAround(around(0.55, 0.6, 0.55, 0.5), width, height);
}
