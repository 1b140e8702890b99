import {
  headPicture,
  MATTE_SIDE,
  readTraits,
  type FaceFrame,
  type Matte,
  type ReadTraits,
  type SegmentedPart,
} from '@urbild/engine';
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
  /** A grey picture that a person painted: white is figure. */
  readonly matte?: string;
}

/** What was read. */
export interface TraitsRead extends Omit<ReadTraits, 'head' | 'matte'> {
  /** What was taken for figure, white, as a grey PNG; absent where nothing was told apart. */
  readonly mattePicture?: Uint8Array;
  /** The head with what was taken for skin, hair and clothes, as WebP; absent where that was not told apart. */
  readonly headPicture?: Uint8Array;
}

/** A face may be a small part of a picture: it is read larger than all else. */
const SIDE = 1024;

/** Reads the traits of whoever a picture shows. */
export async function traits({ picture, face, part, mesh, matte: painted }: TraitsTask): Promise<TraitsRead> {
  const seen = await measurable(sharp(picture), SIDE);
  const byHand = painted ? await paintedMatte(painted) : undefined;
  const { head, matte, ...told } = readTraits(seen, face, { part, mesh, matte: byHand });
  const read = matte ? { ...told, mattePicture: await greyPng(matte) } : told;
  if (!head) return read;
  const { rgba, width, height } = headPicture(seen, head);
  const webp = await sharp(rgba, { raw: { width, height, channels: 4 } })
    .webp({ quality: 80 })
    .toBuffer();
  return { ...read, headPicture: webp };
}

async function paintedMatte(file: string): Promise<Matte> {
  const { data, info } = await sharp(file)
    .greyscale()
    .resize(MATTE_SIDE, MATTE_SIDE, { fit: 'inside', withoutEnlargement: true })
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { width, height, channels } = info;
  const alpha = Float32Array.from({ length: width * height }, (_, i) => data[i * channels] / 255);
  return { width, height, alpha, from: 'hand' };
}

const greyPng = ({ width, height, alpha }: Matte): Promise<Uint8Array> =>
  sharp(
    Uint8Array.from(alpha, (a) => Math.round(255 * a)),
    { raw: { width, height, channels: 1 } },
  )
    .toColourspace('b-w')
    .png({ compressionLevel: 9 })
    .toBuffer();
