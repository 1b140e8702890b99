import type { UndoStep } from './undo';

const storage = new Map<string, string>();
beforeEach(() => {
  jest.resetModules();
  Object.assign(globalThis, {
    sessionStorage: {
      getItem: (name: string) => storage.get(name) ?? null,
      setItem: (name: string, text: string) => void storage.set(name, text),
    },
  });
});
afterEach(() => storage.clear());

/** The module as a page that was just loaded has it. */
const load = async (log: string[]) => {
  const undo = await import('./undo');
  undo.undoBy((step) => {
    if (step.kind !== 'document') return Promise.reject(new Error('refused'));
    log.push(`${step.name}: ${JSON.stringify(step.from)} to ${JSON.stringify(step.to)}`);
    return Promise.resolve({ ...step, from: step.to, to: step.from });
  });
  return undo;
};
const step = (name: string): UndoStep => ({ kind: 'document', name, from: { v: 2 }, to: { v: 1 } });

test('changes are undone in their order and done again; a new change ends what could be done again', async () => {
  const log: string[] = [];
  const { remember, stepBack } = await load(log);
  expect(await stepBack()).toBe(false);
  remember(step('a'));
  remember(step('b'));
  await stepBack();
  await stepBack();
  await stepBack(true);
  expect(log).toEqual(['b: {"v":2} to {"v":1}', 'a: {"v":2} to {"v":1}', 'a: {"v":1} to {"v":2}']);
  remember(step('c'));
  expect(await stepBack(true)).toBe(false);
});

test('steps survive a reload', async () => {
  const log: string[] = [];
  const before = await load(log);
  before.remember(step('a'));
  before.remember(step('b'));
  await before.stepBack();
  jest.resetModules();
  const after = await load(log);
  await after.stepBack();
  await after.stepBack(true);
  await after.stepBack(true);
  expect(log.map((line) => line[0])).toEqual(['b', 'a', 'a', 'b']);
});

test('a step that is refused is gone, and the one before it can still be undone', async () => {
  const log: string[] = [];
  const { remember, stepBack } = await load(log);
  remember(step('a'));
  remember({ kind: 'many', before: [] });
  await expect(stepBack()).rejects.toThrow('refused');
  expect(await stepBack()).toBe(true);
  expect(log).toHaveLength(1);
});

test('no more is kept than the browser has room for', async () => {
  const { remember } = await load([]);
  for (let k = 0; k < 30; k++)
    remember({ kind: 'document', name: `${k}`, from: { text: 'x'.repeat(100_000) }, to: {} });
  expect(storage.get('urbild-undo')!.length).toBeLessThan(1_600_000);
});
