import type { IngestResult } from './tasks/ingest';
import type { Reference } from './reference.entity';

/** The measured fields of a reference. */
export const measured = (
  read: Pick<IngestResult, 'swatches' | 'perceptualHash' | 'checks' | 'checkState' | 'reading' | 'derivedWords'>,
) => ({
  swatches: [...read.swatches],
  perceptualHash: read.perceptualHash,
  checks: [...read.checks],
  checkState: read.checkState,
  reading: read.reading,
  derivedWords: read.derivedWords,
});

/** The vectors of a reference as the database keeps them. */
export const vectorsOf = ({ vectors: { likeness, mirrored, style } }: Pick<IngestResult, 'vectors'>) => ({
  likeness: Buffer.from(likeness.buffer, likeness.byteOffset, likeness.byteLength),
  mirrored: Buffer.from(mirrored.buffer, mirrored.byteOffset, mirrored.byteLength),
  style: Buffer.from(style.buffer, style.byteOffset, style.byteLength),
});

/** The hashes of a reference that its versions keep. */
export const versionHashes = ({
  sourceHash,
  pictureHash,
  thumbnailHash,
}: Pick<Reference, 'sourceHash' | 'pictureHash' | 'thumbnailHash'>) => ({
  sourceHash,
  pictureHash,
  thumbnailHash,
});
