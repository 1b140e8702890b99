import { isSameMotif, pictureFromRgba, type Picture } from '@urbild/core';
import sharp from 'sharp';

/** A new picture, and those that may be one with it. */
export interface OneMotifTask {
  readonly picture: string;
  readonly others: readonly { readonly id: string; readonly picture: string }[];
}

/** Pictures are held against each other at this size, px. */
const SIDE = 64;

async function small(file: string): Promise<Picture> {
  const { data, info } = await sharp(file)
    .resize(SIDE, SIDE, { fit: 'fill' })
    .flatten({ background: '#ffffff' })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return pictureFromRgba(data, info.width, info.height);
}

/** The first of the others that is the same picture but for how it was saved, cut or brightened; null where none is. */
export async function oneMotif({ picture, others }: OneMotifTask): Promise<string | null> {
  if (!others.length) return null;
  const own = await small(picture);
  for (const other of others) if (isSameMotif(own, await small(other.picture))) return other.id;
  return null;
}
