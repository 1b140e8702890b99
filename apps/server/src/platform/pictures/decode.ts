import { pictureFromRgba, type Picture } from '@urbild/core';
import { open } from 'fs/promises';
import sharp from 'sharp';
import { LIMITS } from '../config';
import type { TaskFailure } from '../workers/task';

/** Longest side of the picture that is kept beside the original. */
export const PICTURE_SIDE = 2048;
const SMALL_SIDE = 512;
/** After so many seconds libvips gives a picture up. */
const READ_SECONDS = 45;
const FORMATS = ['png', 'jpeg', 'webp', 'heif', 'avif', 'tiff', 'gif'];
/** What browsers show as it is, so that it can be kept without encoding it again. */
const SHOWN = ['png', 'jpeg', 'webp'];

export const refuse = (failure: TaskFailure['failure'], message: string): TaskFailure => ({ failure, message });

/** True for a failure that a worker answers instead of a result. */
export const isFailure = (answer: object): answer is TaskFailure => 'failure' in answer;

/** A small picture, four channels: for measuring and for its thumbnail. */
export interface Small {
  readonly data: Buffer;
  readonly width: number;
  readonly height: number;
}

/** Shrinks a picture to at most `side` px, once for all that is made of it at this size. */
export async function small(input: sharp.Sharp | Uint8Array, side = SMALL_SIDE): Promise<Small> {
  const { data, info } = await (input instanceof Uint8Array ? sharp(input) : input)
    .resize(side, side, { fit: 'inside', withoutEnlargement: true })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

/** Pixels for measuring: at most `side` px (512 is usual), alpha over white. */
export async function measurable(input: sharp.Sharp | Uint8Array, side?: number): Promise<Picture> {
  const { data, width, height } = await small(input, side);
  return pictureFromRgba(data, width, height);
}

/** A WebP of at most 512 px, laid over white. */
export async function thumbnailOf(input: sharp.Sharp | Uint8Array | Small): Promise<Buffer> {
  const { data, width, height } = 'data' in input ? input : await small(input);
  return sharp(data, { raw: { width, height, channels: 4 } })
    .flatten({ background: '#ffffff' })
    .webp({ quality: 84, effort: 0 })
    .toBuffer();
}

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

/** A file that can be read, with the picture that stands for it. */
export interface Decoded {
  readonly meta: sharp.Metadata;
  readonly format: string;
  /** Size of the upright file, px. */
  readonly width: number;
  readonly height: number;
  /** The picture to keep: upright, sRGB, 8 bits, at most {@link PICTURE_SIDE} px, alpha kept; undefined when the file itself is just that. */
  readonly picture?: Buffer;
  /** The same picture at 512 px. */
  readonly small: Small;
  /** The file is damaged: the picture is what could be read of it, written anew. */
  readonly repaired: boolean;
}

/** Of a damaged file as much as there is may be read, when it comes in; whatever is kept is read strictly ever after. */
type Strictness = 'warning' | 'truncated';

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
  for (const failOn of ['warning', 'truncated'] as const)
    try {
      return { ...(await pixelsOf(file, meta, failOn)), repaired: failOn !== 'warning' };
    } catch {
      // read less strictly, or refused
    }
  return refuse('unreadable', 'This picture is damaged or cut off. Export it again and add the new file.');
}

async function pixelsOf(file: string, meta: sharp.Metadata, failOn: Strictness): Promise<Omit<Decoded, 'repaired'>> {
  const turned = (meta.orientation ?? 1) >= 5;
  const opened = () =>
    sharp(file, { limitInputPixels: LIMITS.pixels, failOn, page: 0 }).timeout({ seconds: READ_SECONDS });
  // pixels of full size are never brought over here: they would have to be cleared away again, megabytes at a time
  const jpeg = meta.format === 'jpeg';
  const picture =
    keepsItself(meta) && failOn === 'warning'
      ? undefined
      : await as(
          opened()
            .autoOrient()
            .resize(PICTURE_SIDE, PICTURE_SIDE, { fit: 'inside', withoutEnlargement: true, kernel: 'cubic' })
            .toColourspace('srgb'),
          jpeg ? (meta.chromaSubsampling === '4:2:0' ? '4:2:0' : '4:4:4') : undefined,
        ).toBuffer();
  return {
    meta,
    format: meta.format === 'heif' ? 'avif' : meta.format!,
    width: turned ? meta.height : meta.width,
    height: turned ? meta.width : meta.height,
    picture,
    // a JPEG is quickest read small from the start
    small: await small(picture && !jpeg ? picture : opened().autoOrient()),
  };
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

/** As a JPEG of high quality, its colours no finer than they came, or as PNG. */
const as = (image: sharp.Sharp, chromaSubsampling?: '4:2:0' | '4:4:4'): sharp.Sharp =>
  chromaSubsampling
    ? // tables made for this very picture would save a few bytes and take as long as the rest
      image.jpeg({ quality: 96, chromaSubsampling, optimiseCoding: false })
    : image.png({ compressionLevel: 2 });

/** Pixels as a PNG. */
export const encode = (data: Buffer, raw: sharp.CreateRaw): Promise<Buffer> => as(sharp(data, { raw })).toBuffer();
