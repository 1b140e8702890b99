import { sweep, type Swept } from '../blobs/bin';
import type { BlobField } from '../blobs/blobFields';
import { namedBlobs } from '../blobs/namedBlobs';
import { packBackup } from './archive';
import { makeBackup, type BackupWish } from './makeBackup';

/** What keeps a data folder in order, away from the event loop. */
export type UpkeepTask =
  | ({ readonly kind: 'backup' } & BackupWish)
  | { readonly kind: 'pack'; readonly dataDir: string; readonly name: string; readonly to: string }
  | {
      readonly kind: 'sweep';
      readonly dataDir: string;
      readonly database: string;
      readonly fields: readonly BlobField[];
    };

/** The entry of the upkeep thread. */
export default function run(task: UpkeepTask): Promise<string | void | Swept> {
  switch (task.kind) {
    case 'backup':
      return makeBackup(task);
    case 'pack':
      return packBackup(task.dataDir, task.name, task.to);
    case 'sweep':
      return sweep(task.dataDir, namedBlobs(task.database, task.fields));
  }
}
