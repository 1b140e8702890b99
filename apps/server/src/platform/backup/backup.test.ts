import { cp, mkdtemp, readdir, readFile, rm, stat, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import { pack } from 'tar-stream';
import { createWriteStream } from 'fs';
import { pipeline } from 'stream/promises';
import { runErrand } from '../../errands';
import { startProcess, ended } from '../../test/process';
import { allReferences, bringIn, newMix, openStudio, testPng, type TestStudio } from '../../test/studio';
import { blobsIn } from '../blobs/bin';
import { blobPath } from '../blobs/blobStore';
import { restoreBackup } from './archive';
import { backupsDir, listBackups, manifestOf, newestGoodBackup, poolDir } from './backups';
import type { BackupDto } from './backup.controller';
import { keepBlob } from './makeBackup';
import { UpkeepService } from './upkeep.service';

let folder: string;
let studio: TestStudio;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'));
  studio = await openStudio(path.join(folder, 'data'));
  await newMix(studio, await bringIn(studio, 1));
  await studio.jobs.idle();
});
afterAll(async () => {
  await studio.close();
  await rm(folder, { recursive: true, force: true });
});

const make = async () => (await studio.ask.post('/api/v1/backups').expect(201)).body as BackupDto;

test('a backup holds the database and every file that it names; unchanged files are not copied again', async () => {
  const first = await make();
  expect(first.files).toBeGreaterThanOrEqual(3);
  const hash = manifestOf(path.join(backupsDir(studio.dataDir), first.name))!.blobs[0].hash;
  const kept = await stat(blobPath(poolDir(studio.dataDir), hash));
  await bringIn(studio, 2);
  await studio.jobs.idle();
  const second = await make();
  expect(second.files).toBeGreaterThan(first.files);
  expect((await stat(blobPath(poolDir(studio.dataDir), hash))).ino).toBe(kept.ino);
  expect(((await studio.ask.get('/api/v1/backups').expect(200)).body as BackupDto[]).map((b) => b.name)).toEqual([
    second.name,
    first.name,
  ]);
  expect(newestGoodBackup(studio.dataDir)).toContain(second.name);
});

describe('a file that is put beside the backups', () => {
  const from = () => path.join(folder, 'from');
  const to = (name: string) => path.join(folder, 'beside', name);
  const refuses = (code: string) => () => Promise.reject(Object.assign(new Error(code), { code }));
  beforeEach(() => writeFile(from(), 'pixels'));

  test('is only named twice where the disk can', async () => {
    await keepBlob(from(), to('a'));
    expect((await stat(to('a'))).ino).toBe((await stat(from())).ino);
  });

  test('is copied where it cannot, as to another disk', async () => {
    await keepBlob(from(), to('b'), refuses('EXDEV'));
    expect(await readFile(to('b'), 'utf8')).toBe('pixels');
    expect((await stat(to('b'))).ino).not.toBe((await stat(from())).ino);
  });

  test('is left as it is where it is there already, or comes there meanwhile', async () => {
    await writeFile(to('c'), 'kept');
    await keepBlob(from(), to('c'));
    expect(await readFile(to('c'), 'utf8')).toBe('kept');
    await keepBlob(from(), to('d'), refuses('EEXIST'));
    expect(await stat(to('d')).catch(() => 'none')).toBe('none');
  });

  test.each(['ENOSPC', 'ENOENT'])('is not given up on quietly: %s', async (code) => {
    await expect(keepBlob(from(), to('e'), refuses(code))).rejects.toThrow(code);
  });
});

test('backups are kept by count, and what none of them names goes', async () => {
  for (let k = 0; k < 8; k++) await make();
  expect(listBackups(studio.dataDir)).toHaveLength(7);
  const named = new Set(
    listBackups(studio.dataDir).flatMap((name) =>
      manifestOf(path.join(backupsDir(studio.dataDir), name))!.blobs.map((b) => b.hash),
    ),
  );
  await make();
  expect(new Set(await blobsIn(poolDir(studio.dataDir)))).toEqual(named);
});

