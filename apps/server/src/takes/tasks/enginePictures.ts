import { pictureFromRgba, type Picture } from '@urbild/core';
import sharp from 'sharp';
import { blobPath } from '../../platform/blobs/blobStore';

/** The longer side that the engine is given pictures at, px. */
const ENGINE_SIDE = 1536;
/** How many of them a thread keeps. */
export const KEPT_PICTURES = 16;

const pictures = new Map<string, Promise<Picture>>();

/** The pixels of a blob as the engine takes them; the last few are kept. */
export function pictureOf(dir: string, hash: string): Promise<Picture> {
  let picture = pictures.get(hash);
  if (!picture) {
    picture = sharp(blobPath(dir, hash))
      .resize(ENGINE_SIDE, ENGINE_SIDE, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true })
      .then(({ data, info }) => pictureFromRgba(data, info.width, info.height));
    pictures.set(hash, picture);
    picture.catch(() => pictures.delete(hash));
    if (pictures.size > KEPT_PICTURES) pictures.delete(pictures.keys().next().value!);
  }
  return picture;
}
