import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { animatedPng } from '../tasks/apng';
import { bringIn, newMix, openStudio, type TestStudio } from '../../test/studio';
import type { SeriesDto } from '../series.dto';
import type { SequenceDto, SteadinessDto } from './sequence.dto';

let studio: TestStudio;
let series: SeriesDto;

beforeAll(async () => {
  studio = await openStudio();
  const mix = await newMix(studio, await bringIn(studio));
  series = await call<SeriesDto>('post', '/series', {
    name: 'A series',
    mixId: mix.id,
    shots: [{ title: 'The pier', prompt: 'Ilse on the pier', seed: 5 }],
  });
});
afterAll(() => studio.close());

const call = async <T>(method: 'get' | 'post' | 'delete', path: string, body?: object, expected?: number) =>
  (
    await studio.ask[method](`/api/v1${path}`)
      .send(body)
      .expect(expected ?? (method === 'post' ? 201 : 200))
  ).body as T;
const NEARER = { camera: { from: { x: 0.5, y: 0.5, size: 1 }, to: { x: 0.5, y: 0.6, size: 0.7 } } };
const make = (fields: object = {}, expected?: number) =>
  call<SequenceDto & { detail: string }>(
    'post',
    `/series/${series.id}/sequences`,
    { name: 'Nearer', shotId: series.shots[0].id, frames: 8, move: NEARER, ...fields },
    expected,
  );
const download = async (id: string, form: string) =>
  (
    await studio.ask
      .get(`/api/v1/sequences/${id}/export/${form}?rate=10`)
      .buffer(true)
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on('data', (c: Buffer) => parts.push(c)).on('end', () => done(null, Buffer.concat(parts)));
      })
      .expect(200)
  ).body as Buffer;

test('a shot is set in motion, held by one frame, measured and handed over', async () => {
  const made = await make();
  expect(made).toMatchObject({ prompt: 'Ilse on the pier', held: [], move: NEARER });
  expect(made.free).toHaveLength(8);
  await studio.ask.post(`/api/v1/sequences/${made.id}/hold`).send({ frame: 3 }).expect(409);
  await studio.ask.get(`/api/v1/sequences/${made.id}/export/zip`).expect(409);
  await studio.jobs.idle();

  const free = await call<SequenceDto>('get', `/sequences/${made.id}`);
  expect(new Set(free.free.map((f) => f.pictureUrl)).size).toBe(8);
  expect(await call<SteadinessDto>('get', `/sequences/${made.id}/steadiness`)).toEqual({
    free: { strokes: expect.any(Number) as number, identity: expect.any(Number) as number },
  });
  // frames are no takes of the shot, and nobody waits for their controls
  expect((await call<SeriesDto>('get', `/series/${series.id}`)).shots[0].takes).toEqual([]);

  const held = await call<SequenceDto>('post', `/sequences/${made.id}/hold`, { frame: 7 });
  expect(held.held[7].takeId).toBe(held.free[7].takeId);
  await studio.jobs.idle();
  const { times } = await call<SteadinessDto>('get', `/sequences/${made.id}/steadiness`);
  expect(times!.strokes).toBeGreaterThan(1.5);

  const done = await call<SequenceDto>('get', `/sequences/${made.id}`);
  const files = unzipSync(await download(made.id, 'zip'));
  expect(Object.keys(files)).toEqual(Array.from({ length: 8 }, (_, k) => `frame-00${k + 1}.png`));
  const { data } = await sharp(Buffer.from(files['frame-001.png'])).raw().toBuffer({ resolveWithObject: true });
  const shown = await studio.ask.get(done.held[0].pictureUrl!).buffer(true).expect(200);
  expect(
    data.equals(
      await sharp(shown.body as Buffer)
        .raw()
        .toBuffer(),
    ),
  ).toBe(true);
  const webp = await sharp(await download(made.id, 'webp'), { animated: true }).metadata();
  expect([webp.pages, webp.delay?.[0], webp.width]).toEqual([8, 100, done.width]);
  const apng = await download(made.id, 'apng');
  expect(apng.includes('acTL')).toBe(true);
  expect((await sharp(apng).metadata()).width).toBe(done.width);
});

test('a sequence that is put away stops, and comes back', async () => {
  const made = await make({ move: { across: 0.3 } });
  await call('delete', `/sequences/${made.id}`, undefined, 204);
  await studio.jobs.idle();
  await call('get', `/sequences/${made.id}`, undefined, 404);
  await call('post', `/sequences/${made.id}/restore`, undefined, 204);
  const back = await call<SequenceDto>('get', `/sequences/${made.id}`);
  expect(back.free.filter((f) => f.status === 'cancelled').length).toBeGreaterThan(0);
});

test('faulty wishes are refused with a sentence that helps', async () => {
  expect((await make({ move: {} }, 400)).detail).toContain('Nothing moves');
  const still = { camera: { from: NEARER.camera.from, to: NEARER.camera.from } };
  expect((await make({ move: still }, 400)).detail).toContain('Nothing moves');
  await make({ frames: 7 }, 400);
  await make({ frames: 49 }, 400);
  await make({ move: { across: 2 } }, 400);
  await make({ move: { camera: { ...NEARER.camera, to: { x: 0.5, y: 0.5, size: 0.1 } } } }, 400);
  await make({ shotId: 'none' }, 400);
  await call('get', '/sequences/none', undefined, 404);
  await studio.ask.get('/api/v1/sequences/none/export/gif').expect(400);
});

describe('an animated PNG', () => {
  const frame = (r: number, width = 4) =>
    sharp({ create: { width, height: 3, channels: 3, background: { r, g: 0, b: 0 } } })
      .png()
      .toBuffer();
  test('holds every frame once, numbered, and looks like its first frame to others', async () => {
    const png = animatedPng(await Promise.all([frame(10), frame(20), frame(30)]), 8);
    const types = [...png.toString('latin1').matchAll(/acTL|fcTL|IDAT|fdAT|IEND/g)].map((m) => m[0]);
    expect(types).toEqual(['acTL', 'fcTL', 'IDAT', 'fcTL', 'fdAT', 'fcTL', 'fdAT', 'IEND']);
    const orders = ['fcTL', 'fdAT'].flatMap((type) =>
      [...png.toString('latin1').matchAll(new RegExp(type, 'g'))].map((m) => png.readUInt32BE(m.index + 4)),
    );
    expect(orders.sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4]);
    const [first] = await sharp(png).raw().toBuffer();
    expect(first).toBe(10);
  });
  test('refuses frames that do not fit each other', async () => {
    const frames = [await frame(1), await frame(1, 5)];
    expect(() => animatedPng(frames, 8)).toThrow('Frame 2');
  });
});

describe('a camera without its windows', () => {
  const view = { x: 0.5, y: 0.5, size: 1 };
  // such a move was taken, and all its frames failed in the painter, which got places that are no numbers
  test.each([
    [[]],
    [[[]]],
    [{}],
    [null],
    [{ from: [], to: view }],
    [{ from: [[]], to: view }],
    [{ from: null, to: view }],
    [{ to: view }],
    [{ from: view, to: [] }],
    [{ from: view }],
    [{ from: view, to: { x: 0.5, y: 0.5 } }],
    [{ from: view, to: { ...view, x: null } }],
  ])('%j is refused before anything is rendered', async (camera) => {
    const { detail } = await make({ move: { camera } }, 400);
    expect(detail).toMatch(/camera/);
  });
});
