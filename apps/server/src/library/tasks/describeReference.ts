import {
  checkReference,
  checkStateOf,
  describe,
  describeLikeness,
  describeStrokes,
  encodeDescriptors,
  findHorizon,
  mirrorLikeness,
  perceptualHash,
  quantise,
  readPicture,
  salientBox,
  styleVector,
  swatchesOf,
  wordsOf,
  type Box,
  type Check,
  type FoundFace,
  type Picture,
  type PictureReading,
  type Swatch,
} from '@urbild/core';
import type { RowVectors } from '../catalogue/catalogue';
import type { CheckState, Kind } from '../reference.entity';

/** All that is measured of a reference, once, and kept. */
export interface ReferenceDescription {
  readonly descriptors: Uint8Array;
  readonly vectors: RowVectors;
  readonly swatches: readonly Swatch[];
  readonly perceptualHash: string;
  readonly reading: PictureReading;
  readonly derivedWords: string;
  readonly checks: readonly Check[];
  readonly checkState: CheckState;
  /** Proposed focus. */
  readonly salient: Box;
}

/** What else is known of a picture when it is described. */
export interface KnownOfPicture {
  readonly kind?: Kind;
  readonly width: number;
  readonly height: number;
  readonly transparent: number;
  readonly faces?: readonly FoundFace[];
  readonly double?: string;
}

/** Measures, reads and checks a picture of at most 512 px. */
export function describeReference(picture: Picture, known: KnownOfPicture): ReferenceDescription {
  const descriptors = describe(picture);
  const likeness = describeLikeness(picture);
  const swatches = swatchesOf(picture);
  const style = styleVector(descriptors);
  const reading = readPicture({
    strokes: describeStrokes(picture),
    likeness,
    horizon: findHorizon(picture),
    swatches,
  });
  const checks = checkReference({ ...known, kind: known.kind ?? 'image', picture });
  return {
    descriptors: encodeDescriptors(descriptors),
    vectors: {
      likeness: quantise(likeness),
      mirrored: quantise(mirrorLikeness(likeness)),
      style: quantise(style),
    },
    swatches,
    perceptualHash: perceptualHash(picture),
    reading,
    derivedWords: wordsOf(reading),
    checks,
    checkState: checkStateOf(checks),
    salient: salientBox(picture),
  };
}
