import type { ReferenceDto } from '../library/reference.dto';
import { EventsService, type StudioEvent } from '../platform/events/events.service';
import { bringIn, newMix, openStudio, type TestStudio } from '../test/studio';
import { plateSize } from './renderPlan';
import type { TakeDto } from './take.dto';

let studio: TestStudio;
let reference: ReferenceDto;
beforeAll(async () => {
  studio = await openStudio();
  reference = await bringIn(studio);
});
afterAll(() => studio.close());

const ask = async (mixId: string, fields: object = {}) =>
  (
    await studio.ask
      .post('/api/v1/takes')
      .send({ mixId, quality: 'draft', ...fields })
      .expect(201)
  ).body as TakeDto;
const get = async (id: string) => (await studio.ask.get(`/api/v1/takes/${id}`).expect(200)).body as TakeDto;

test('a take is rendered with its control, measured, and told about on the way', async () => {
  const events: StudioEvent[] = [];
  const subscription = studio.app.get(EventsService).stream.subscribe((e) => events.push(e));
  const mix = await newMix(studio, reference);
  const asked = await ask(mix.id);
  expect(asked).toMatchObject({ status: 'queued', quality: 'draft', mixId: mix.id, width: 256, height: 168 });
  await studio.jobs.idle();
  const take = await get(asked.id);
  expect(take).toMatchObject({ status: 'done', arrivals: [{ influenceId: 'a' }], unheard: [] });
  expect(take.arrivals[0].overall).toBeGreaterThan(0.1);
  expect(take.wordsKept).toBeGreaterThan(0);
  for (const url of [take.pictureUrl, take.thumbnailUrl, take.control?.pictureUrl])
    await studio.ask.get(url!).expect(200);
  expect(take.pictureUrl).not.toBe(take.control?.pictureUrl);
  const progress = events.filter((e) => e.type === 'progress');
  // not every step of it is shown: a fast render shows few
  expect(progress.length).toBeGreaterThan(1);
  expect(
    progress.every((e) => e.type === 'progress' && e.id === take.id && e.preview!.startsWith('data:image/webp')),
  ).toBe(true);
  const told = events.flatMap((e) => (e.type === 'take' ? [e.status] : []));
  expect(told.filter((status) => status !== 'pictured')).toEqual(['queued', 'rendering', 'done']);
  // its picture is there before it is measured
  const pictured = events.filter((e) => e.type === 'take' && e.status === 'pictured');
  expect(pictured).toEqual([{ type: 'take', id: take.id, status: 'pictured', pictureUrl: take.pictureUrl }]);
  subscription.unsubscribe();
});

test('a heavier weight arrives further, and takes of one prompt share their control', async () => {
  const mix = await newMix(studio, reference, 0.25);
  const light = await ask(mix.id);
  await studio.jobs.idle();
  await studio.ask
    .patch(`/api/v1/mixes/${mix.id}`)
    .send({ version: mix.version, influences: [{ ...mix.influences[0], weight: 1 }] })
    .expect(200);
  const heavy = await ask(mix.id);
  await studio.jobs.idle();
  const [a, b] = [await get(light.id), await get(heavy.id)];
  expect(b.arrivals[0].overall!).toBeGreaterThan(a.arrivals[0].overall! + 0.1);
  expect(b.control?.id).toBe(a.control?.id);
});

test('the same request again is the same picture at once', async () => {
  const mix = await newMix(studio, reference, 0.6);
  const first = await ask(mix.id);
  await studio.jobs.idle();
  const second = await ask(mix.id);
  await studio.jobs.idle();
  expect((await get(second.id)).pictureUrl).toBe((await get(first.id)).pictureUrl);
});

test('without references, or with one left out, the control is the take', async () => {
  const mix = await newMix(studio, reference);
  const alone = await ask(mix.id, { without: 'a', seed: 5 });
  await studio.jobs.idle();
  const take = await get(alone.id);
  expect(take.control).toBeUndefined();
  expect(take.influences).toEqual([]);
  expect(take.seed).toBe(5);
});

