import { mkdtemp, readdir, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import { MikroORM } from '@mikro-orm/better-sqlite';
import request from 'supertest';
import { ended, startProcess } from '../test/process';
import { allReferences, bringIn, newMix, openStudio, testPng } from '../test/studio';
import type { TakeDto } from '../takes/take.dto';
import { BlobStore, blobPath } from './blobs/blobStore';
import { addressOf, readConfig, StartError } from './config';
import { databaseFile, databaseOptions } from './database/options';
import { prepareDatabase } from './database/prepareDatabase';
import { ENTITIES } from '../entities';

let folder: string;
beforeEach(async () => (folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'))));
afterEach(() => rm(folder, { recursive: true, force: true }));

describe('the command line', () => {
  test('has good defaults and takes what it is told', () => {
    expect(readConfig([], '/studio')).toMatchObject({
      port: 4310,
      host: '127.0.0.1',
      dataDir: '/studio/data',
      demo: true,
    });
    expect(readConfig(['--port', '5000', '--data', '/elsewhere', '--no-demo'], '/studio')).toMatchObject({
      port: 5000,
      dataDir: '/elsewhere',
      demo: false,
    });
    const empty = readConfig(['--empty'], '/studio');
    expect(empty).toMatchObject({ demo: false });
    expect((empty as { dataDir: string }).dataDir).toContain(os.tmpdir());
    expect(readConfig(['--help'], '/studio')).toBe('help');
  });

  test('lets others in only when it is told to share', () => {
    const shared = ['--share', '--host', '0.0.0.0', '--public-url', 'https://studio.example'];
    expect(readConfig(shared, '/studio')).toMatchObject({
      host: '0.0.0.0',
      share: { publicUrl: 'https://studio.example' },
    });
    expect(readConfig([], '/studio')).not.toHaveProperty('share');
    const owner = ['--make-owner', 'Petra', '--data', '/elsewhere'];
    expect(readConfig(owner, '/studio')).toEqual({ kind: 'owner', name: 'Petra', dataDir: '/elsewhere' });
  });

  test.each([
    ['--port', 'many'],
    ['--port', '99999'],
    ['--host', '0.0.0.0'],
    ['--nonsense', ''],
    ['--empty', '--data', '/elsewhere'],
    ['--restore', '/a.tar'],
    ['--backup', '/a.tar', '--restore', '/b.tar'],
    ['--make-owner', 'Petra', '--backup', '/a.tar'],
    ['--public-url', 'https://studio.example'],
  ])('refuses %s %s', (...args) => {
    expect(() => readConfig(args.filter(Boolean), '/studio')).toThrow(StartError);
  });
});

test('an address of a host with colons stands in brackets', () => {
  expect(addressOf('::1', 4310)).toBe('http://[::1]:4310');
  expect(addressOf('127.0.0.1', 80)).toBe('http://127.0.0.1:80');
});

describe('blobs', () => {
  const store = () => new BlobStore({ dataDir: folder } as never);

  test('are stored once under their SHA-256, and read back', async () => {
    const blobs = store();
    await blobs.prepare();
    const hash = await blobs.put(Buffer.from('abc'));
    expect(hash).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
    expect(await blobs.put(Buffer.from('abc'))).toBe(hash);
    expect(await blobs.size(hash)).toBe(3);
    expect(await readdir(blobs.tempDir)).toEqual([]);
    expect(() => blobPath(blobs.dir, '../../etc')).toThrow(RangeError);
  });

  test('temporary files that a crash left are removed at once', async () => {
    const blobs = store();
    await blobs.prepare();
    await writeFile(blobs.temporaryPath(), 'half');
    await blobs.prepare();
    expect(await readdir(blobs.tempDir)).toEqual([]);
  });
});

describe('the database', () => {
  test('keeps a copy before it migrates what is there', async () => {
    const file = databaseFile(folder);
    const first = await MikroORM.init(databaseOptions(file, ENTITIES));
    await prepareDatabase(first, file);
    expect(await readdir(folder)).not.toContain('backups');
    await first.close();
    const options = databaseOptions(file, ENTITIES);
    const { Migration } = await import('@mikro-orm/migrations');
    class Next extends Migration {
      override up(): void {
        this.addSql('create table `later` (`id` integer)');
      }
    }
    const second = await MikroORM.init({
      ...options,
      migrations: {
        ...options.migrations,
        migrationsList: [...options.migrations!.migrationsList!, { name: '999-later', class: Next }],
      },
    });
    await prepareDatabase(second, file);
    expect(await readdir(path.join(folder, 'backups'))).toEqual([
      expect.stringMatching(/^studio-before-999-later-\d+\.sqlite$/),
    ]);
    await second.close();
  });

  test('the schema of the entities is that of the migrations', async () => {
    const orm = await MikroORM.init(databaseOptions(path.join(folder, 'x.sqlite'), ENTITIES));
    await orm.getMigrator().up();
    const fresh = await MikroORM.init(databaseOptions(':memory:', ENTITIES));
    await fresh.schema.createSchema();
    // columns that were added later have a default in the database; all else is the same
    const columns = async (db: MikroORM, table: string) =>
      (
        await db.em
          .getConnection()
          .execute<{ name: string; type: string; notnull: number }[]>(`pragma table_info(\`${table}\`)`)
      )
        .map(({ name, type, notnull }) => `${name} ${type} ${notnull}`)
        .sort();
    const tables = Object.values(orm.getMetadata().getAll()).map((m) => m.tableName);
    expect(tables.length).toBeGreaterThan(10);
    for (const table of tables)
      expect([table, await columns(orm, table)]).toEqual([table, await columns(fresh, table)]);
    await fresh.close();
    await orm.close();
  });
});

test('killed in the middle of a render, the studio goes on with it after the next start', async () => {
  const setup = await openStudio(folder);
  const mix = await newMix(setup, await bringIn(setup));
  await setup.close();

  const first = await startProcess(folder);
  const { body } = await request(first.url).post('/api/v1/takes').send({ mixId: mix.id, quality: 'proof' }).expect(201);
  const take = body as TakeDto;
  const statusAt = async (url: string) => ((await request(url).get(`/api/v1/takes/${take.id}`)).body as TakeDto).status;
  while ((await statusAt(first.url)) !== 'rendering') await new Promise((resolve) => setTimeout(resolve, 50));
  const gone = ended(first.child);
  first.child.kill('SIGKILL');
  await gone;

  const second = await startProcess(folder);
  expect(((await request(second.url).get('/api/v1/references/search')).body as { total: number }).total).toBe(1);
  for (let i = 0; i < 400 && (await statusAt(second.url)) !== 'done'; i++)
    await new Promise((resolve) => setTimeout(resolve, 100));
  const done = (await request(second.url).get(`/api/v1/takes/${take.id}`)).body as TakeDto;
  expect(done.status).toBe('done');
  await request(second.url).get(done.pictureUrl!).expect(200);
  const stopped = ended(second.child);
  second.child.kill('SIGINT');
  expect(
    await Promise.race([stopped, new Promise((resolve) => setTimeout(() => resolve('still running'), 8000))]),
  ).not.toBe('still running');
});

test('pictures that are brought in at once all arrive', async () => {
  const studio = await openStudio();
  await Promise.all(
    Array.from({ length: 6 }, async (_, k) =>
      studio.ask
        .post('/api/v1/references')
        .attach('file', await testPng(90, 60, 200 + k), `${k}.png`)
        .expect(201),
    ),
  );
  expect(await allReferences(studio)).toHaveLength(6);
  await studio.close();
});
