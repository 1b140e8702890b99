import type { MikroORM } from '@mikro-orm/core';
import { ReferenceEntity } from '../../library/reference.entity';
import { TakeEntity } from '../../takes/take.entity';
import type { BlobStore } from '../blobs/blobStore';

/** Removes blobs that no reference and no take points at (deleted ones count as long as their row is there). */
export async function sweepOrphans(orm: MikroORM, blobs: BlobStore): Promise<void> {
  const em = orm.em.fork();
  const used = new Set<string | null | undefined>();
  const references = await em.find(
    ReferenceEntity,
    {},
    { fields: ['originalHash', 'pictureHash', 'thumbnailHash', 'descriptorsHash'] },
  );
  for (const r of references)
    [r.originalHash, r.pictureHash, r.thumbnailHash, r.descriptorsHash].forEach((h) => used.add(h));
  const takes = await em.find(TakeEntity, {}, { fields: ['pictureHash', 'thumbnailHash', 'descriptorsHash'] });
  for (const t of takes) [t.pictureHash, t.thumbnailHash, t.descriptorsHash].forEach((h) => used.add(h));
  await blobs.sweep((hash) => used.has(hash));
}
