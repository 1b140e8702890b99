import {
  cutOutAlpha,
  findPlainBackground,
  isPlain,
  resamplePlane,
  salienceOf,
  salientBox,
  type Box,
  type Picture,
} from '@urbild/core';
import type { RequestPicture } from '../contract/request';

/** The main subject of a reference: its box in parts of the picture, and how sure that is, 0..1. */
export interface FoundSubject {
  readonly box: Box;
  readonly confidence: number;
}

/** Where the subject of a reference is: around its joints, before its plain background, or what stands out in it. */
export function subjectOf(picture: Picture, told: RequestPicture): FoundSubject | undefined {
  const joints = Object.values(told.joints ?? {}).filter((j) => j !== undefined);
  if (joints.length >= 5) {
    const xs = joints.map((j) => j[0]);
    const ys = joints.map((j) => j[1]);
    const pad = 0.04;
    const box = {
      left: Math.min(...xs) - pad,
      right: Math.max(...xs) + pad,
      top: Math.min(...ys) - 2 * pad,
      bottom: Math.max(...ys) + pad,
    };
    return { box, confidence: 1 };
  }
  const box = salientBox(picture);
  if (isPlain(findPlainBackground(picture))) return { box, confidence: 0.9 };
  const area = (box.right - box.left) * (box.bottom - box.top);
  return area < 0.3 ? { box, confidence: 0.4 } : undefined;
}

/** The alpha of a reference's subject, 0..1 a pixel: cut from its plain background, else by what stands out in its box. */
export function subjectAlpha(picture: Picture, box: Box): Float32Array {
  const { width: w, height: h } = picture;
  const background = findPlainBackground(picture);
  if (background.share > 0.2 && background.border > 0.5) return cutOutAlpha(background, w, h);
  const { map, width: mw, height: mh } = salienceOf(picture);
  const strong = resamplePlane(
    map.map((v) => Math.min(1, 2.2 * v)),
    mw,
    mh,
    w,
    h,
  );
  return strong.map((v, i) => {
    const x = ((i % w) + 0.5) / w;
    const y = (Math.floor(i / w) + 0.5) / h;
    const inside = Math.min(x - box.left, box.right - x, y - box.top, box.bottom - y);
    return inside <= 0 ? 0 : Math.min(1, v + 0.35) * Math.min(1, inside / 0.03);
  });
}
