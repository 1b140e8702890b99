import { MikroORM } from '@mikro-orm/core';
import type { SqlEntityManager } from '@mikro-orm/better-sqlite';
import type { ReferenceDto } from '../library/reference.dto';
import type { MixDto } from '../mixes/mix.dto';
import { JobEntity } from '../platform/jobs/job.entity';
import { bringIn, newMix, openStudio, type TestStudio } from '../test/studio';
import type { TakeDto } from './take.dto';
import { TakeEntity } from './take.entity';
import { MOST_WAITING } from './takeQueue.service';

let studio: TestStudio;
let reference: ReferenceDto;
let mix: MixDto;
beforeAll(async () => {
  studio = await openStudio();
  reference = await bringIn(studio);
});
afterAll(() => studio.close());
beforeEach(async () => (mix = await newMix(studio, reference)));

const em = () => studio.app.get(MikroORM).em.fork() as SqlEntityManager;
const draft = async (prompt: string) =>
  (await studio.ask.post('/api/v1/takes').send({ mixId: mix.id, quality: 'draft', prompt }).expect(201))
    .body as TakeDto;
/** A query for the numbers from 1 to n. */
const numbers = (n: number) =>
  `with recursive n(value) as (select 1 union all select value + 1 from n where value < ${n}) select value from n`;
const rows = async () => ({
  takes: await em().count(TakeEntity, { mixId: mix.id }),
  controls: await em().count(TakeEntity, { isControl: true, status: { $ne: 'done' } }),
  jobs: await em().count(JobEntity, { kind: 'take' }),
});

test('drafts with new words that are replaced at once leave nothing behind: no row, no control, no job', async () => {
  for (let k = 0; k < 40; k++) await draft(`Ilse in the harbour, number ${k}`);
  // the one that is drawn just now, and the last
  expect((await rows()).jobs).toBeLessThanOrEqual(2);
  await studio.jobs.idle();
  expect(await rows()).toEqual({ takes: 1, controls: 0, jobs: 0 });
});

test('finished drafts are kept up to a number, and those that somebody marked or began from for good', async () => {
  const first = await draft('Ilse in the harbour');
  await studio.jobs.idle();
  const done = (await studio.ask.get(`/api/v1/takes/${first.id}`)).body as TakeDto;
  await studio.ask.patch(`/api/v1/takes/${first.id}`).send({ version: done.version, rating: 3 }).expect(200);
  // copies of a finished draft, older than it, as a long afternoon leaves them
  await em().execute(
    `insert into take (id, mix_id, shot_id, is_control, control_id, quality, status, request_hash, origin,
       picture_hash, thumbnail_hash, descriptors_hash, shares, understood, unheard, measurements, error, keeper,
       created_at, finished_at, deleted_at, version, rating, rejected, note, from_take_id, trial, controlled)
     select 'old-' || value, mix_id, shot_id, is_control, control_id, quality, status, request_hash, origin,
       picture_hash, thumbnail_hash, descriptors_hash, shares, understood, unheard, measurements, error, keeper,
       created_at - 1000 - value, finished_at, deleted_at, version, case value when 50 then 5 else 0 end, rejected, note, from_take_id,
       trial, controlled
     from take, (${numbers(70)}) where id = ?`,
    [first.id],
    'run',
  );
  await draft('Brom in the harbour');
  await studio.jobs.idle();
  const left = await em().find(TakeEntity, { mixId: mix.id });
  // 40 of 71, the one that is rated among the older ones, and the new one
  expect(left).toHaveLength(42);
  expect(left.map((t) => t.id)).toEqual(expect.arrayContaining([first.id, 'old-50', 'old-1']));
});

test('a take that is stopped ends its control, unless another take waits for the same', async () => {
  const ask = (seed: number) =>
    studio.ask
      .post('/api/v1/takes')
      .send({ mixId: mix.id, quality: 'proof', prompt: 'Ilse at dusk', seed })
      .expect(201);
  const [a, b, other] = await Promise.all([ask(5), ask(5), ask(6)]).then((all) => all.map((r) => r.body as TakeDto));
  expect(a.control!.id).toBe(b.control!.id);
  await studio.ask.post(`/api/v1/takes/${other.id}/cancel`).expect(200);
  expect(await em().count(TakeEntity, { id: other.control!.id })).toBe(0);
  await studio.ask.post(`/api/v1/takes/${a.id}/cancel`).expect(200);
  expect(await em().count(TakeEntity, { id: b.control!.id })).toBe(1);
  await studio.ask.post(`/api/v1/takes/${b.id}/cancel`).expect(200);
  await studio.jobs.idle();
  expect((await rows()).controls).toBe(0);
  expect((await rows()).jobs).toBe(0);
});

test('what waits is counted in jobs, and a run that would be too long is refused whole with the reason', async () => {
  // ghosts of an older version: takes that wait for nothing
  await em().execute(
    `insert into take (id, mix_id, is_control, quality, status, request_hash, origin, keeper, created_at, version)
     select 'ghost-' || value, ?, 1, 'proof', 'queued', 'x', '{}', 0, 0, 1 from (${numbers(MOST_WAITING + 10)})`,
    [mix.id],
    'run',
  );
  const series = (
    await studio.ask
      .post('/api/v1/series')
      .send({
        name: 'Long',
        mixId: mix.id,
        shots: Array.from({ length: 100 }, (_, k) => ({ title: `Shot ${k}`, prompt: `Ilse, number ${k}` })),
      })
      .expect(201)
  ).body as { id: string };
  const before = await em().count(TakeEntity, { mixId: mix.id });
  const { body } = await studio.ask
    .post(`/api/v1/series/${series.id}/render`)
    .send({ quality: 'draft', takes: 5 })
    .expect(429);
  expect((body as { detail: string }).detail).toMatch(/at most 400.*500 more would be too many.*nothing was started/);
  expect(await em().count(TakeEntity, { mixId: mix.id })).toBe(before);
  await draft('one draft is not held up by ghosts');
  await studio.ask.post(`/api/v1/series/${series.id}/render`).send({ quality: 'draft' }).expect(202);
  await studio.ask.post(`/api/v1/series/${series.id}/stop`).expect(200);
  await studio.jobs.idle();
  await em().execute("delete from take where id like 'ghost-%'", [], 'run');
  expect(await rows()).toMatchObject({ controls: 0, jobs: 0 });
});
