import { readdir } from 'fs/promises';
import path from 'path';
import type { ForeignReference } from '@urbild/engine-tools';
import sharp from 'sharp';

const PICTURE = /\.(png|jpe?g|webp|avif|tiff?)$/i;
/** The longer side to which pictures are brought, px. */
const SIDE = 720;

/**
 * A studio's own pictures, from a folder: what no generator can stand for, such as real photographs. In the order of their names; throws
 * with a sentence where there is no picture.
 */
export async function ownPictures(folder: string): Promise<ForeignReference[]> {
  const files = (await readdir(folder)).filter((f) => PICTURE.test(f)).sort();
  if (!files.length) throw new Error(`no picture (.png, .jpg, .webp, .avif, .tif) lies in ${folder}`);
  return Promise.all(
    files.map(async (file): Promise<ForeignReference> => {
      const { data, info } = await sharp(path.join(folder, file))
        .rotate()
        .resize(SIDE, SIDE, { fit: 'inside', withoutEnlargement: true })
        .flatten({ background: 'white' })
        .toColourspace('srgb')
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true });
      const rgba = new Uint8ClampedArray(data.buffer, data.byteOffset, data.length);
      return { picture: { name: path.parse(file).name, width: info.width, height: info.height, rgba }, told: {} };
    }),
  );
}
