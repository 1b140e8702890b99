import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { Kind } from '../reference.entity';
import { NAMES_BLOB } from '../../platform/blobs/blobFields';

export const IMPORT_STATES = ['waiting', 'reading', 'done', 'question', 'refused', 'skipped'] as const;
export type ImportState = (typeof IMPORT_STATES)[number];

/** A file on its way into the library. It lies in the blob store, so a restart loses nothing. */
export const ImportFileEntity = defineEntity({
  name: 'ImportFile',
  tableName: 'import_file',
  properties: {
    id: p.string().primary(),
    name: p.string(),
    title: p.string(),
    kind: p.string().$type<Kind>().nullable(),
    state: p.string().$type<ImportState>().index(),
    /** Why it was refused, in words. */
    reason: p.text().nullable(),
    hash: p.string().comment(NAMES_BLOB),
    /** The reference that came of it. */
    referenceId: p.string().nullable(),
    /** The reference that it is a double of, and how sure that is. */
    twinId: p.string().nullable(),
    twinIs: p.string().$type<'the same file' | 'nearly the same'>().nullable(),
    createdAt: p.datetime().index(),
    clearedAt: p.datetime().nullable(),
  },
});
export type ImportFile = InferEntity<typeof ImportFileEntity>;