test('one is due after a day, not before', async () => {
  const upkeep = studio.app.get(UpkeepService);
  await make();
  expect(upkeep.isDue()).toBe(false);
  expect(upkeep.isDue(Date.now() + 25 * 3600 * 1000)).toBe(true);
});

test('two who ask at once get one backup', async () => {
  const [a, b] = await Promise.all([make(), make()]);
  expect(a.name).toBe(b.name);
});

describe('one file', () => {
  const file = () => path.join(folder, 'studio.tar');
  const restored = () => path.join(folder, 'restored');
  afterEach(async () => {
    await rm(restored(), { recursive: true, force: true });
    await rm(file(), { force: true });
  });

  test('written through the server that runs, restored into a new folder, is the same studio', async () => {
    const dataDir = path.join(folder, 'other');
    const running = await startProcess(dataDir);
    const form = new FormData();
    form.append('file', new Blob([new Uint8Array(await testPng(90, 60, 4))]), 'marsh.png');
    await fetch(`${running.url}/api/v1/references`, { method: 'POST', body: form });
    expect(await runErrand({ kind: 'backup', file: file(), dataDir })).toContain(file());
    await expect(runErrand({ kind: 'backup', file: file(), dataDir })).rejects.toThrow(/exists already/);
    const gone = ended(running.child);
    running.child.kill('SIGKILL');
    await gone;
    expect(await runErrand({ kind: 'restore', file: file(), dataDir: restored() })).toMatch(/verified it: \d+ files/);
    const again = await openStudio(restored());
    expect((await allReferences(again)).map((r) => r.title)).toEqual(['marsh']);
    await again.close();
  });

  test('written when nobody holds the folder', async () => {
    const dataDir = path.join(folder, 'third');
    const one = await openStudio(dataDir);
    await bringIn(one, 5);
    await one.close();
    await runErrand({ kind: 'backup', file: file(), dataDir });
    const { blobs } = await restoreBackup(file(), restored());
    expect(blobs).toBeGreaterThanOrEqual(3);
  });

  test('is refused where a byte has changed, where it is cut off, and where it is something else; nothing is left behind', async () => {
    const name = (await make()).name;
    const source = path.join(backupsDir(studio.dataDir), name);
    // of a folder of backups: a spoilt picture
    const copy = path.join(folder, 'copy', 'backups', name);
    await cp(backupsDir(studio.dataDir), path.dirname(copy), { recursive: true });
    const hash = manifestOf(source)!.blobs[0].hash;
    const blob = blobPath(path.join(path.dirname(copy), 'blobs'), hash);
    const bytes = await readFile(blob);
    bytes[bytes.length >> 1] ^= 1;
    await rm(blob);
    await writeFile(blob, bytes);
    await expect(restoreBackup(copy, restored())).rejects.toThrow(/is damaged: picture .* is not what it was/);
    await runErrandBackup(file());
    const whole = await readFile(file());
    await writeFile(file(), whole.subarray(0, whole.length * 0.7));
    await expect(restoreBackup(file(), restored())).rejects.toThrow(/cannot be restored|damaged/);
    await writeFile(file(), 'only words');
    await expect(restoreBackup(file(), restored())).rejects.toThrow();
    await expect(restoreBackup(path.join(folder, 'nowhere'), restored())).rejects.toThrow(/no backup at/);
    await expect(restoreBackup(source, studio.dataDir)).rejects.toThrow(/is not empty/);
    expect(await readdir(folder)).not.toContain('restored');
    expect((await readdir(folder)).filter((n) => n.endsWith('.half'))).toEqual([]);
  });

  test('with paths that lead out of the folder is refused', async () => {
    const archive = pack();
    archive.entry({ name: '../../outside' }, 'evil');
    archive.finalize();
    await pipeline(archive, createWriteStream(file()));
    await expect(restoreBackup(file(), restored())).rejects.toThrow(
      /is not a backup of Urbild: it holds “\.\.\/\.\.\/outside”/,
    );
  });

  const runErrandBackup = async (to: string) => {
    const dataDir = path.join(folder, 'fourth');
    const one = await openStudio(dataDir);
    await bringIn(one, 6);
    await one.close();
    await runErrand({ kind: 'backup', file: to, dataDir });
  };
});
