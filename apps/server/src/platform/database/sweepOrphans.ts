import type { MikroORM } from '@mikro-orm/core';
import { ImportFileEntity } from '../../library/imports/importFile.entity';
import { ReferenceEntity } from '../../library/reference.entity';
import { TakeEntity } from '../../takes/take.entity';
import type { BlobStore } from '../blobs/blobStore';

/** Hashes of all masks that mixes, their versions, strips, searches and takes name. */
const MASKS = ['mix', 'mix_version', 'strip', 'solve', 'take']
  .map((table) => {
    const column = { mix: 'influences', take: 'origin' }[table] ?? 'state';
    const found = (json: string) =>
      `select j.value as content from ${table} t, json_tree(t.${json}) j where j.key = 'content' and length(j.value) = 64`;
    return table === 'mix' ? `${found(column)} union ${found('settings')}` : found(column);
  })
  .join(' union ');

/** Removes blobs that no reference and no take points at (deleted ones count as long as their row is there). */
export async function sweepOrphans(orm: MikroORM, blobs: BlobStore): Promise<void> {
  const em = orm.em.fork();
  const used = new Set<string | null | undefined>();
  const references = await em.find(
    ReferenceEntity,
    {},
    {
      fields: ['originalHash', 'sourceHash', 'pictureHash', 'thumbnailHash', 'descriptorsHash', 'faceHash', 'history'],
    },
  );
  for (const r of references) {
    [r.originalHash, r.sourceHash, r.pictureHash, r.thumbnailHash, r.descriptorsHash, r.faceHash].forEach((h) =>
      used.add(h),
    );
    for (const v of r.history)
      [v.originalHash, v.sourceHash, v.pictureHash, v.thumbnailHash].forEach((h) => used.add(h));
  }
  for (const f of await em.find(ImportFileEntity, { clearedAt: null }, { fields: ['hash'] })) used.add(f.hash);
  const takes = await em.find(TakeEntity, {}, { fields: ['pictureHash', 'thumbnailHash', 'descriptorsHash'] });
  for (const { content } of await em.getConnection().execute<{ content: string }[]>(MASKS)) used.add(content);
  for (const t of takes) [t.pictureHash, t.thumbnailHash, t.descriptorsHash].forEach((h) => used.add(h));
  await blobs.sweep((hash) => used.has(hash));
}
