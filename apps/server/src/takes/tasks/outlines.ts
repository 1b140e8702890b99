import { BuiltInEngine, type Outline, type RenderRequest } from '@urbild/engine';
import sharp from 'sharp';
import { pictureOf } from './enginePictures';

export interface OutlinesTask {
  readonly request: RenderRequest;
  readonly blobDir: string;
}

/** An outline as a mask: a grey PNG of the take's size, white where it is. */
export interface OutlineMask extends Pick<Outline, 'of' | 'figure'> {
  readonly png: Uint8Array;
  /** Part of the picture that it covers, 0..1. */
  readonly part: number;
}

/** The outlines of what the picture of a request shows. */
export async function outlines({ request, blobDir }: OutlinesTask): Promise<OutlineMask[]> {
  const { width, height } = request;
  const found = await new BuiltInEngine().outlines(request, (hash) => pictureOf(blobDir, hash));
  return Promise.all(
    found.map(async ({ of, figure, mask }) => ({
      of,
      figure,
      part: mask.reduce((n, v) => n + (v ? 1 : 0), 0) / mask.length,
      png: await sharp(mask, { raw: { width, height, channels: 1 } })
        .toColourspace('b-w')
        .png()
        .toBuffer(),
    })),
  );
}
