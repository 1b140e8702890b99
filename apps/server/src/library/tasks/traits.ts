import { readTraits, type FaceFrame, type ReadTraits, type SegmentedPart } from '@urbild/engine';
import sharp from 'sharp';
import { measurable } from '../../platform/pictures/decode';

/** Reads the traits of whoever a picture shows. */
export interface TraitsTask {
  readonly picture: string;
  readonly face?: FaceFrame;
  /** What a segmentation model says of the part around that face. */
  readonly part?: SegmentedPart;
  /** Points of the face mesh, parts of the picture. */
  readonly mesh?: readonly (readonly [number, number])[];
}

/** A face may be a small part of a picture: it is read larger than all else. */
const SIDE = 1024;

/** Reads the traits of whoever a picture shows. */
export async function traits({ picture, face, part, mesh }: TraitsTask): Promise<ReadTraits> {
  return readTraits(await measurable(sharp(picture), SIDE), face, { part, mesh });
}
