import sharp from 'sharp';
import { decode, isFailure } from '../../platform/pictures/decode';
import type { TaskFailure } from '../../platform/workers/task';

/** Reads a painted mask. */
export interface MaskTask {
  readonly file: string;
}

export interface MaskResult {
  /** Grey PNG. */
  readonly png: Uint8Array;
  /** Part of the picture that is white, 0..1. */
  readonly covers: number;
}

const MASK_SIDE = 1024;

/** Reads a painted mask: grey, what is transparent counts as black, at most 1024 px. */
export async function mask({ file }: MaskTask): Promise<MaskResult | TaskFailure> {
  const decoded = await decode(file);
  if (isFailure(decoded)) return decoded;
  const { data, info } = await sharp(decoded.picture ?? file)
    .flatten({ background: '#000000' })
    .greyscale()
    .resize(MASK_SIDE, MASK_SIDE, { fit: 'inside', withoutEnlargement: true })
    .raw()
    .toBuffer({ resolveWithObject: true });
  let white = 0;
  for (const v of data) if (v >= 128) white++;
  const png = await sharp(data, { raw: { width: info.width, height: info.height, channels: 1 } })
    .toColourspace('b-w')
    .png({ compressionLevel: 9 })
    .toBuffer();
  return { png, covers: white / data.length };
}
