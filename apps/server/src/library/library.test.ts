import { readdir, readFile } from 'fs/promises';
import http from 'http';
import path from 'path';
import sharp from 'sharp';
import { crc32 } from 'zlib';
import type { ReferenceDto } from './reference.dto';
import { titleFrom } from './fileNames';
import { allReferences, bringIn, openStudio, testPixels, testPng, type TestStudio } from '../test/studio';

let studio: TestStudio;
beforeAll(async () => (studio = await openStudio()));
afterAll(() => studio.close());

const send = (bytes: Buffer, name: string) => studio.ask.post('/api/v1/references').attach('file', bytes, name);
const list = () => allReferences(studio);

test.each([
  ['png', (s: sharp.Sharp) => s.png()],
  ['jpeg', (s: sharp.Sharp) => s.jpeg()],
  ['webp', (s: sharp.Sharp) => s.webp()],
  ['avif', (s: sharp.Sharp) => s.avif({ effort: 0 })],
  ['tiff', (s: sharp.Sharp) => s.tiff({ compression: 'lzw' })],
  ['gif', (s: sharp.Sharp) => s.gif()],
] as const)('a %s comes in with its size, palette and a picture that can be fetched', async (format, encode) => {
  const { data, raw } = testPixels(96, 64, format.length + format.charCodeAt(0));
  const { body } = await send(await encode(sharp(data, { raw })).toBuffer(), `a-${format}_picture.${format}`).expect(
    201,
  );
  const reference = (body as { reference: ReferenceDto }).reference;
  expect(reference).toMatchObject({
    format,
    width: 96,
    height: 64,
    kind: 'image',
    title: `a ${format} picture`,
    version: 1,
  });
  expect(reference.swatches.length).toBeGreaterThan(1);
  const picture = await studio.ask
    .get(reference.pictureUrl)
    .expect(200)
    .expect('content-type', `image/${['jpeg', 'webp'].includes(format) ? format : 'png'}`);
  expect(await sharp(picture.body as Buffer).metadata()).toMatchObject({ width: 96, height: 64 });
  await studio.ask
    .get(reference.thumbnailUrl)
    .expect(200)
    .expect('content-type', 'image/webp')
    .expect('cache-control', /immutable/);
});

test('orientation is applied, and a colour profile becomes sRGB', async () => {
  const { data, raw } = testPixels(60, 30, 77);
  const turned = await sharp(data, { raw }).withMetadata({ orientation: 6 }).jpeg().toBuffer();
  const { body } = await send(turned, 'turned.jpg').expect(201);
  expect((body as { reference: ReferenceDto }).reference).toMatchObject({ width: 30, height: 60 });
  const wide = await sharp({ create: { width: 20, height: 20, channels: 3, background: '#ff0000' } })
    .withIccProfile('p3')
    .png()
    .toBuffer();
  const answer = await send(wide, 'p3.png').expect(201);
  const picture = await studio.ask.get((answer.body as { reference: ReferenceDto }).reference.pictureUrl);
  const { channels } = await sharp(picture.body as Buffer).stats();
  expect(channels[0].mean).toBeGreaterThan(250);
  expect(channels[1].mean).toBeLessThan(12);
});

test('the same file twice is one reference', async () => {
  const file = await testPng(50, 40, 5);
  const first = await send(file, 'one.png').expect(201);
  const second = await send(file, 'two.png').expect(201);
  expect(second.body).toMatchObject({
    duplicate: true,
    reference: { id: (first.body as { reference: ReferenceDto }).reference.id, title: 'one' },
  });
});

