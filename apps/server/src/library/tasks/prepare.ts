import {
  cutOutAlpha,
  findPlainBackground,
  pictureFromRgba,
  samePreparation,
  UNPREPARED,
  type Preparation,
} from '@urbild/core';
import sharp from 'sharp';
import { encode, measurable, small, thumbnailOf } from '../../platform/pictures/decode';
import { describeReference } from './describeReference';
import type { KnownOfPicture, ReferenceDescription } from './describeReference';

/** Makes what the engine gets of a source picture, and measures that. */
export interface PrepareTask {
  /** Path of the source picture. */
  readonly source: string;
  readonly preparation: Preparation;
  readonly known: KnownOfPicture;
}

export interface PrepareResult extends ReferenceDescription {
  /** Absent when the source needs no change. */
  readonly picture?: Uint8Array;
  readonly thumbnail: Uint8Array;
}

interface Pixels {
  readonly data: Buffer;
  readonly raw: sharp.CreateRaw;
}

const pixelsOf = async (image: sharp.Sharp): Promise<Pixels> => {
  const { data, info } = await image.raw().toBuffer({ resolveWithObject: true });
  return { data, raw: { width: info.width, height: info.height, channels: info.channels } };
};

/** The source after crop, cut-out, flattening and sharpening, in this order. */
export async function preparedPixels(source: string, p: Preparation): Promise<Pixels> {
  let image = sharp(source);
  if (p.focus) {
    const { width, height } = await image.metadata();
    const left = Math.min(width - 1, Math.round(p.focus.left * width));
    const top = Math.min(height - 1, Math.round(p.focus.top * height));
    image = image.extract({
      left,
      top,
      width: Math.max(1, Math.min(width - left, Math.round((p.focus.right - p.focus.left) * width))),
      height: Math.max(1, Math.min(height - top, Math.round((p.focus.bottom - p.focus.top) * height))),
    });
  }
  let pixels = await pixelsOf(p.flatten ? image.flatten({ background: '#ffffff' }) : image);
  if (p.cutOut) pixels = await fillBackground(pixels);
  if (p.sharpen > 0)
    pixels = await pixelsOf(
      sharp(pixels.data, { raw: pixels.raw }).sharpen({
        sigma: 0.6 + p.sharpen,
        m1: 0.4 + 1.6 * p.sharpen,
        m2: 1 + 2 * p.sharpen,
      }),
    );
  return pixels;
}

/** Fills the plain background with the colours of the subject, spread outwards, so that none of it can leak. */
async function fillBackground(pixels: Pixels): Promise<Pixels> {
  const flat = await pixelsOf(sharp(pixels.data, { raw: pixels.raw }).flatten({ background: '#ffffff' }));
  const { width, height } = flat.raw;
  const background = findPlainBackground(await measurable(sharp(flat.data, { raw: flat.raw })));
  const alpha = cutOutAlpha(background, width, height);
  const premultiplied = Buffer.alloc(width * height * 4);
  for (let i = 0; i < width * height; i++) {
    for (let c = 0; c < 3; c++) premultiplied[4 * i + c] = Math.round(flat.data[3 * i + c] * alpha[i]);
    premultiplied[4 * i + 3] = Math.round(255 * alpha[i]);
  }
  // the colours of the subject grow outwards: blurred more and more widely, the narrowest that reaches a pixel wins
  const raw = { width, height, channels: 4 as const };
  const grown: Buffer[] = [];
  for (const part of [0.015, 0.05, 0.16, 0.5]) {
    const small = Math.max(8, Math.round(1.2 / part));
    const { data } = await sharp(premultiplied, { raw, premultiplied: true } as sharp.SharpOptions)
      .resize(small, small, { fit: 'fill', kernel: 'cubic' })
      .resize(width, height, { fit: 'fill', kernel: 'cubic' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    grown.push(data);
  }
  const out = Buffer.alloc(width * height * 3);
  for (let i = 0; i < width * height; i++) {
    const rest = [0, 0, 0];
    let room = 1;
    for (const layer of grown) {
      const a = layer[4 * i + 3] / 255;
      const part = room * Math.min(1, a * 2.5);
      if (a > 0.02) {
        for (let c = 0; c < 3; c++) rest[c] += part * Math.min(255, layer[4 * i + c]);
        room -= part;
      }
    }
    const total = 1 - room || 1;
    for (let c = 0; c < 3; c++) {
      const fill = room < 1 ? rest[c] / total : 128;
      out[3 * i + c] = Math.round(flat.data[3 * i + c] * alpha[i] + fill * (1 - alpha[i]));
    }
  }
  return { data: out, raw: { width, height, channels: 3 } };
}

/** Makes what the engine gets of a source picture, and measures that. */
export async function prepare({ source, preparation, known }: PrepareTask): Promise<PrepareResult> {
  const asIs = samePreparation(preparation, UNPREPARED) && known.transparent === 0;
  const { data, raw } = await preparedPixels(source, preparation);
  const little = await small(sharp(data, { raw }));
  const thumbnail = await thumbnailOf(little);
  const picture = pictureFromRgba(little.data, little.width, little.height);
  const { width, height } = raw;
  // what the preparation has fixed is no fault any more
  const transparent = preparation.flatten || preparation.cutOut ? 0 : known.transparent;
  return {
    picture: asIs ? undefined : await encode(data, raw),
    thumbnail,
    ...describeReference(picture, { ...known, ...(asIs ? {} : { width, height }), transparent }),
  };
}
