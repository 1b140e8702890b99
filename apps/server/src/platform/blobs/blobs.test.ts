import { mkdtemp, mkdir, readdir, rm, utimes, writeFile, stat } from 'fs/promises';
import { get } from 'http';
import os from 'os';
import path from 'path';
import { MikroORM, type SqlEntityManager } from '@mikro-orm/better-sqlite';
import { databaseOptions } from '../database/options';
import { bringIn, openStudio, testPng } from '../../test/studio';
import { blobsIn, sweep } from './bin';
import { blobFields, NAMES_BLOB, NAMES_BLOBS_INSIDE, NO_BLOB } from './blobFields';
import { BlobStore, blobPath } from './blobStore';
import { disk } from './disk';
import { ENTITIES } from '../../entities';

const openFiles = async () => (await readdir('/proc/self/fd')).length;
const linux = process.platform === 'linux' ? test : test.skip;

describe('downloads', () => {
  linux('that are broken off leave no file open, and a picture that vanishes ends no process', async () => {
    const studio = await openStudio();
    const { port } = studio.app.getHttpServer().address() as { port: number };
    const blobs = studio.app.get(BlobStore);
    const hash = await blobs.put(Buffer.alloc(6_000_000, 7));
    const breakOff = () =>
      new Promise<void>((resolve) => {
        const call = get({ port, host: '127.0.0.1', path: `/api/v1/blobs/${hash}`, agent: false }, (response) => {
          response.once('data', () => {
            call.destroy();
            resolve();
          });
        });
        call.on('error', () => resolve());
      });
    for (let k = 0; k < 5; k++) await breakOff();
    await new Promise((resolve) => setTimeout(resolve, 300));
    const before = await openFiles();
    for (let k = 0; k < 60; k++) await breakOff();
    for (let k = 0; k < 50 && (await openFiles()) > before + 3; k++) await new Promise((r) => setTimeout(r, 100));
    expect(await openFiles()).toBeLessThanOrEqual(before + 3);

    const vanishing = studio.ask.get(`/api/v1/blobs/${hash}`).then(
      (r) => r.status,
      () => 0,
    );
    await rm(blobPath(blobs.dir, hash));
    expect([200, 404, 0]).toContain(await vanishing);
    await studio.ask.get(`/api/v1/blobs/${hash}`).expect(404);
    await studio.ask.get('/api/v1/studio').expect(200);
    await studio.close();
  });
});

describe('what is promised', () => {
  afterEach(() => jest.restoreAllMocks());

  test('before an upload is answered its file is synced, renamed, its folder synced, and then the database has it', async () => {
    const studio = await openStudio();
    const steps: string[] = [];
    for (const step of ['syncFile', 'writeSynced', 'rename', 'syncFolder'] as const) {
      const real = disk[step] as (...args: unknown[]) => Promise<void>;
      jest.spyOn(disk, step).mockImplementation(async (...args: unknown[]) => {
        await real(...args);
        steps.push(step);
      });
    }
    const connection = studio.app.get(MikroORM).em.getConnection();
    const commit = connection.transactional.bind(connection);
    jest.spyOn(connection, 'transactional').mockImplementation(async (...args: Parameters<typeof commit>) => {
      const result = await commit(...args);
      steps.push('commit');
      return result;
    });
    await studio.ask
      .post('/api/v1/imports')
      .attach('file', await testPng(50, 40, 77), 'a.png')
      .expect(201);
    const answered = [...steps, 'answer'];
    const order = ['syncFile', 'rename', 'syncFolder', 'commit', 'answer'].map((step) => answered.lastIndexOf(step));
    expect(order).not.toContain(-1);
    expect(answered.indexOf('syncFile')).toBeLessThan(answered.indexOf('rename'));
    expect(answered.indexOf('rename')).toBeLessThan(answered.indexOf('syncFolder', answered.indexOf('rename')));
    expect(answered.indexOf('syncFolder', answered.indexOf('rename'))).toBeLessThan(answered.indexOf('commit'));
    const [{ synchronous }] = await studio.app
      .get(MikroORM)
      .em.getConnection()
      .execute<{ synchronous: number }[]>('pragma synchronous');
    expect(synchronous).toBe(2); // FULL
    await studio.close();
  });

  test('two who put the same bytes at once both wait until they are lasting', async () => {
    const dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'));
    const blobs = new BlobStore({ dataDir: dir } as never);
    await blobs.prepare();
    let synced = 0;
    const real = disk.syncFolder;
    jest.spyOn(disk, 'syncFolder').mockImplementation(async (folder) => {
      await new Promise((resolve) => setTimeout(resolve, 40));
      await real(folder);
      synced++;
    });
    const first = blobs.put(Buffer.from('same'));
    await new Promise((resolve) => setTimeout(resolve, 60));
    await blobs.put(Buffer.from('same'));
    expect(synced).toBeGreaterThan(1);
    await first;
    expect(await readdir(blobs.tempDir)).toEqual([]);
    await rm(dir, { recursive: true });
  });
});

