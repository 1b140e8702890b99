import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { MikroORM } from '@mikro-orm/better-sqlite';
import { databaseOptions } from '../database/options';
import { JobEntity, type Job } from './job.entity';
import { JobCancelled, JobsService, type JobHandler } from './jobs.service';

let folder: string;
let orm: MikroORM;
let jobs: JobsService;
beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'));
  orm = await MikroORM.init(databaseOptions(path.join(folder, 'x.sqlite')));
  await orm.getMigrator().up();
  jobs = new JobsService(orm);
});
afterEach(async () => {
  await jobs.onModuleDestroy();
  await orm.close();
  await rm(folder, { recursive: true, force: true });
});

const handler = (run: (job: Job) => Promise<void>, concurrency = 1): JobHandler => ({ concurrency, run });
const enqueue = (subject: string, priority = 0, kind = 'work') =>
  jobs.enqueue(orm.em.fork(), { kind, subject, priority });
const states = async () =>
  Object.fromEntries((await orm.em.fork().find(JobEntity, {})).map((j) => [j.subject, j.state]));
/** Two sides of a promise that a test opens by hand. */
const gate = () => {
  let open = () => {};
  const opened = new Promise<void>((resolve) => (open = resolve));
  return { open, opened };
};

test('jobs are done in the order of priority, then of asking', async () => {
  const done: string[] = [];
  jobs.register(
    'work',
    handler(async (job) => void done.push(job.subject)),
  );
  for (const [subject, priority] of [
    ['late', 5],
    ['first', 0],
    ['second', 0],
    ['middle', 2],
  ] as const)
    await enqueue(subject, priority);
  await jobs.start();
  await jobs.idle();
  expect(done).toEqual(['first', 'second', 'middle', 'late']);
  expect(await states()).toEqual({ first: 'done', second: 'done', middle: 'done', late: 'done' });
});

test('no more run at once than a kind allows, and kinds do not wait for each other', async () => {
  const { open, opened } = gate();
  const running: string[] = [];
  jobs.register(
    'slow',
    handler(async (job) => {
      running.push(job.subject);
      await opened;
    }, 2),
  );
  jobs.register(
    'quick',
    handler(async (job) => void running.push(job.subject)),
  );
  for (const subject of ['a', 'b', 'c']) await enqueue(subject, 0, 'slow');
  await enqueue('q', 9, 'quick');
  await jobs.start();
  await new Promise((resolve) => setTimeout(resolve, 150));
  expect(running.sort()).toEqual(['a', 'b', 'q']);
  expect((await jobs.line('slow')).sort()).toEqual(['a', 'b', 'c']);
  open();
  await jobs.idle();
  expect(running.sort()).toEqual(['a', 'b', 'c', 'q']);
});

test('the same subject waits only once', async () => {
  let runs = 0;
  jobs.register(
    'work',
    handler(async () => void runs++),
  );
  await enqueue('same');
  await enqueue('same');
  await jobs.start();
  await jobs.idle();
  expect(runs).toBe(1);
  await enqueue('same');
  await jobs.idle();
  expect(runs).toBe(2);
});

test('a job that fails is tried three times, then told of', async () => {
  let tries = 0;
  const failed: string[] = [];
  jobs.register('work', {
    concurrency: 1,
    run: async () => {
      tries++;
      throw new Error('broken');
    },
    failed: async (job, error) => void failed.push(`${job.subject}: ${error.message}`),
  });
  await enqueue('bad');
  await jobs.start();
  await jobs.idle();
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(tries).toBe(3);
  expect(failed).toEqual(['bad: broken']);
  expect(await orm.em.fork().findOne(JobEntity, { subject: 'bad' })).toMatchObject({
    state: 'failed',
    error: 'broken',
    attempts: 3,
  });
});

test('jobs are cancelled in line, and by their handler', async () => {
  const done: string[] = [];
  jobs.register(
    'work',
    handler(async (job) => {
      if (job.subject === 'given up') throw new JobCancelled();
      done.push(job.subject);
    }),
  );
  for (const subject of ['stays', 'goes', 'given up']) await enqueue(subject);
  expect(await jobs.cancelQueued('work', 'goes')).toBe(true);
  expect(await jobs.cancelQueued('work', 'never there')).toBe(false);
  await jobs.start();
  await jobs.idle();
  expect(done).toEqual(['stays']);
  expect(await states()).toEqual({ stays: 'done', goes: 'cancelled', 'given up': 'cancelled' });
});

test('what a dead process left running is done by the next one', async () => {
  const em = orm.em.fork();
  em.create(JobEntity, {
    id: 'x',
    kind: 'work',
    subject: 'orphan',
    payload: {},
    state: 'running',
    priority: 0,
    sequence: 1,
    attempts: 1,
    leaseOwner: 'somebody else',
    leaseUntil: new Date(),
    createdAt: new Date(),
  });
  await em.flush();
  const done: string[] = [];
  jobs.register(
    'work',
    handler(async (job) => void done.push(`${job.subject} ${job.attempts}`)),
  );
  await jobs.start();
  await jobs.idle();
  expect(done).toEqual(['orphan 2']);
});

test('held jobs wait until they are released; what runs goes on, and others pass them', async () => {
  const { open, opened } = gate();
  const done: string[] = [];
  jobs.register(
    'work',
    handler(async (job) => {
      if (job.subject === 'running') await opened;
      done.push(job.subject);
    }),
  );
  for (const subject of ['running', 'held', 'other']) await enqueue(subject);
  await jobs.start();
  while ((await states()).running !== 'running') await new Promise((resolve) => setTimeout(resolve, 5));
  await jobs.hold('work', ['running', 'held']);
  open();
  await jobs.idle();
  expect(done).toEqual(['running', 'other']);
  expect(await states()).toEqual({ running: 'done', held: 'held', other: 'done' });
  // somebody who asks for it again does not double it
  await enqueue('held');
  expect(Object.keys(await states())).toHaveLength(3);
  await jobs.release('work', ['held']);
  await jobs.idle();
  expect(done).toEqual(['running', 'other', 'held']);
});

test('a held job can be cancelled', async () => {
  jobs.register(
    'work',
    handler(() => Promise.resolve()),
  );
  await enqueue('a');
  await jobs.hold('work', ['a']);
  expect(await jobs.cancelQueued('work', 'a')).toBe(true);
  await jobs.start();
  await jobs.idle();
  expect(await states()).toEqual({ a: 'cancelled' });
});