test('takes can be stopped, in line and under way; a new draft replaces the waiting one', async () => {
  const mix = await newMix(studio, reference);
  const running = await ask(mix.id, { quality: 'print', seed: 71 });
  const waiting = await ask(mix.id, { quality: 'proof', seed: 72 });
  await studio.ask.post(`/api/v1/takes/${waiting.id}/cancel`).expect(200);
  await new Promise((resolve) => setTimeout(resolve, 400));
  await studio.ask.post(`/api/v1/takes/${running.id}/cancel`).expect(200);
  await studio.jobs.idle();
  expect([(await get(running.id)).status, (await get(waiting.id)).status]).toEqual(['cancelled', 'cancelled']);
  // it was stopped, not rendered to its end and then thrown away
  expect((await get(running.id)).pictureUrl).toBeUndefined();
  const first = await ask(mix.id, { seed: 61 });
  const second = await ask(mix.id, { seed: 62 });
  await studio.ask.get(`/api/v1/takes/${first.id}`).expect(404);
  await studio.jobs.idle();
  expect((await get(second.id)).status).toBe('done');
});

test('a keeper is kept by version; a removed take is gone', async () => {
  const mix = await newMix(studio, reference);
  const take = await ask(mix.id);
  await studio.jobs.idle();
  const { version } = await get(take.id);
  expect(
    (await studio.ask.patch(`/api/v1/takes/${take.id}`).send({ version, keeper: true }).expect(200)).body,
  ).toMatchObject({ keeper: true });
  await studio.ask.patch(`/api/v1/takes/${take.id}`).send({ version, keeper: false }).expect(409);
  await studio.ask.delete(`/api/v1/takes/${take.id}`).expect(204);
  await studio.ask.get(`/api/v1/takes/${take.id}`).expect(404);
});

test('a take that is marked while it is rendered keeps its mark and is rendered once', async () => {
  let painted = 0;
  const subscription = studio.app.get(EventsService).stream.subscribe((e) => {
    if (e.type === 'progress' && e.step === 'painted') painted++;
  });
  const mix = await newMix(studio, reference);
  const asked = await ask(mix.id, { quality: 'proof', seed: 83 });
  while ((await get(asked.id)).status !== 'rendering') await new Promise((resolve) => setTimeout(resolve, 20));
  const { version } = await get(asked.id);
  await studio.ask.patch(`/api/v1/takes/${asked.id}`).send({ version, keeper: true }).expect(200);
  await studio.jobs.idle();
  expect(await get(asked.id)).toMatchObject({ status: 'done', keeper: true });
  // its control and itself, each once
  expect(painted).toBe(2);
  subscription.unsubscribe();
});

test('asking for a take of nothing, or with nonsense, is refused', async () => {
  await studio.ask.post('/api/v1/takes').send({ mixId: 'nowhere' }).expect(404);
  await studio.ask.post('/api/v1/takes').send({ mixId: 'x', quality: 'huge' }).expect(400);
  await studio.ask.post('/api/v1/takes').send({ mixId: 'x', seed: -1 }).expect(400);
});

test('plates have the aspect that was asked for, in whole eights', () => {
  expect(plateSize('3:2', 'proof')).toEqual({ width: 768, height: 512 });
  expect(plateSize('2:3', 'draft')).toEqual({ width: 168, height: 256 });
  expect(plateSize('16:9', 'print')).toEqual({ width: 1280, height: 720 });
});

test('a mix is stood for by its newest keeper, else its newest take, by a draft only where there is nothing else', async () => {
  const mix = await newMix(studio, reference);
  const coverOf = async () =>
    (
      (await studio.ask.get('/api/v1/takes/covers').expect(200)).body as { mixId: string; thumbnailUrl: string }[]
    ).filter((c) => c.mixId === mix.id);
  expect(await coverOf()).toEqual([]);
  const draft = await ask(mix.id, { seed: 31 });
  await studio.jobs.idle();
  expect(await coverOf()).toEqual([{ mixId: mix.id, thumbnailUrl: (await get(draft.id)).thumbnailUrl }]);
  const [first, second] = [
    await ask(mix.id, { quality: 'proof', seed: 32 }),
    await ask(mix.id, { quality: 'proof', seed: 33 }),
  ];
  const later = await ask(mix.id, { seed: 34 });
  await studio.jobs.idle();
  expect((await get(later.id)).status).toBe('done');
  expect(await coverOf()).toEqual([{ mixId: mix.id, thumbnailUrl: (await get(second.id)).thumbnailUrl }]);
  const { version } = await get(first.id);
  await studio.ask.patch(`/api/v1/takes/${first.id}`).send({ version, keeper: true }).expect(200);
  expect(await coverOf()).toEqual([{ mixId: mix.id, thumbnailUrl: (await get(first.id)).thumbnailUrl }]);
});
