import { pictureFromRgba, type Picture } from '@urbild/core';
import { open } from 'fs/promises';
import sharp from 'sharp';
import { LIMITS } from '../config';
import type { TaskFailure } from './tasks';

/** Longest side of the picture that is kept beside the original. */
export const PICTURE_SIDE = 2048;
const THUMBNAIL_SIDE = 512;
const MEASURE_SIDE = 512;
const FORMATS = ['png', 'jpeg', 'webp', 'heif', 'avif', 'tiff', 'gif'];
/** What browsers show as it is, so that it can be kept without encoding it again. */
const SHOWN = ['png', 'jpeg', 'webp'];

export const refuse = (failure: TaskFailure['failure'], message: string): TaskFailure => ({ failure, message });

/** True for a failure that a worker answers instead of a result. */
export const isFailure = (answer: object): answer is TaskFailure => 'failure' in answer;

/** Pixels for measuring: at most 512 px, alpha over white. */
export async function measurable(input: sharp.Sharp | Uint8Array): Promise<Picture> {
  const { data, info } = await (input instanceof Uint8Array ? sharp(input) : input)
    .resize(MEASURE_SIDE, MEASURE_SIDE, { fit: 'inside', withoutEnlargement: true })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return pictureFromRgba(data, info.width, info.height);
}

/** A WebP of at most 512 px, laid over white. */
export const thumbnailOf = (input: sharp.Sharp | Uint8Array): Promise<Buffer> =>
  (input instanceof Uint8Array ? sharp(input) : input)
    .resize(THUMBNAIL_SIDE, THUMBNAIL_SIDE, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .webp({ quality: 84, effort: 2 })
    .toBuffer();

const tooLarge = (width: number, height: number) =>
  refuse('too-large', `${width} x ${height} pixels are too many: a picture may have ${LIMITS.pixels / 1e6} million.`);

/** The size that a PNG claims in its header (RFC 2083, 4.1.1), before anything is decoded; undefined for other files. */
async function claimedPngSize(file: string): Promise<[width: number, height: number] | undefined> {
  const handle = await open(file);
  try {
    const head = Buffer.alloc(24);
    await handle.read(head, 0, 24, 0);
    return head.toString('latin1', 0, 4) === '\x89PNG' ? [head.readUInt32BE(16), head.readUInt32BE(20)] : undefined;
  } finally {
    await handle.close();
  }
}

/** Upright sRGB pixels of a file with what it was. */
export interface Decoded {
  readonly meta: sharp.Metadata;
  readonly format: string;
  /** Size of the upright file, px. */
  readonly width: number;
  readonly height: number;
  /** At most {@link PICTURE_SIDE} px, 8 bits, alpha kept. */
  readonly data: Buffer;
  readonly raw: sharp.CreateRaw;
  /** The picture to keep; undefined when the file itself is just that. */
  readonly picture?: Buffer;
}

/** Reads any picture file: limits first, then orientation, profile to sRGB, size. Answers why not, otherwise. */
export async function decode(file: string): Promise<Decoded | TaskFailure> {
  const claimed = await claimedPngSize(file);
  if (claimed && claimed[0] * claimed[1] > LIMITS.pixels) return tooLarge(...claimed);
  let meta: sharp.Metadata;
  try {
    meta = await sharp(file, { limitInputPixels: false }).metadata();
  } catch {
    return refuse(
      'unreadable',
      'This file is not a picture that can be read. PNG, JPEG, WebP, AVIF, TIFF and GIF can.',
    );
  }
  if (!meta.format || !FORMATS.includes(meta.format)) {
    return refuse(
      'unreadable',
      `A file of kind ${meta.format ?? 'unknown'} cannot be read. PNG, JPEG, WebP, AVIF, TIFF and GIF can.`,
    );
  }
  const [w, h] = [meta.width ?? 0, meta.height ?? 0];
  if (!(w * h > 0) || w * h > LIMITS.pixels) return tooLarge(w, h);
  const turned = (meta.orientation ?? 1) >= 5;
  try {
    const { data, info } = await sharp(file, { limitInputPixels: LIMITS.pixels, failOn: 'truncated', page: 0 })
      .autoOrient()
      .resize(PICTURE_SIDE, PICTURE_SIDE, { fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .raw()
      .toBuffer({ resolveWithObject: true });
    const raw = { width: info.width, height: info.height, channels: info.channels };
    return {
      meta,
      format: meta.format === 'heif' ? 'avif' : meta.format,
      width: turned ? h : w,
      height: turned ? w : h,
      data,
      raw,
      picture: keepsItself(meta) ? undefined : await encode(data, raw, meta.format === 'jpeg'),
    };
  } catch {
    return refuse('unreadable', 'This picture is damaged or cut off. Export it again and bring in the new file.');
  }
}

/** True when a file is upright, in sRGB, of 8 bits and small enough already. */
const keepsItself = (m: sharp.Metadata): boolean =>
  SHOWN.includes(m.format) &&
  (m.orientation ?? 1) === 1 &&
  !m.icc &&
  m.space === 'srgb' &&
  m.depth === 'uchar' &&
  (m.pages ?? 1) === 1 &&
  Math.max(m.width, m.height) <= PICTURE_SIDE;

/** Pixels as a file: PNG, or a JPEG of high quality when they come from one. */
export function encode(data: Buffer, raw: sharp.CreateRaw, lossy = false): Promise<Buffer> {
  const image = sharp(data, { raw });
  return (
    lossy && raw.channels === 3
      ? image.jpeg({ quality: 96, chromaSubsampling: '4:4:4' })
      : image.png({ compressionLevel: 2 })
  ).toBuffer();
}
