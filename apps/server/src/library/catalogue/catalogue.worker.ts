import { hashDistance, NEAR_DOUBLE, NEAR_DOUBLE_BITS } from '@urbild/core';
import type { CatalogueQuery, RowVectors } from './catalogue';
import { CatalogueReader } from './catalogueReader';

/** A question to the catalogue; answered as JSON bytes, so that the server only passes them on. */
export type CatalogueTask =
  | { readonly ask: 'search'; readonly file: string; readonly words?: string; readonly query: CatalogueQuery }
  | { readonly ask: 'double'; readonly file: string; readonly vectors: RowVectors; readonly hash: string };

const readers = new Map<string, CatalogueReader>();

function readerOf(file: string): CatalogueReader {
  let reader = readers.get(file);
  if (!reader) readers.set(file, (reader = new CatalogueReader(file)));
  return reader;
}

/** The entry of the catalogue's thread. */
export default function run(task: CatalogueTask): Uint8Array | readonly string[] {
  const reader = readerOf(task.file);
  reader.refresh();
  if (task.ask === 'double') return doublesOf(reader, task.vectors, task.hash);
  const since = performance.now();
  const found = task.words ? reader.find(task.words) : undefined;
  const { ids, aspects, facets } = reader.catalogue.ask({ ...task.query, found });
  const took = Math.round((performance.now() - since) * 10) / 10;
  return Buffer.from(JSON.stringify({ total: ids.length, all: reader.catalogue.size, ids, aspects, facets, took }));
}

/** The most references that are looked at more closely. */
const CANDIDATES = 6;

/** The references that a new picture may be one with, the nearest first. */
function doublesOf(reader: CatalogueReader, vectors: RowVectors, hash: string): readonly string[] {
  const near = reader.catalogue.nearestTo(vectors, 'content', 20).filter(({ id, score }) => {
    const row = reader.catalogue.get(id);
    if (!row || row.away) return false;
    const bits = hashDistance(row.hash, hash);
    return (score >= NEAR_DOUBLE && bits <= 16) || (bits <= NEAR_DOUBLE_BITS && score >= 0.9);
  });
  return near.slice(0, CANDIDATES).map(({ id }) => id);
}
