import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { MikroORM } from '@mikro-orm/better-sqlite';
import { onBehalfOf, personAsking } from '../access/asker';
import { databaseOptions } from '../database/options';
import { together } from '../database/together';
import { JobEntity, type Job } from './job.entity';
import { JobCancelled, JobsService, type JobHandler } from './jobs.service';
import { ENTITIES } from '../../entities';

let folder: string;
let orm: MikroORM;
let jobs: JobsService;
beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'));
  orm = await MikroORM.init(databaseOptions(path.join(folder, 'x.sqlite'), ENTITIES));
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
const cancel = (subject: string) => jobs.cancelQueued(orm.em.fork(), 'work', [subject]);
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
  // what is done leaves nothing behind
  expect(await states()).toEqual({});
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
  expect((await jobs.queue('slow')).sort()).toEqual(['a', 'b', 'c']);
  open();
  await jobs.idle();
  expect(running.sort()).toEqual(['a', 'b', 'c', 'q']);
});

describe('people take turns', () => {
  const enqueueFor = (person: string, ...jobs: readonly (readonly [subject: string, priority?: number])[]) =>
    onBehalfOf(person || undefined, () =>
      jobs.reduce((before, [subject, priority]) => before.then(() => enqueue(subject, priority)), Promise.resolve()),
    );
  const doneBy = async () => {
    const done: string[] = [];
    jobs.register(
      'work',
      handler(async (job) => void done.push(job.subject)),
    );
    await jobs.start();
    await jobs.idle();
    return done;
  };

  test('a long run of one lets the others in after each of its jobs', async () => {
    await enqueueFor('petra', ['p1'], ['p2'], ['p3'], ['p4']);
    await enqueueFor('juna', ['j1'], ['j2']);
    await enqueueFor('brom', ['b1'], ['b2']);
    expect(await doneBy()).toEqual(['p1', 'j1', 'b1', 'p2', 'j2', 'b2', 'p3', 'p4']);
  });

  test('whoever works alone, or nobody, is one of them', async () => {
    await enqueueFor('', ['a1'], ['a2']);
    await enqueueFor('juna', ['j1']);
    expect(await doneBy()).toEqual(['a1', 'j1', 'a2']);
  });

  test('what is more urgent goes first, whosever turn it is', async () => {
    await enqueueFor('petra', ['p1', 1], ['p2', 1]);
    await enqueueFor('juna', ['j1', 1], ['j0', 0]);
    expect(await doneBy()).toEqual(['j0', 'p1', 'j1', 'p2']);
  });

  test('what a job asks for is asked for by whoever asked for the job', async () => {
    const seen: (string | undefined)[] = [];
    jobs.register(
      'work',
      handler(async (job) => {
        seen.push(personAsking());
        if (job.subject === 'first') await enqueue('second');
      }),
    );
    await enqueueFor('juna', ['first']);
    await jobs.start();
    await jobs.idle();
    expect(seen).toEqual(['juna', 'juna']);
  });
});

describe('a quick place', () => {
  const { open, opened } = gate();
  const begun: string[] = [];

  test('is for one job of priority 0 while all others do what nobody waits for', async () => {
    jobs.register('work', {
      concurrency: 2,
      quick: true,
      run: async ({ subject }) => {
        begun.push(subject);
        await opened;
      },
    });
    for (const [subject, priority] of [
      ['long 1', 3],
      ['long 2', 3],
      ['long 3', 3],
    ] as const)
      await enqueue(subject, priority);
    await jobs.start();
    const have = async (count: number) => {
      for (let k = 0; k < 100 && begun.length < count; k++) await new Promise((done) => setTimeout(done, 10));
      await new Promise((done) => setTimeout(done, 60));
      return begun;
    };
    expect(await have(2)).toEqual(['long 1', 'long 2']);
    await enqueue('draft 1');
    await enqueue('draft 2');
    expect(await have(3)).toEqual(['long 1', 'long 2', 'draft 1']);
    open();
    await jobs.idle();
    expect(begun).toEqual(['long 1', 'long 2', 'draft 1', 'draft 2', 'long 3']);
  });
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

test('jobs are cancelled in the queue, and by their handler', async () => {
  const done: string[] = [];
  jobs.register(
    'work',
    handler(async (job) => {
      if (job.subject === 'given up') throw new JobCancelled();
      done.push(job.subject);
    }),
  );
  for (const subject of ['stays', 'goes', 'given up']) await enqueue(subject);
  expect(await cancel('goes')).toBe(1);
  expect(await cancel('never there')).toBe(0);
  await jobs.start();
  await jobs.idle();
  expect(done).toEqual(['stays']);
  expect(await states()).toEqual({});
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
    crashes: 0,
    leaseOwner: 'somebody else',
    leaseUntil: new Date(),
    createdAt: new Date(),
  });
  await em.flush();
  const done: string[] = [];
  jobs.register(
    'work',
    handler(async (job) => void done.push(`${job.subject} ${job.attempts} ${job.crashes}`)),
  );
  await jobs.start();
  await jobs.idle();
  // the restart is no failed try, but it is remembered
  expect(done).toEqual(['orphan 1 1']);
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
  await jobs.hold(orm.em.fork(), 'work', ['running', 'held']);
  open();
  await jobs.idle();
  expect(done).toEqual(['running', 'other']);
  expect(await states()).toEqual({ held: 'held' });
  // somebody who asks for it again does not double it
  await enqueue('held');
  expect(await orm.em.fork().count(JobEntity, {})).toBe(1);
  await jobs.release(orm.em.fork(), 'work', ['held']);
  await jobs.idle();
  expect(done).toEqual(['running', 'other', 'held']);
});

