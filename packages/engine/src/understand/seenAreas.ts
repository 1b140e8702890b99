import type { SeenKind } from '@urbild/core';
import { distanceTo } from './lines/masks';
import type { SeenPicture } from './readPicture';

/** An area as it is shown to a person: where its widest part lies, in parts of the width and height. */
export interface SeenArea {
  readonly x: number;
  readonly y: number;
  readonly kind: SeenKind;
  /** By what it was told, in plain words. */
  readonly why: string;
  /** Part of the picture, 0..1. */
  readonly share: number;
}

/** Areas smaller than this part of a picture are not shown by themselves. */
const SHOWN = 0.002;

/** The areas of a picture, the largest first, at most `most`. */
export function seenAreas({ labels, forms, kinds, width: w, height: h }: SeenPicture, most: number): SeenArea[] {
  const border = new Uint8Array(w * h);
  labels.of.forEach((k, i) => {
    const [x, y] = [i % w, Math.floor(i / w)];
    const inner = x && y && x < w - 1 && y < h - 1;
    if (!inner || labels.of[i + 1] !== k || labels.of[i + w] !== k || labels.of[i - 1] !== k || labels.of[i - w] !== k)
      border[i] = 1;
  });
  const far = distanceTo(border, w, h);
  const widest = new Map<number, number>();
  labels.of.forEach((k, i) => {
    const best = widest.get(k);
    if (best === undefined || far[i] > far[best]) widest.set(k, i);
  });
  return forms
    .flatMap((form, k) => {
      const at = widest.get(k);
      if (!form || at === undefined || form.share < SHOWN) return [];
      const { kind, why } = kinds.get(k)!;
      return [{ x: ((at % w) + 0.5) / w, y: (Math.floor(at / w) + 0.5) / h, kind, why, share: form.share }];
    })
    .sort((a, b) => b.share - a.share)
    .slice(0, most);
}