describe('what is no picture is refused with a reason, and the studio goes on', () => {
  /** The first bytes of a PNG that claims to be this large. */
  function pngHeader(width: number, height: number): Buffer {
    const ihdr = Buffer.alloc(17);
    ihdr.write('IHDR', 0, 'latin1');
    ihdr.writeUInt32BE(width, 4);
    ihdr.writeUInt32BE(height, 8);
    ihdr.set([8, 2, 0, 0, 0], 12);
    const chunk = Buffer.alloc(25);
    chunk.writeUInt32BE(13, 0);
    ihdr.copy(chunk, 4);
    chunk.writeUInt32BE(crc32(ihdr), 21);
    return Buffer.concat([Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'), chunk, Buffer.alloc(64)]);
  }
  const cases: [name: string, bytes: () => Promise<Buffer> | Buffer, status: number, says: RegExp][] = [
    ['a text', () => Buffer.from('these are only words'), 422, /not a picture that can be read/i],
    ['an empty file', () => Buffer.alloc(0), 422, /not a picture/i],
    [
      'an SVG',
      () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
      422,
      /svg cannot be read/,
    ],
    ['a huge header', () => pngHeader(60000, 60000), 413, /60000 x 60000 pixels are too many/],
    ['a picture cut off', async () => (await testPng(400, 300, 9)).subarray(0, 9000), 422, /damaged or cut off/],
    ['41 MB', () => Buffer.alloc(41 * 1024 * 1024, 1), 413, /40 MB/],
  ];
  test.each(cases)('%s', async (name, bytes, status, says) => {
    const before = (await list()).length;
    const answer = await send(await bytes(), `${name}.png`)
      .expect(status)
      .expect('content-type', /application\/problem\+json/);
    expect(answer.body).toMatchObject({
      status,
      type: expect.stringContaining('urn:urbild:problem:'),
      detail: expect.stringMatching(says),
    });
    expect((await list()).length).toBe(before);
    expect(await readdir(path.join(studio.dataDir, 'temp'))).toEqual([]);
  });

  test('no file at all', async () => {
    await studio.ask.post('/api/v1/references').field('kind', 'style').expect(400);
  });

  test('an upload that breaks off leaves nothing', async () => {
    const before = (await list()).length;
    const { port } = studio.app.getHttpServer().address() as { port: number };
    await new Promise<void>((resolve) => {
      const upload = http.request({
        port,
        host: '127.0.0.1',
        method: 'POST',
        path: '/api/v1/references',
        headers: { 'content-type': 'multipart/form-data; boundary=x', 'content-length': 500000 },
      });
      upload.on('error', () => resolve());
      upload.write(
        '--x\r\nContent-Disposition: form-data; name="file"; filename="a.png"\r\nContent-Type: image/png\r\n\r\n\x89PNG',
      );
      setTimeout(() => {
        upload.destroy();
        setTimeout(resolve, 300);
      }, 200);
    });
    expect((await list()).length).toBe(before);
    expect(await readdir(path.join(studio.dataDir, 'temp'))).toEqual([]);
  });
});

test('what is said of a reference can be changed, by the version it was based on', async () => {
  const { id, version } = await bringIn(studio, 21, { kind: 'style' });
  const changed = await studio.ask
    .patch(`/api/v1/references/${id}`)
    .send({ version, title: 'Salt ink', kind: 'face', tags: ['a', 'a', 'b'], notes: 'n' })
    .expect(200);
  expect(changed.body).toMatchObject({
    title: 'Salt ink',
    kind: 'face',
    tags: ['a', 'b'],
    notes: 'n',
    version: version + 1,
  });
  const stale = await studio.ask.patch(`/api/v1/references/${id}`).send({ version, title: 'Overwritten?' }).expect(409);
  expect(stale.body).toMatchObject({ current: { title: 'Salt ink', version: version + 1 } });
  for (const bad of [
    { kind: 'photo' },
    { title: '' },
    { title: 'x'.repeat(201) },
    { tags: 'no list' },
    { colour: 'red' },
  ]) {
    await studio.ask
      .patch(`/api/v1/references/${id}`)
      .send({ version: version + 1, ...bad })
      .expect(400);
  }
});

test('references are found by kind and words, put away and brought back', async () => {
  const { id, version } = await bringIn(studio, 22, { kind: 'style' });
  await studio.ask.patch(`/api/v1/references/${id}`).send({ version, title: 'Carved quay', tags: ['winter'] });
  const find = async (query: string) => (await allReferences(studio, `?${query}`)).map((r) => r.id);
  expect(await find('kind=style&words=quay%20WINTER')).toEqual([id]);
  expect(await find('kind=face&words=quay')).toEqual([]);
  await studio.ask.get('/api/v1/references/search?kind=vegetable').expect(400);
  await studio.ask.delete(`/api/v1/references/${id}`).expect(204);
  expect(await find('words=quay')).toEqual([]);
  await studio.ask.get(`/api/v1/references/${id}`).expect(404);
  await studio.ask.post(`/api/v1/references/${id}/restore`).expect(200);
  expect(await find('words=quay')).toEqual([id]);
});

test('blobs are reached by hash only', async () => {
  for (const name of ['..%2f..%2fstudio.sqlite', 'studio.sqlite', 'a'.repeat(64), 'A'.repeat(64)])
    await studio.ask.get(`/api/v1/blobs/${name}`).expect(404);
});

test('titles come from file names', () => {
  expect([
    titleFrom('salt_ink-02.png'),
    titleFrom('C:\\pictures\\quay.jpg'),
    titleFrom('.png'),
    titleFrom('/'),
    titleFrom('x'.repeat(300)).length,
  ]).toEqual(['salt ink 02', 'quay', '.png', 'Untitled', 200]);
});

test('the OpenAPI document in packages/api is that of this server', async () => {
  const { body } = await studio.ask.get('/api/v1/openapi.json').expect(200);
  const kept = JSON.parse(
    await readFile(path.resolve(__dirname, '../../../../packages/api/openapi.json'), 'utf8'),
  ) as unknown;
  expect(kept).toEqual(body);
});