test('a held job can be cancelled', async () => {
  jobs.register(
    'work',
    handler(() => Promise.resolve()),
  );
  await enqueue('a');
  await jobs.hold(orm.em.fork(), 'work', ['a']);
  expect(await cancel('a')).toBe(1);
  await jobs.start();
  await jobs.idle();
  expect(await states()).toEqual({});
});

/** A job as a process left it that is gone. */
async function leftRunning(subject: string, fields: Partial<Job> = {}): Promise<void> {
  const em = orm.em.fork();
  em.create(JobEntity, {
    id: subject,
    kind: 'work',
    subject,
    payload: {},
    state: 'running',
    priority: 0,
    sequence: 1,
    attempts: 0,
    crashes: 0,
    leaseOwner: 'somebody else',
    leaseUntil: new Date(),
    createdAt: new Date(),
    ...fields,
  });
  await em.flush();
}

describe('a job that takes the process with it', () => {
  const told: string[] = [];
  const suspect: JobHandler = {
    concurrency: 3,
    run: () => Promise.resolve(),
    failed: async (job, error) => void told.push(`${job.subject}: ${error.message}`),
    again: async (job) => void told.push(`${job.subject} again`),
  };
  beforeEach(() => told.splice(0));

  test('is set aside with its reason the third time, shown, and can be tried again', async () => {
    jobs.register('work', suspect);
    await leftRunning('deadly', { crashes: 2 });
    await leftRunning('innocent', { crashes: 0 });
    await jobs.start();
    await jobs.idle();
    expect(await states()).toEqual({ deadly: 'aside' });
    expect(told).toEqual(['deadly: ' + (await jobs.troubled())[0].error]);
    expect((await jobs.troubled())[0].error).toMatch(/ended 3 times.*try it again/);
    expect(await jobs.retry('deadly')).toBe(true);
    await jobs.idle();
    expect(await states()).toEqual({});
    expect(told.pop()).toBe('deadly again');
    expect(await jobs.retry('deadly')).toBe(false);
  });

  test('runs alone when it is tried again, so that nobody else is blamed', async () => {
    const { open, opened } = gate();
    const together: string[][] = [];
    const now = new Set<string>();
    jobs.register('work', {
      ...suspect,
      run: async (job) => {
        now.add(job.subject);
        together.push([...now]);
        await (job.subject === 'suspect' ? opened : Promise.resolve());
        now.delete(job.subject);
      },
    });
    await leftRunning('suspect');
    await enqueue('a');
    await enqueue('b');
    await jobs.start();
    while (!now.has('suspect')) await new Promise((resolve) => setTimeout(resolve, 5));
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect(together).toEqual([['suspect']]);
    open();
    await jobs.idle();
    expect(together.filter((names) => names.includes('suspect'))).toEqual([['suspect']]);
    expect(together).toHaveLength(3);
  });

  test('is not blamed for an end that was announced', async () => {
    const { open, opened } = gate();
    jobs.register('work', { ...suspect, run: () => opened });
    await enqueue('patient');
    await jobs.start();
    while ((await states()).patient !== 'running') await new Promise((resolve) => setTimeout(resolve, 5));
    const closing = jobs.onModuleDestroy();
    open();
    await closing;
    // it came to its end meanwhile, or waits as if it had never begun
    const left = await orm.em.fork().findOne(JobEntity, { subject: 'patient' });
    expect(left === null || (left.state === 'queued' && left.crashes === 0 && left.attempts === 0)).toBe(true);
  });
});

test('a job whose holder gave no sign for a whole lease is taken over while this process runs', async () => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'nextTick', 'queueMicrotask', 'setTimeout', 'Date'] });
  try {
    const done: string[] = [];
    jobs.register(
      'work',
      handler(async (job) => void done.push(job.subject)),
    );
    await jobs.start();
    await leftRunning('expired', { leaseUntil: new Date(Date.now() - 1) });
    await leftRunning('alive', { leaseUntil: new Date(Date.now() + 60_000) });
    jest.advanceTimersByTime(6_000);
    while (!done.length) await new Promise((resolve) => setTimeout(resolve, 5));
    expect(done).toEqual(['expired']);
    expect(await states()).toEqual({ alive: 'running' });
  } finally {
    jest.useRealTimers();
  }
});

test('while the disk is full the queue waits, and goes on by itself without using up tries', async () => {
  let room = false;
  let tries = 0;
  jobs.register(
    'work',
    handler(async () => {
      tries++;
      if (!room) throw Object.assign(new Error('write failed'), { code: 'ENOSPC' });
    }),
  );
  await enqueue('big');
  await jobs.start();
  while (!jobs.waitsForRoom) await new Promise((resolve) => setTimeout(resolve, 5));
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(await orm.em.fork().findOne(JobEntity, { subject: 'big' })).toMatchObject({
    state: 'queued',
    attempts: 0,
    crashes: 0,
  });
  room = true;
  await jobs.idle();
  expect(jobs.waitsForRoom).toBe(false);
  expect(await states()).toEqual({});
  expect(tries).toBeGreaterThan(1);
});

test('eight who ask for the same at once get one job', async () => {
  await Promise.all(Array.from({ length: 8 }, () => enqueue('same')));
  expect(await orm.em.fork().count(JobEntity, {})).toBe(1);
});

test('what is asked for in a transaction that fails was never asked for', async () => {
  await expect(
    together(orm.em.fork(), async (em) => {
      await jobs.enqueue(em, { kind: 'work', subject: 'half' });
      throw new Error('the rest went wrong');
    }),
  ).rejects.toThrow('the rest');
  expect(await orm.em.fork().count(JobEntity, {})).toBe(0);
});
