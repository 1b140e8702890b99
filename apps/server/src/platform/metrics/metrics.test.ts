import { MikroORM } from '@mikro-orm/core';
import { bringIn, openStudio, type TestStudio } from '../../test/studio';
import { EventsService } from '../events/events.service';
import type { Health } from './health.controller';
import { requestId } from './requestId';

let studio: TestStudio;
beforeAll(async () => (studio = await openStudio()));
afterAll(() => studio.close());

/** The value of a line of figures. */
async function figure(line: string): Promise<number | undefined> {
  const { text } = await studio.ask.get('/metrics').expect(200);
  const found = text.split('\n').find((l) => l.startsWith(`${line} `));
  return found === undefined ? undefined : Number(found.split(' ').pop());
}

test('health is told, and that nothing is served to other pages', async () => {
  const { body } = await studio.ask.get('/health').expect(200);
  expect(body as Health).toEqual({ status: 'ok', up: expect.any(Number) as number });
  await studio.ask.get('/health').set('host', 'elsewhere.example').expect(403);
  await studio.ask.get('/metrics').set('origin', 'http://elsewhere.example').expect(403);
});

test('a queue that waits for room is no health', async () => {
  const full = jest.spyOn(studio.jobs, 'waitsForRoom', 'get').mockReturnValue(true);
  const { body } = await studio.ask.get('/health').expect(503);
  expect((body as Health).status).toBe('full');
  expect(await figure('urbild_disk_full')).toBe(1);
  full.mockRestore();
  expect(await figure('urbild_disk_full')).toBe(0);
});

test('jobs are counted by kind and outcome, with their seconds', async () => {
  const before = (await figure('urbild_job_seconds_count{kind="shown",outcome="done"}')) ?? 0;
  studio.jobs.register('shown', { concurrency: 1, run: () => new Promise((done) => setTimeout(done, 30)) });
  studio.jobs.register('broken', { concurrency: 1, run: () => Promise.reject(new Error('as asked')) });
  const { em } = studio.app.get(MikroORM);
  await studio.jobs.enqueue(em.fork(), { kind: 'shown', subject: 'a' }, { kind: 'broken', subject: 'b' });
  await studio.jobs.idle();
  expect(await figure('urbild_job_seconds_count{kind="shown",outcome="done"}')).toBe(before + 1);
  expect(await figure('urbild_job_seconds_sum{kind="shown",outcome="done"}')).toBeGreaterThan(0.02);
  expect(await figure('urbild_job_seconds_count{kind="broken",outcome="failed"}')).toBe(3);
  expect(await figure('urbild_jobs{kind="broken",state="failed"}')).toBe(1);
  expect(await figure('urbild_jobs{kind="shown",state="queued"}')).toBeUndefined();
});

test('renders and imports are jobs, and the event loop tells of its delay', async () => {
  await bringIn(studio);
  expect(await figure('nodejs_eventloop_lag_p99_seconds')).toBeGreaterThanOrEqual(0);
});

test('an open window is a connection', async () => {
  const before = await figure('urbild_connections');
  const listening = studio.app.get(EventsService).stream.subscribe();
  expect(await figure('urbild_connections')).toBe(before! + 1);
  listening.unsubscribe();
  expect(await figure('urbild_connections')).toBe(before);
});

test('a request has an id, its own where it is plain, and problems name it', async () => {
  const named = await studio.ask.get('/api/v1/mixes/nobody').set('x-request-id', 'from-a-proxy.7').expect(404);
  expect(named.headers['x-request-id']).toBe('from-a-proxy.7');
  expect(named.body).toMatchObject({ instance: 'urn:request:from-a-proxy.7' });
  const strange = await studio.ask.get('/api/v1/mixes/nobody').set('x-request-id', 'a b{}').expect(404);
  expect(strange.headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
});

test.each([['fine'], ['x'.repeat(64)]])('the id %s is taken over', (given) => {
  const said: Record<string, unknown> = {};
  const response = { setHeader: (name: string, value: string) => (said[name] = value) };
  expect(requestId({ headers: { 'x-request-id': given } } as never, response as never)).toBe(given);
  expect(said['x-request-id']).toBe(given);
});
