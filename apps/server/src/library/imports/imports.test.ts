import sharp from 'sharp';
import { allReferences, openStudio, testPixels, testPng, type TestStudio } from '../../test/studio';
import type { ImportFileDto } from './import.dto';

let studio: TestStudio;
beforeAll(async () => (studio = await openStudio()));
afterAll(() => studio.close());

const send = async (bytes: Buffer, name: string, id?: string) => {
  const call = studio.ask.post('/api/v1/imports').attach('file', bytes, name);
  if (id) call.field('id', id);
  return (await call.expect(201)).body as ImportFileDto;
};
const list = async () => (await studio.ask.get('/api/v1/imports').expect(200)).body as ImportFileDto[];
const find = async (id: string) => (await list()).find((f) => f.id === id)!;

test('a file is handed over at once and read in the background', async () => {
  const sent = await send(await testPng(200, 140, 3), 'salt_marsh.png');
  expect(['waiting', 'reading']).toContain(sent.state);
  await studio.jobs.idle();
  const done = await find(sent.id);
  expect(done).toMatchObject({ state: 'done', name: 'salt_marsh.png' });
  const [reference] = await allReferences(studio);
  expect(reference).toMatchObject({ id: done.referenceId, title: 'salt marsh', width: 200, height: 140 });
});

test('a file that is sent again after a break is taken once', async () => {
  const id = '018f2b3c-1111-4222-8333-444455556666';
  const bytes = await testPng(210, 140, 9);
  await send(bytes, 'once.png', id);
  await send(bytes, 'once.png', id);
  await studio.jobs.idle();
  expect((await list()).filter((f) => f.name === 'once.png')).toHaveLength(1);
  await studio.ask.post('/api/v1/imports').attach('file', bytes, 'x.png').field('id', 'no-uuid').expect(400);
});

test('what is no picture is refused with a reason, and stays on the list until it is cleared', async () => {
  const sent = await send(Buffer.from('only words'), 'words.png');
  await studio.jobs.idle();
  expect(await find(sent.id)).toMatchObject({
    state: 'refused',
    reason: expect.stringMatching(/not a picture/) as string,
  });
  await studio.ask.post('/api/v1/imports/clear').expect(204);
  expect(await list()).toEqual([]);
});

describe('doubles', () => {
  const near = async (seed: number) => {
    const { data, raw } = testPixels(240, 160, seed);
    return sharp(data, { raw }).resize(200, 133).jpeg({ quality: 90 }).toBuffer();
  };
  test('the same file is asked about, and skipped', async () => {
    const bytes = await testPng(240, 160, 41);
    await send(bytes, 'first.png');
    await studio.jobs.idle();
    const count = (await allReferences(studio)).length;
    const again = await send(bytes, 'again.png');
    await studio.jobs.idle();
    expect(await find(again.id)).toMatchObject({
      state: 'question',
      twinIs: 'the same file',
      twin: { title: 'first' },
    });
    await studio.ask
      .post('/api/v1/imports/decide')
      .send({ ids: [again.id], decision: 'skip' })
      .expect(200);
    expect((await find(again.id)).state).toBe('skipped');
    expect(await allReferences(studio)).toHaveLength(count);
  });

  test('nearly the same is asked about; both are kept', async () => {
    const count = (await allReferences(studio)).length;
    const sent = await send(await near(41), 'smaller.jpg');
    await studio.jobs.idle();
    expect(await find(sent.id)).toMatchObject({ state: 'question', twinIs: 'nearly the same' });
    await studio.ask
      .post('/api/v1/imports/decide')
      .send({ ids: [sent.id], decision: 'keep both' })
      .expect(200);
    expect(await find(sent.id)).toMatchObject({ state: 'done' });
    expect(await allReferences(studio)).toHaveLength(count + 1);
  });

  test('a redrawn file replaces: a new version of the same reference, the old one can be gone back to', async () => {
    await send(await testPng(240, 160, 52), 'map.png');
    await studio.jobs.idle();
    const before = (await allReferences(studio, '?words=map'))[0];
    const sent = await send(await near(52), 'map new.jpg');
    await studio.jobs.idle();
    await studio.ask
      .post('/api/v1/imports/decide')
      .send({ ids: [sent.id], decision: 'replace' })
      .expect(200);
    const after = (await allReferences(studio, '?words=map'))[0];
    expect(after.id).toBe(before.id);
    expect(after.pictureUrl).not.toBe(before.pictureUrl);
    expect(after).toMatchObject({ width: 200, height: 133, format: 'jpeg' });
    const versions = (await studio.ask.get(`/api/v1/references/${after.id}/versions`).expect(200)).body as {
      number: number;
      why: string;
    }[];
    expect(versions.map((v) => v.why)).toEqual(['redrawn', 'brought in']);
    const back = await studio.ask
      .post(`/api/v1/references/${after.id}/versions/1?version=${after.version}`)
      .expect(200);
    expect((back.body as { pictureUrl: string }).pictureUrl).toBe(before.pictureUrl);
    await studio.ask.post(`/api/v1/references/${after.id}/versions/1?version=${after.version}`).expect(409);
  });

  test('different pictures are no doubles', async () => {
    const night = { create: { width: 240, height: 160, channels: 3 as const, background: { r: 20, g: 24, b: 60 } } };
    const moon = Buffer.from('<svg width="60" height="60"><circle cx="30" cy="30" r="28" fill="#f5e9c0"/></svg>');
    const other = await sharp(night)
      .composite([{ input: moon, left: 30, top: 20 }])
      .png()
      .toBuffer();
    const sent = await send(other, 'other.png');
    await studio.jobs.idle();
    expect((await find(sent.id)).state).toBe('done');
  });
});

