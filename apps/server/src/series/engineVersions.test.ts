/** A finished take stays current when the engine is brought up to date; drawing it anew is asked for, and the one before stays. */
import { EntityManager } from '@mikro-orm/core';
import type { MixDto } from '../mixes/mix.dto';
import { requestHash } from '../takes/renderPlan';
import { ENGINE, engineName, type EngineVersion, type TakeEngine } from '../takes/takeEngine';
import type { TakeDto } from '../takes/take.dto';
import { TakeEntity, type Take } from '../takes/take.entity';
import { bringIn, newMix, openStudio, type TestStudio } from '../test/studio';
import type { SeriesDto } from './series.dto';

let present: EngineVersion;
let old: EngineVersion;
let studio: TestStudio;
let mix: MixDto;
let em: EntityManager;

beforeAll(async () => {
  studio = await openStudio();
  present = studio.app.get<TakeEngine>(ENGINE).capabilities;
  old = { name: present.name, version: '0.1.0' };
  mix = await newMix(studio, await bringIn(studio));
});
beforeEach(() => {
  em = studio.app.get(EntityManager).fork();
});
afterAll(() => studio.close());

const get = async <T>(path: string) => (await studio.ask.get(`/api/v1${path}`).expect(200)).body as T;
const post = async <T>(path: string, body: object = {}, expected = 201) =>
  (await studio.ask.post(`/api/v1${path}`).send(body).expect(expected)).body as T;

/** A series of one shot with a finished take that an older engine made, as `older` leaves it. */
async function drawnBefore(prompt: string, older: (take: Take) => void = () => {}): Promise<SeriesDto> {
  const made = await post<SeriesDto>('/series', {
    name: 'Before',
    mixId: mix.id,
    shots: [{ title: 'One', prompt, seed: 5 }],
  });
  await post(`/series/${made.id}/render`, { quality: 'draft' }, 202);
  await studio.jobs.idle();
  const take = await em.findOneOrFail(TakeEntity, { shotId: made.shots[0].id });
  take.origin = { ...take.origin, engine: old };
  take.requestHash = requestHash(take.origin.request, old);
  older(take);
  await em.flush();
  return get(`/series/${made.id}`);
}

test('a take of an older engine is up to date, says who made it, and nothing renders unasked', async () => {
  const series = await drawnBefore('Ilse in the harbour');
  const [shot] = series.shots;
  expect(shot.stale).toEqual([]);
  expect(shot.takes[0]).toMatchObject({ engine: engineName(old), olderEngine: true });
  expect(await post(`/series/${series.id}/render`, { quality: 'draft' }, 202)).toEqual({ queued: 0 });
});

test('an older engine that was told in other fields does not make it stale; other words do', async () => {
  const series = await drawnBefore('Brom in the marsh at dawn', (take) => {
    const { spread: _, ...request } = take.origin.request;
    take.origin = { ...take.origin, request: request as typeof take.origin.request };
    take.requestHash = requestHash(take.origin.request, old);
  });
  const [shot] = series.shots;
  expect(shot.stale).toEqual([]);
  const { body } = await studio.ask
    .patch(`/api/v1/shots/${shot.id}`)
    .send({ version: shot.version, prompt: 'Brom in the marsh at night' })
    .expect(200);
  expect((body as SeriesDto).shots[0].stale).toEqual([
    'words: “Brom in the marsh at dawn” → “Brom in the marsh at night”',
  ]);
});

test('another picture of a reference does make it stale', async () => {
  const series = await drawnBefore('a cat on the pier', (take) => {
    const { request } = take.origin;
    const influences = request.influences.map((i) => ({
      ...i,
      pictures: i.pictures.map((p) => ({ ...p, content: 'f'.repeat(64) })),
    }));
    take.origin = { ...take.origin, request: { ...request, influences } };
    take.requestHash = requestHash(take.origin.request, old);
  });
  expect(series.shots[0].stale).toEqual(['a reference was prepared anew']);
});

test('redrawing makes a take of its own beside the one before', async () => {
  const before = await post<TakeDto>('/takes', { mixId: mix.id, quality: 'draft', seed: 9 });
  await studio.jobs.idle();
  const row = await em.findOneOrFail(TakeEntity, { id: before.id });
  row.origin = { ...row.origin, engine: old };
  row.requestHash = requestHash(row.origin.request, old);
  await em.flush();
  expect(await get<TakeDto>(`/takes/${before.id}`)).toMatchObject({ engine: engineName(old), olderEngine: true });
  const asked = await post<TakeDto>(`/takes/${before.id}/redraw`);
  expect(asked).toMatchObject({ fromTakeId: before.id, olderEngine: false, seed: 9, prompt: before.prompt });
  expect(asked.settings).toEqual(before.settings);
  await studio.jobs.idle();
  const after = await get<TakeDto>(`/takes/${asked.id}`);
  expect(after).toMatchObject({ status: 'done', engine: engineName(present) });
  expect((await get<TakeDto>(`/takes/${before.id}`)).pictureUrl).toBe(
    (await em.fork().findOneOrFail(TakeEntity, { id: before.id })).pictureHash
      ? after.pictureUrl
      : 'the picture before is gone',
  );
});

test('one that has no picture yet cannot be redrawn', async () => {
  const { body } = await studio.ask.post('/api/v1/takes/nothing/redraw').expect(404);
  expect(body).toMatchObject({ status: 404 });
});

test('what waited while the engine was brought up to date is drawn by the new one, and says so', async () => {
  // one thread renders: while it draws a large one, a proof waits
  await post<TakeDto>('/takes', { mixId: mix.id, quality: 'print', seed: 76 });
  const asked = await post<TakeDto>('/takes', { mixId: mix.id, quality: 'proof', seed: 77 });
  const row = await em.findOneOrFail(TakeEntity, { id: asked.id });
  expect(row.status).toBe('queued');
  row.origin = { ...row.origin, engine: old };
  row.requestHash = requestHash(row.origin.request, old);
  await em.flush();
  await studio.jobs.idle();
  const done = await em.fork().findOneOrFail(TakeEntity, { id: row.id });
  expect(done).toMatchObject({ status: 'done', requestHash: requestHash(done.origin.request, present) });
  expect(done.origin.engine.version).toBe(present.version);
});
