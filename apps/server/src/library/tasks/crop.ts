import { splitCollage, type Box } from '@urbild/core';
import sharp from 'sharp';
import { measurable } from '../../platform/pictures/decode';

/** Crops parts out of a picture: PNG files. */
export interface CropTask {
  readonly picture: string;
  /** The parts of a collage when absent. */
  readonly boxes?: readonly Box[];
}

/** Cuts parts out of a picture. */
export async function crop({ picture, boxes }: CropTask): Promise<Uint8Array[]> {
  const parts: readonly Box[] = boxes ?? splitCollage(await measurable(sharp(picture)));
  const { width, height } = await sharp(picture).metadata();
  return Promise.all(
    parts.map((b) => {
      const left = Math.round(b.left * width);
      const top = Math.round(b.top * height);
      return sharp(picture)
        .extract({
          left,
          top,
          width: Math.max(1, Math.min(width - left, Math.round((b.right - b.left) * width))),
          height: Math.max(1, Math.min(height - top, Math.round((b.bottom - b.top) * height))),
        })
        .png()
        .toBuffer();
    }),
  );
}