test('transparency, orientation and what the file says of itself come along', async () => {
  const half = await sharp({
    create: { width: 300, height: 200, channels: 4, background: { r: 200, g: 90, b: 40, alpha: 0 } },
  })
    .composite([{ input: await testPng(150, 200, 5), left: 0, top: 0 }])
    .png()
    .toBuffer();
  const a = await send(half, 'half.png');
  const exif = await sharp(await testPng(300, 200, 91))
    .jpeg()
    .withExif({ IFD0: { Artist: 'Wenna Tarr', Copyright: 'all hers', ImageDescription: 'Low tide' } })
    .toBuffer();
  const b = await send(exif, 'signed.jpg');
  await studio.jobs.idle();
  const of = async (f: ImportFileDto) =>
    (await studio.ask.get(`/api/v1/references/${(await find(f.id)).referenceId}`).expect(200)).body as Record<
      string,
      unknown
    >;
  expect((await of(a)).checks).toContainEqual(expect.objectContaining({ id: 'transparency', fix: 'flatten' }));
  expect((await of(b)).metadata).toMatchObject({ creator: 'Wenna Tarr', rights: 'all hers', title: 'Low tide' });
  expect((await of(b)).rights).toMatchObject({ kind: 'not cleared', credit: 'Wenna Tarr' });
});

test('files in line are read after a restart', async () => {
  const own = await openStudio(`${studio.dataDir}-restart`);
  await own.ask
    .post('/api/v1/imports')
    .attach('file', await testPng(260, 150, 61), 'late.png')
    .expect(201);
  await own.close();
  const again = await openStudio(`${studio.dataDir}-restart`);
  await again.jobs.idle();
  expect((await allReferences(again)).map((r) => r.title)).toEqual(['late']);
  await again.close();
});

describe('at the same moment', () => {
  test('the same file eight times is one reference', async () => {
    const bytes = await testPng(260, 150, 71);
    const answers = await Promise.all(
      Array.from({ length: 8 }, () =>
        studio.ask.post('/api/v1/references').attach('file', bytes, 'one.png').expect(201),
      ),
    );
    expect(new Set(answers.map((a) => (a.body as { reference: { id: string } }).reference.id)).size).toBe(1);
    expect(answers.filter((a) => !(a.body as { duplicate: boolean }).duplicate)).toHaveLength(1);
  });

  test('the same import twelve times is one file on its way', async () => {
    const id = '018f2b3c-1111-4222-8333-777755556666';
    const bytes = await testPng(250, 150, 72);
    const sent = await Promise.all(Array.from({ length: 12 }, () => send(bytes, 'twelve.png', id)));
    expect(new Set(sent.map((f) => f.id))).toEqual(new Set([id]));
    await studio.jobs.idle();
    expect((await list()).filter((f) => f.id === id)).toHaveLength(1);
    expect(await find(id)).toMatchObject({ state: 'done' });
  });

  test('a question that is answered six times is answered once', async () => {
    const bytes = await testPng(270, 150, 73);
    await send(bytes, 'first.png');
    await studio.jobs.idle();
    const count = (await allReferences(studio)).length;
    const again = await send(bytes, 'again.png');
    await studio.jobs.idle();
    await Promise.all(
      Array.from({ length: 6 }, () =>
        studio.ask
          .post('/api/v1/imports/decide')
          .send({ ids: [again.id], decision: 'keep both' })
          .expect(200),
      ),
    );
    for (let k = 0; k < 100 && (await find(again.id)).state !== 'done'; k++)
      await new Promise((resolve) => setTimeout(resolve, 50));
    expect((await allReferences(studio)).length).toBe(count + 1);
  });
});

test('a damaged picture is written anew, told of, and can be rendered from', async () => {
  const { data, raw } = testPixels(320, 200, 81);
  const bytes = await sharp(data, { raw }).jpeg({ quality: 90 }).toBuffer();
  bytes.writeUInt16BE(0xffd5, bytes.length >> 1);
  const sent = await send(bytes, 'damaged.jpg');
  await studio.jobs.idle();
  const file = await find(sent.id);
  expect(file).toMatchObject({ state: 'done', reason: expect.stringMatching(/is damaged.*written anew/) as string });
  await studio.ask.get(`/api/v1/references/${file.referenceId}/gives`).expect(200);
});
