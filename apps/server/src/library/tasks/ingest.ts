import { pictureFromRgba } from '@urbild/core';
import { decode, isFailure, thumbnailOf, type Small } from './decode';
import { describeReference } from './describeReference';
import { readMetadata } from './metadata';
import type { IngestResult, IngestTask, TaskFailure } from './tasks';

/** Part of the pixels that let something through, 0..1. */
function transparencyOf({ data }: Small): number {
  let clear = 0;
  for (let i = 3; i < data.length; i += 4) if (data[i] < 250) clear++;
  return clear / (data.length / 4);
}

/** Reads any picture file and everything that is measured of it. */
export async function ingest({ file, of: kind }: IngestTask): Promise<IngestResult | TaskFailure> {
  const decoded = await decode(file);
  if (isFailure(decoded)) return decoded;
  const { small, width, height, format, meta } = decoded;
  const transparent = transparencyOf(small);
  const [thumbnail, metadata] = await Promise.all([thumbnailOf(small), readMetadata(file, meta)]);
  const picture = pictureFromRgba(small.data, small.width, small.height);
  return {
    format,
    width,
    height,
    picture: decoded.picture,
    thumbnail,
    transparent,
    metadata,
    repaired: decoded.repaired,
    ...describeReference(picture, { kind, width, height, transparent }),
  };
}
