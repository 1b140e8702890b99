import type { Picture, TraitSheet } from '@urbild/core';
import { faceFeatures } from './features';
import type { FaceFrame } from './frame';
export interface ReadTraits {
  readonly traits: TraitSheet;
  readonly covered?: number;
}
export function readTraits(picture: Picture, frame?: FaceFrame): ReadTraits {
  if (!frame) return { traits: {} };
  const f = faceFeatures(picture, frame);
  return { traits: { skin: { colour: f.skin, confidence: 0.7 } } };
}
