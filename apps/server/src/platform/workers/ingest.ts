import { describe, encodeDescriptors, findHorizon, pictureFromRgba, swatchesOf, type Picture } from '@urbild/core';
import { open } from 'fs/promises';
import sharp from 'sharp';
import { LIMITS } from '../config';
import type { IngestResult, TaskFailure } from './tasks';

const PICTURE_SIDE = 2048;
const THUMBNAIL_SIDE = 512;
const MEASURE_SIDE = 640;
const FORMATS = ['png', 'jpeg', 'webp', 'heif', 'avif', 'tiff', 'gif'];

const refuse = (failure: TaskFailure['failure'], message: string): TaskFailure => ({ failure, message });

/** Pixels of a PNG or any other buffer, for measuring: at most 640 px, alpha over white. */
export async function measurable(bytes: Uint8Array): Promise<Picture> {
  const { data, info } = await sharp(bytes)
    .resize(MEASURE_SIDE, MEASURE_SIDE, { fit: 'inside', withoutEnlargement: true })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return pictureFromRgba(data, info.width, info.height);
}

export const thumbnailOf = (bytes: Uint8Array): Promise<Buffer> =>
  sharp(bytes)
    .resize(THUMBNAIL_SIDE, THUMBNAIL_SIDE, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .webp({ quality: 84 })
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

/** Reads any picture file: limits first, then orientation, profile to sRGB, and everything that is measured of it. */
export async function ingest(file: string): Promise<IngestResult | TaskFailure> {
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
  const pixels = (meta.width ?? 0) * (meta.height ?? 0);
  if (!(pixels > 0) || pixels > LIMITS.pixels) return tooLarge(meta.width ?? 0, meta.height ?? 0);
  try {
    const data = await sharp(file, { limitInputPixels: LIMITS.pixels, failOn: 'truncated', page: 0 })
      .autoOrient()
      .resize(PICTURE_SIDE, PICTURE_SIDE, { fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .png({ compressionLevel: 6 })
      .toBuffer();
    const upright = (meta.orientation ?? 1) >= 5;
    const picture = await measurable(data);
    return {
      format: meta.format === 'heif' ? 'avif' : meta.format,
      width: upright ? meta.height! : meta.width!,
      height: upright ? meta.width! : meta.height!,
      picture: data,
      thumbnail: await thumbnailOf(data),
      descriptors: encodeDescriptors(describe(picture)),
      swatches: swatchesOf(picture),
      horizon: findHorizon(picture).at,
    };
  } catch {
    return refuse('unreadable', 'This picture is damaged or cut off. Export it again and bring in the new file.');
  }
}
