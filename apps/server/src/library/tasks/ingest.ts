import { pictureFromRgba } from '@urbild/core';
import { decode, isFailure, thumbnailOf, type Small } from '../../platform/pictures/decode';
import { describeReference } from './describeReference';
import { readMetadata } from './metadata';
import type { TaskFailure } from '../../platform/workers/task';
import type { Kind, Metadata } from '../reference.entity';
import type { ReferenceDescription } from './describeReference';

/** A picture as the library keeps it, made by a worker from any file. */
export interface IngestResult extends ReferenceDescription {
  readonly format: string;
  readonly width: number;
  readonly height: number;
  /** Upright sRGB picture, at most 2048 px on its longer side, alpha kept; absent when the file itself is just that. */
  readonly picture?: Uint8Array;
  /** WebP, at most 512 px on its longer side, laid over white. */
  readonly thumbnail: Uint8Array;
  /** Part of the pixels that let something through, 0..1. */
  readonly transparent: number;
  readonly metadata: Metadata;
  /** The file is damaged: the picture is what could be read of it. */
  readonly repaired: boolean;
}

export interface IngestTask {
  readonly file: string;
  readonly of?: Kind;
}

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
