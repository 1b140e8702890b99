import sharp from 'sharp';
import { decode, isFailure, measurable, thumbnailOf } from './decode';
import { describeReference } from './describeReference';
import { readMetadata } from './metadata';
import type { IngestResult, IngestTask, TaskFailure } from './tasks';

/** Part of the pixels that let something through, 0..1. */
function transparencyOf(data: Buffer, channels: number): number {
  if (channels !== 4) return 0;
  let clear = 0;
  let n = 0;
  for (let i = 3; i < data.length; i += 16) {
    if (data[i] < 250) clear++;
    n++;
  }
  return clear / n;
}

/** Reads any picture file and everything that is measured of it. */
export async function ingest({ file, of: kind }: IngestTask): Promise<IngestResult | TaskFailure> {
  const decoded = await decode(file);
  if (isFailure(decoded)) return decoded;
  const { data, raw, width, height, format, meta } = decoded;
  const transparent = transparencyOf(data, raw.channels);
  const [thumbnail, picture, metadata] = await Promise.all([
    thumbnailOf(sharp(data, { raw })),
    measurable(sharp(data, { raw })),
    readMetadata(file, meta),
  ]);
  return {
    format,
    width,
    height,
    picture: decoded.picture,
    thumbnail,
    transparent,
    metadata,
    ...describeReference(picture, { kind, width, height, transparent }),
  };
}
