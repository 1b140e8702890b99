import { Piscina } from 'piscina';
import { TaskFailed } from './task';
import { withinLimit } from './withinLimit';

/** A worker that never comes back when it is told to loop, says what it was told otherwise, and throws at "throw". */
const WORKER = `module.exports = async (what) => {
  if (what === 'loop') for (;;);
  if (what === 'throw') throw new Error('as asked');
  return what + ' by thread ' + require('worker_threads').threadId;
}`;

let pool: Piscina;
beforeAll(async () => {
  const { mkdtemp, writeFile } = await import('fs/promises');
  const folder = await mkdtemp(`${(await import('os')).tmpdir()}/urbild-test-`);
  await writeFile(`${folder}/worker.cjs`, WORKER);
  pool = new Piscina({ filename: `${folder}/worker.cjs`, minThreads: 1, maxThreads: 1 });
});
afterAll(() => pool.destroy());

test('a task that loops is thrown out with its thread, says why, and the next one runs in a new thread', async () => {
  const before = await withinLimit<string>(pool, 'first', 60_000);
  const looping = withinLimit(pool, 'loop', 300);
  const waiting = withinLimit<string>(pool, 'second', 60_000);
  await expect(looping).rejects.toMatchObject({
    failure: 'too-slow',
    message: expect.stringMatching(/longer than 0\.3 seconds.*PNG or JPEG/) as string,
  });
  await expect(looping).rejects.toBeInstanceOf(TaskFailed);
  const after = await waiting;
  expect(before).toMatch(/^first by thread \d+$/);
  expect(after).toMatch(/^second by thread \d+$/);
  expect(after.split(' ').pop()).not.toBe(before.split(' ').pop());
});

test('a task that fails in time fails with its own reason', async () => {
  await expect(withinLimit(pool, 'throw', 60_000)).rejects.toThrow('as asked');
});