describe('the bin', () => {
  let dir: string;
  let blobs: BlobStore;
  const DAY = 24 * 3600 * 1000;
  beforeEach(async () => {
    dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'));
    blobs = new BlobStore({ dataDir: dir } as never);
    await blobs.prepare();
  });
  afterEach(() => rm(dir, { recursive: true, force: true }));
  const aged = async (text: string) => {
    const hash = await blobs.put(Buffer.from(text));
    const longAgo = new Date(Date.now() - 2 * DAY);
    await utimes(blobPath(blobs.dir, hash), longAgo, longAgo);
    return hash;
  };

  test('takes unused files that are a day old, gives them back when they are named again, and is emptied after 30 days', async () => {
    const [used, old] = [await aged('used'), await aged('old')];
    const fresh = await blobs.put(Buffer.from('fresh'));
    expect(await sweep(dir, new Set([used]))).toEqual({ binned: 1, recovered: 0, missing: 0, emptied: 0 });
    expect((await blobsIn(blobs.dir)).sort()).toEqual([used, fresh].sort());
    // its database comes back from a backup: so does the file
    expect(await sweep(dir, new Set([used, old]))).toMatchObject({ recovered: 1, missing: 0 });
    expect(await blobs.size(old)).toBe(3);
    await sweep(dir, new Set([used]), Date.now() + 2 * DAY);
    expect(await sweep(dir, new Set([used]), Date.now() + 40 * DAY)).toMatchObject({ emptied: 2 });
    expect((await stat(blobPath(blobs.dir, used))).size).toBe(4);
  });

  test('takes nothing where the database names nothing at all', async () => {
    await aged('all that there is');
    expect(await sweep(dir, new Set())).toEqual({ binned: 0, recovered: 0, missing: 0, emptied: 0 });
    expect(await blobsIn(blobs.dir)).toHaveLength(1);
  });

  test('does not take a file that somebody is about to name: storing it again makes it new', async () => {
    const old = await aged('old');
    const used = await aged('used');
    await blobs.put(Buffer.from('old'));
    expect(await sweep(dir, new Set([used]))).toMatchObject({ binned: 0 });
    expect(await blobs.has(old)).toBe(true);
  });

  test('strange files in the folders are left alone', async () => {
    await mkdir(path.join(blobs.dir, 'zz'), { recursive: true });
    await writeFile(path.join(blobs.dir, 'zz', 'note.txt'), 'mine');
    const used = await aged('used');
    await sweep(dir, new Set([used]), Date.now() + 90 * DAY);
    expect(await readdir(path.join(blobs.dir, 'zz'))).toEqual(['note.txt']);
  });
});

