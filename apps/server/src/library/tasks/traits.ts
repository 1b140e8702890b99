import { headPicture, readTraits, type FaceFrame, type ReadTraits, type SegmentedPart } from '@urbild/engine';
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

/** What was read. */
export interface TraitsRead extends Omit<ReadTraits, 'head'> {
  /** The head with what was taken for skin, hair and clothes, as WebP; absent where that was not told apart. */
  readonly headPicture?: Uint8Array;
}

/** A face may be a small part of a picture: it is read larger than all else. */
const SIDE = 1024;

/** Reads the traits of whoever a picture shows. */
export async function traits({ picture, face, part, mesh }: TraitsTask): Promise<TraitsRead> {
  const seen = await measurable(sharp(picture), SIDE);
  const { head, ...read } = readTraits(seen, face, { part, mesh });
  if (!head) return read;
  const { rgba, width, height } = headPicture(seen, head);
  const webp = await sharp(rgba, { raw: { width, height, channels: 4 } })
    .webp({ quality: 80 })
    .toBuffer();
  return { ...read, headPicture: webp };
}
