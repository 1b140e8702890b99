import Database from 'better-sqlite3';
import { chmod, mkdtemp, readdir, rm, stat, truncate, unlink, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import { UpkeepService } from '../backup/upkeep.service';
import { blobsIn } from '../blobs/bin';
import { databaseFile } from '../database/options';
import { bringIn, openStudio } from '../../test/studio';
import { ended, startProcess } from '../../test/process';
import { FolderHeld, holderOf, holdFolder } from './lock';

let folder: string;
beforeEach(async () => (folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'))));
afterEach(() => rm(folder, { recursive: true, force: true }));

/** A studio with a picture and a backup, closed again. */
async function used(): Promise<number> {
  const studio = await openStudio(folder);
  await bringIn(studio);
  await studio.jobs.idle();
  await studio.app.get(UpkeepService).backup();
  await studio.close();
  return (await blobsIn(path.join(folder, 'blobs'))).length;
}

const refusal = () =>
  openStudio(folder).then(
    () => 'it started',
    (error: Error) => error.message,
  );

describe('a start on a folder that is not as it should be changes nothing and says what to do', () => {
  const file = () => databaseFile(folder);
  test.each([
    ['is missing', () => unlink(file())],
    ['is empty', () => truncate(file())],
    ['is damaged', async () => writeFile(file(), Buffer.alloc((await stat(file())).size, 'no database '))],
    [
      'was made by a newer version',
      async () => {
        const database = new Database(file());
        database.exec("insert into migration (name, executed_at) values ('999-later', 0)");
        database.close();
      },
    ],
    [
      'holds no studio',
      async () => {
        await unlink(file());
        const database = new Database(file());
        database.exec('create table notes (a)');
        database.close();
      },
    ],
  ])('the database %s', async (what, spoil) => {
    const pictures = await used();
    for (const side of ['-wal', '-shm']) await rm(file() + side, { force: true });
    await spoil();
    const message = await refusal();
    expect(message).toContain(file());
    expect(message).toContain(what);
    expect(message).toMatch(
      /Nothing in the folder was changed\. The newest good backup is \S+backups\S+: \.\/start --restore/,
    );
    expect(await blobsIn(path.join(folder, 'blobs'))).toHaveLength(pictures);
  });

  test('a page of the database that a disk has spoilt is found', async () => {
    await used();
    const { size } = await stat(file());
    const database = new Database(file());
    database.pragma('wal_checkpoint(TRUNCATE)');
    database.close();
    const { open } = await import('fs/promises');
    const handle = await open(file(), 'r+');
    for (let at = 8192; at < size; at += 4096) await handle.write(Buffer.alloc(2000, 255), 0, 2000, at);
    await handle.close();
    expect(await refusal()).toMatch(/is damaged/);
  });

  test('a folder that cannot be written to', async () => {
    if (process.getuid?.() === 0) return; // root may write anywhere
    await chmod(folder, 0o500);
    expect(await refusal()).toMatch(/cannot write into/);
    await chmod(folder, 0o700);
  });

  test('a new folder is just a new studio', async () => {
    await rm(folder, { recursive: true });
    const studio = await openStudio(folder);
    await studio.close();
    expect(await readdir(folder)).toContain('studio.sqlite');
  });
});

describe('one process holds a data folder', () => {
  test('a second one names the first, starts nothing, and leaves its temporary files alone', async () => {
    const studio = await openStudio(folder);
    await writeFile(path.join(folder, 'temp', 'half-an-upload'), 'x');
    expect(await refusal()).toContain(`process ${process.pid}`);
    expect(await readdir(path.join(folder, 'temp'))).toEqual(['half-an-upload']);
    await studio.close();
    const again = await openStudio(folder);
    await again.close();
  });

  test('what kills the process frees the folder', async () => {
    const first = await startProcess(folder);
    expect(holderOf(folder)).toMatchObject({ process: first.child.pid, url: first.url });
    expect(() => holdFolder(folder)).toThrow(FolderHeld);
    const gone = ended(first.child);
    first.child.kill('SIGKILL');
    await gone;
    holdFolder(folder).release();
  });
});