describe('what names a blob', () => {
  test('every field called a hash says what it names', async () => {
    const orm = await MikroORM.init(databaseOptions(':memory:', ENTITIES));
    const said = [NAMES_BLOB, NAMES_BLOBS_INSIDE, NO_BLOB];
    const silent = Object.values(orm.getMetadata().getAll()).flatMap((meta) =>
      meta.props
        .filter((p) => /hash$/i.test(p.name) && !said.includes(p.comment ?? ''))
        .map((p) => `${meta.className}.${p.name}`),
    );
    expect(silent).toEqual([]);
    await orm.close();
  });

  test('every column that holds a hash of a blob in a used studio is declared, masks of shots and plans among them', async () => {
    const studio = await openStudio();
    const reference = await bringIn(studio);
    const mask = (
      await studio.ask
        .post('/api/v1/masks')
        .attach('file', await testPng(40, 40, 5), 'm.png')
        .expect(201)
    ).body as { content: string };
    const region = { content: mask.content, invert: false, feather: 0.02 };
    const influence = (id: string) => ({
      id,
      referenceId: reference.id,
      gives: 'look',
      weight: 0.7,
      from: 0,
      to: 1,
      reading: 'normal',
      on: true,
      region,
    });
    const mix = (
      await studio.ask
        .post('/api/v1/mixes')
        .send({
          name: 'All of it',
          prompt: 'Ilse in the harbour',
          settings: {
            aspect: '3:2',
            seed: 1,
            balance: 1,
            mask: region,
            start: { of: 'reference', id: reference.id, change: 0.5 },
          },
          influences: [influence('a')],
        })
        .expect(201)
    ).body as { id: string };
    const own = { influences: [], added: [influence('own')] };
    const series = (
      await studio.ask
        .post('/api/v1/series')
        .send({ name: 'S', mixId: mix.id, shots: [{ title: 'One', prompt: 'Ilse at dusk' }] })
        .expect(201)
    ).body as { id: string; shots: { id: string; version: number }[] };
    const [shot] = series.shots;
    await studio.ask.patch(`/api/v1/shots/${shot.id}`).send({ version: shot.version, own }).expect(200);
    await studio.ask.post('/api/v1/takes').send({ mixId: mix.id, quality: 'draft' }).expect(201);
    await studio.ask
      .post(`/api/v1/series/${series.id}/shots/${shot.id}/tries`)
      .send({ label: 'nearer', plan: { prompt: 'Ilse, half figure', seed: 3, own } })
      .expect(201);
    await studio.ask
      .post('/api/v1/strips')
      .send({
        mixId: mix.id,
        axes: [{ setting: 'weight', influence: 'a', values: [0.2, 0.8] }],
        seriesId: series.id,
        shotIds: [shot.id],
      })
      .expect(201);
    const solve = (
      await studio.ask
        .post('/api/v1/solves')
        .send({ mixId: mix.id, targets: [{ influence: 'a', arrival: 0.5 }], seriesId: series.id, shotIds: [shot.id] })
        .expect(201)
    ).body as { id: string };
    await studio.ask.post(`/api/v1/solves/${solve.id}/stop`).expect(200);
    await studio.ask
      .post(`/api/v1/series/${series.id}/sequences`)
      .send({ name: 'Q', shotId: shot.id, frames: 8, move: { across: 0.3 } })
      .expect(201);
    // what is asked for is written down at once; pictures of one take are enough
    await studio.ask.post(`/api/v1/series/${series.id}/stop`).expect(200);
    await studio.jobs.idle();

    const orm = studio.app.get(MikroORM);
    const em = orm.em.fork() as SqlEntityManager;
    const declared = blobFields(orm).map((f) => `${f.table}.${f.column}`);
    const there = new Set(await blobsIn(path.join(studio.dataDir, 'blobs')));
    const undeclared = new Set<string>();
    for (const { name: table } of await em.execute<{ name: string }[]>(
      "select name from sqlite_master where type = 'table' and name not like 'sqlite%'",
    ))
      for (const row of await em.execute<Record<string, unknown>[]>(`select * from \`${table}\``))
        for (const [column, value] of Object.entries(row))
          for (const [hash] of String(value).matchAll(/[0-9a-f]{64}/g))
            if (there.has(hash) && !declared.includes(`${table}.${column}`)) undeclared.add(`${table}.${column}`);
    expect([...undeclared]).toEqual([]);
    expect(declared).toEqual(expect.arrayContaining(['shot.own', 'take.trial', 'sequence.state', 'strip.shots']));
    await studio.close();
  });
});
