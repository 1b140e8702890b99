import { openMemory, putTake, type Memory } from '../test/memory';
import type { Measurements } from './take.entity';
import { timeLeft, usualTime } from './usualTime';

let memory: Memory;
beforeEach(async () => {
  memory = await openMemory();
});
afterEach(() => memory.close());

/** Takes that ended one after the other, with these times of two steps each. */
async function took(times: readonly (readonly [number, number])[], fields: Parameters<typeof putTake>[1] = {}) {
  const em = memory.em();
  times.forEach(([painter, look], k) =>
    putTake(em, {
      measurements: { arrivals: {}, timings: { painter, look } } as Measurements,
      finishedAt: new Date(1e12 + k * 1000),
      ...fields,
    }),
  );
  await em.flush();
}

test('nothing is known while there is no take', async () => {
  expect(await usualTime(memory.em(), 'draft')).toBeUndefined();
});

test('it is the median of all steps together, in whole milliseconds', async () => {
  await took([
    [100, 20.4],
    [5000, 1000],
    [90, 10],
  ]);
  expect(await usualTime(memory.em(), 'draft')).toBe(120);
});

test('only the last nine count, and only those of the quality', async () => {
  await took([[9000, 0]], { quality: 'proof' });
  await took([
    ...Array.from({ length: 9 }, () => [8000, 0] as const),
    ...Array.from({ length: 9 }, () => [50, 0] as const),
  ]);
  expect(await usualTime(memory.em(), 'draft')).toBe(50);
  expect(await usualTime(memory.em(), 'proof')).toBe(9000);
});

test('controls, failures and takes without measurements do not count', async () => {
  await took([[70, 0]], { isControl: true });
  await took([[80, 0]], { status: 'failed' });
  await took([[90, 0]], { measurements: null });
  expect(await usualTime(memory.em(), 'draft')).toBeUndefined();
});

describe('what the queue will need', () => {
  const draft = (status: 'queued' | 'rendering') => ({ quality: 'draft', status }) as const;

  test('each take counts at the usual time of its quality, half of one that is being rendered', async () => {
    await took([[1000, 0]]);
    await took([[8000, 0]], { quality: 'proof' });
    const open = [draft('rendering'), draft('queued'), { quality: 'proof', status: 'queued' } as const];
    expect(await timeLeft(memory.em(), open, 1)).toBe(9500);
    expect(await timeLeft(memory.em(), open, 2)).toBe(4750);
  });

  test('nothing is told where nothing like it was rendered, or nothing waits', async () => {
    expect(await timeLeft(memory.em(), [draft('queued')], 1)).toBeUndefined();
    await took([[1000, 0]]);
    expect(await timeLeft(memory.em(), [], 1)).toBeUndefined();
  });
});
