import type { MikroORM } from '@mikro-orm/core';

/**
 * Every field of an entity that holds a hash says by its comment what the hash names. Sweeping, backing up and checking go by these
 * declarations alone; a test fails for a field that holds a hash and says nothing.
 */
export const NAMES_BLOB = 'names a blob';
/** JSON that may name blobs anywhere: every 64 hexadecimal digits in it count. */
export const NAMES_BLOBS_INSIDE = 'names blobs inside';
/** A hash of something that is no blob. */
export const NO_BLOB = 'a hash of something else';

/** A column that names blobs. */
export interface BlobField {
  readonly table: string;
  readonly column: string;
  /** JSON with hashes in it; the hash itself otherwise. */
  readonly inside: boolean;
}

/** All columns of the database that name blobs. */
export const blobFields = (orm: MikroORM): BlobField[] =>
  Object.values(orm.getMetadata().getAll()).flatMap((meta) =>
    meta.props.flatMap((prop) =>
      prop.comment === NAMES_BLOB || prop.comment === NAMES_BLOBS_INSIDE
        ? [{ table: meta.tableName, column: prop.fieldNames[0], inside: prop.comment === NAMES_BLOBS_INSIDE }]
        : [],
    ),
  );
