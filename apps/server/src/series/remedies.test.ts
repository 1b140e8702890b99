import { MikroORM } from '@mikro-orm/core';
import { TakeEntity } from '../takes/take.entity';
import { bringIn, newMix, openStudio, type TestStudio } from '../test/studio';
import type { ConsistencyDto } from './consistency.dto';
import type { SeriesDto } from './series.dto';

let studio: TestStudio;
let series: SeriesDto;
/** The shot in which the look is switched off. */
const OFF = 2;

const call = async <T>(method: 'get' | 'post' | 'patch' | 'delete', path: string, body?: object, expected = 200) =>
  (await studio.ask[method](`/api/v1${path}`).send(body).expect(expected)).body as T;
const consistency = () => call<ConsistencyDto>('get', `/series/${series.id}/consistency`);
const shot = async () => (await call<SeriesDto>('get', `/series/${series.id}`)).shots[OFF];
const tryOut = () =>
  call<ConsistencyDto>('post', `/series/${series.id}/shots/${series.shots[OFF].id}/remedies`, {}, 202);
const takes = () =>
  studio.app.get(MikroORM).em.fork().count(TakeEntity, { shotId: series.shots[OFF].id, deletedAt: null });

beforeAll(async () => {
  studio = await openStudio();
  const mix = await newMix(studio, await bringIn(studio, 1, { kind: 'style' }));
  const places = ['harbour', 'orchard', 'pier', 'market quay', 'meadow', 'beach'];
  const shots = places.map((place, k) => ({ title: place, prompt: `half figure of Ilse, ${place}`, seed: 10 + k }));
  series = await call<SeriesDto>('post', '/series', { name: 'Falls', mixId: mix.id, shots }, 201);
  const { id, version } = series.shots[OFF];
  const own = { influences: [{ id: mix.influences[0].id, on: false }], added: [] };
  await call('patch', `/shots/${id}`, { version, own });
  await call('post', `/series/${series.id}/render`, { quality: 'draft' }, 202);
  await studio.jobs.idle();
});
afterAll(() => studio.close());

test('a remedy is not known to help before it was tried', async () => {
  const { falls } = await consistency();
  expect(falls).toHaveLength(1);
  expect(falls[0]).toMatchObject({ shotId: series.shots[OFF].id, cause: 'own setting' });
  expect(falls[0].remedies.map((r) => r.state)).toEqual(falls[0].remedies.map(() => 'untried'));
});

test('tried out of sight, it is known to help or not; asking twice tries nothing twice', async () => {
  const [asked] = await Promise.all([tryOut(), tryOut()]);
  expect(await takes()).toBe(1 + asked.falls[0].remedies.length);
  expect(asked.falls[0].remedies.every((r) => r.state === 'trying')).toBe(true);
  expect((await shot()).takes).toHaveLength(1);
  await studio.jobs.idle();
  const { remedies } = (await consistency()).falls[0];
  expect(remedies[0]).toMatchObject({ label: 'Take its own setting back', state: 'helps' });
  expect(remedies.slice(1).every((r) => ['helps', 'fails'].includes(r.state))).toBe(true);
  const before = await takes();
  await tryOut();
  await studio.jobs.idle();
  expect(await takes()).toBe(before);
});

test('a try that failed says nothing of its remedy', async () => {
  const em = studio.app.get(MikroORM).em.fork();
  const tried = await em.find(TakeEntity, { shotId: series.shots[OFF].id, deletedAt: null });
  const last = tried.find((t) => t.trial?.quiet && t.trial.label !== 'Take its own setting back')!;
  last.status = 'failed';
  await em.flush();
  expect((await consistency()).falls[0].remedies.map((r) => r.label)).toEqual(['Take its own setting back']);
  last.status = 'done';
  await em.flush();
});

test('what was tried is shown when it is wanted, and put out of sight when it is left', async () => {
  const [{ label, plan }] = (await consistency()).falls[0].remedies;
  const before = await takes();
  const path = `/series/${series.id}/shots/${series.shots[OFF].id}/tries`;
  const shown = (await call<SeriesDto>('post', path, { label, plan }, 201)).shots[OFF];
  const attempt = shown.takes.find((t) => t.trial)!;
  expect(attempt).toMatchObject({ status: 'done', trial: { label, kept: false } });
  expect(await takes()).toBe(before);
  await call('delete', `/series/${series.id}/tries/${attempt.trial!.batch}`);
  expect((await shot()).takes.some((t) => t.trial)).toBe(false);
  expect((await consistency()).falls[0].remedies[0].state).toBe('helps');
});

test('kept, it stands for the shot, which falls out no longer; what else was tried goes', async () => {
  const [{ label, plan }] = (await consistency()).falls[0].remedies;
  const path = `/series/${series.id}/shots/${series.shots[OFF].id}/tries`;
  const attempt = (await call<SeriesDto>('post', path, { label, plan }, 201)).shots[OFF].takes.find((t) => t.trial)!;
  await call('post', `/series/${series.id}/tries/${attempt.trial!.batch}/keep`, {});
  expect((await consistency()).falls).toEqual([]);
  expect(await takes()).toBe(2);
  await call('post', `/series/${series.id}/shots/${series.shots[OFF].id}/remedies`, {}, 404);
});
