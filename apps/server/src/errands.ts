import { MikroORM } from '@mikro-orm/better-sqlite';
import { existsSync } from 'fs';
import { askPassword, makeOwner } from './people/ownerErrand';
import { packBackup, restoreBackup } from './platform/backup/archive';
import { makeBackup } from './platform/backup/makeBackup';
import { KEPT_BACKUPS } from './platform/backup/upkeep.service';
import { blobFields } from './platform/blobs/blobFields';
import { StartError, type Errand } from './platform/config';
import { MIGRATIONS } from './platform/database/migrations';
import { databaseFile, databaseOptions } from './platform/database/options';
import { checkFolder } from './platform/folder/checkFolder';
import { FolderHeld, holdFolder } from './platform/folder/lock';
import { ENTITIES } from './entities';

/** Does what the command line asks instead of a studio; returns what to say. */
export async function runErrand(errand: Errand): Promise<string> {
  const { kind, dataDir } = errand;
  if (kind === 'owner') return ownerOf(dataDir, errand.name);
  const { file } = errand;
  if (kind === 'restore') {
    const { made, blobs, missing } = await restoreBackup(file, dataDir);
    const lost = missing ? ` ${missing} files were missing already when the backup was made.` : '';
    return `Restored the backup of ${made} into ${dataDir} and verified it: ${blobs} files.${lost} Start it with ./start --data ${dataDir}`;
  }
  if (existsSync(file))
    throw new StartError(`--backup: ${file} exists already. Choose another name; nothing was overwritten.`);
  if (!existsSync(databaseFile(dataDir))) throw new StartError(`--backup: there is no studio in ${dataDir}.`);
  const name = await backupOf(dataDir);
  await packBackup(dataDir, name, file);
  return `Wrote the backup ${file}.`;
}

/** Makes the first owner of the studio in a folder that nobody holds. */
async function ownerOf(dataDir: string, name: string): Promise<string> {
  const hold = holdFolder(dataDir);
  try {
    const database = checkedDatabase(dataDir);
    const options = databaseOptions(database, ENTITIES);
    return await makeOwner({ dataDir, name, options, password: await askPassword() });
  } finally {
    hold.release();
  }
}

/** Makes a backup in a data folder: through the server that holds it, or here when nobody does. */
async function backupOf(dataDir: string): Promise<string> {
  let hold;
  try {
    hold = holdFolder(dataDir);
  } catch (error) {
    if (!(error instanceof FolderHeld) || !error.holder?.url) throw error;
    const answer = await fetch(`${error.holder.url}/api/v1/backups`, {
      method: 'POST',
      headers: { Authorization: `Bearer ${error.holder.key}` },
    });
    const body = (await answer.json()) as { name?: string; detail?: string };
    if (!answer.ok || !body.name)
      throw new StartError(`The running studio made no backup: ${body.detail ?? answer.status}`);
    return body.name;
  }
  try {
    const database = checkedDatabase(dataDir);
    const orm = await MikroORM.init({ ...databaseOptions(':memory:', ENTITIES) });
    const fields = blobFields(orm);
    await orm.close();
    return await makeBackup({ dataDir, database, fields, keep: KEPT_BACKUPS });
  } finally {
    hold.release();
  }
}

/** The database of a folder that this process holds. Throws a `StartError` where it is not one that this version can work on. */
function checkedDatabase(dataDir: string): string {
  const database = databaseFile(dataDir);
  checkFolder(
    dataDir,
    database,
    MIGRATIONS.map((m) => m.name),
  );
  return database;
}
