import fc from 'fast-check';
import { merge, sameData } from '@urbild/core';
import { Refused, SaveQueue, Stale, Withheld, type Kept, type Port, type Stored } from './saveQueue';

interface Mix {
  readonly name: string;
  readonly prompt: string;
  readonly influences: readonly { readonly id: string; readonly weight: number }[];
}

const START: Stored<Mix> = {
  state: {
    name: 'One',
    prompt: '',
    influences: [
      { id: 'look', weight: 1 },
      { id: 'ilse', weight: 1 },
    ],
  },
  version: 1,
};

/** A server with versions, on which others can write too; answers come when the test lets them. */
class Server {
  stored = START;
  writes: Partial<Mix>[] = [];
  conflicts = 0;
  atOnce = 0;
  mostAtOnce = 0;
  delay = () => 5;
  broken: (() => Error | undefined) | undefined;

  readonly port: Port<Mix> = {
    send: async (change, basedOn) => {
      this.mostAtOnce = Math.max(this.mostAtOnce, ++this.atOnce);
      await new Promise((resolve) => setTimeout(resolve, this.delay()));
      this.atOnce--;
      const error = this.broken?.();
      if (error) throw error;
      if (basedOn !== this.stored.version) {
        this.conflicts++;
        throw new Stale(this.stored);
      }
      this.writes.push(change);
      this.stored = { state: { ...this.stored.state, ...change }, version: basedOn + 1 };
      return this.stored;
    },
  };

  /** Somebody else's write. */
  other(make: (state: Mix) => Mix): void {
    this.stored = { state: make(this.stored.state), version: this.stored.version + 1 };
  }
}

let server: Server;
let kept: Kept<Mix>[];
const open = (stored = server.stored) => new SaveQueue<Mix>(stored, { port: server.port, keep: (k) => kept.push(k) });
beforeEach(() => {
  jest.useFakeTimers();
  server = new Server();
  kept = [];
});
afterEach(() => jest.useRealTimers());
const settle = () => jest.advanceTimersByTimeAsync(60_000);
const weight = (id: string, w: number) => (m: Mix) => ({
  ...m,
  influences: m.influences.map((i) => (i.id === id ? { ...i, weight: w } : i)),
});

test('changes show at once, go one after the other, and those that come meanwhile go together', async () => {
  const queue = open();
  server.delay = () => 100;
  for (let k = 1; k <= 30; k++) {
    queue.change((m) => ({ ...m, prompt: 'x'.repeat(k) }));
    expect(queue.view().state.prompt).toHaveLength(k);
    await jest.advanceTimersByTimeAsync(33);
  }
  expect(queue.view().saved).toBe(false);
  await settle();
  expect(queue.view()).toMatchObject({ saved: true, problem: undefined, conflicts: [] });
  expect(server.stored.state).toEqual(queue.view().state);
  expect(server.mostAtOnce).toBe(1);
  expect(server.conflicts).toBe(0);
  expect(server.writes.length).toBeLessThan(15);
});

test('only what changed is sent', async () => {
  const queue = open();
  queue.change((m) => ({ ...m, prompt: 'reeds' }));
  await settle();
  expect(server.writes).toEqual([{ prompt: 'reeds' }]);
});

describe('what one may not do any more', () => {
  const withheld = () => {
    server.broken = () => new Withheld('As a viewer you may not change anything here.');
    const queue = open();
    queue.change((s) => ({ ...s, prompt: 'a quay' }));
    return queue;
  };

  test('stays as it was typed, says why, and is saved when one may again', async () => {
    const queue = withheld();
    await jest.advanceTimersByTimeAsync(1000);
    expect(queue.view()).toMatchObject({
      state: { prompt: 'a quay' },
      saved: false,
      withheld: true,
      problem: 'As a viewer you may not change anything here.',
    });
    server.broken = undefined;
    await jest.advanceTimersByTimeAsync(16_000);
    expect(server.stored.state.prompt).toBe('a quay');
    expect(queue.view()).toMatchObject({ saved: true, withheld: false, problem: undefined });
  });

  test('can be given up: then it is as the server has it, and nothing is sent', async () => {
    const queue = withheld();
    await jest.advanceTimersByTimeAsync(1000);
    queue.giveUp();
    expect(queue.view()).toMatchObject({ state: { prompt: '' }, saved: true, withheld: false, problem: undefined });
    server.broken = undefined;
    await jest.advanceTimersByTimeAsync(60_000);
    expect(server.writes).toEqual([]);
  });
});

test('a write that the server takes for no change, and gives no new version, is not sent again and again', async () => {
  let writes = 0;
  const port: Port<Mix> = {
    send: (change, version) => Promise.resolve({ state: { ...START.state, ...change, ...(writes++, {}) }, version }),
  };
  const queue = new SaveQueue<Mix>(START, { port, keep: () => {} });
  queue.change((s) => ({ ...s, prompt: 'a quay' }));
  await jest.advanceTimersByTimeAsync(5000);
  expect(writes).toBe(1);
  expect(queue.view()).toMatchObject({ saved: true, state: { prompt: 'a quay' } });
});

test('what others did is merged field by field, in the answer to a write and from a read', async () => {
  const queue = open();
  server.other(weight('ilse', 0.4));
  queue.change(weight('look', 0.7));
  await settle();
  expect(server.stored.state.influences).toEqual([
    { id: 'look', weight: 0.7 },
    { id: 'ilse', weight: 0.4 },
  ]);
  expect(queue.view().state).toEqual(server.stored.state);
  server.other((m) => ({ ...m, name: 'Theirs' }));
  queue.arrived(server.stored);
  expect(queue.view().state.name).toBe('Theirs');
});

test('a field that both changed is asked about, and nothing is saved or lost until it is decided', async () => {
  const queue = open();
  server.other((m) => ({ ...m, name: 'Theirs' }));
  queue.change((m) => ({ ...m, name: 'Mine' }));
  await settle();
  expect(queue.view().state.name).toBe('Mine');
  expect(server.stored.state.name).toBe('Theirs');
  const [conflict] = queue.view().conflicts;
  expect(conflict).toMatchObject({ path: ['name'], base: 'One', theirs: 'Theirs', mine: 'Mine' });
  queue.change((m) => ({ ...m, prompt: 'typed meanwhile' }));
  await settle();
  expect(server.stored.state.prompt).toBe('');
  queue.decide(conflict, 'theirs');
  await settle();
  expect(server.stored.state).toMatchObject({ name: 'Theirs', prompt: 'typed meanwhile' });
  server.other((m) => ({ ...m, name: 'Again theirs' }));
  queue.change((m) => ({ ...m, name: 'Again mine' }));
  await settle();
  queue.decide(queue.view().conflicts[0], 'mine');
  await settle();
  expect(server.stored.state.name).toBe('Again mine');
});

test('a server that does not answer is asked again until it does; the reason is told meanwhile', async () => {
  const queue = open();
  let tries = 0;
  server.broken = () => (++tries < 6 ? new Error('does not answer') : undefined);
  queue.change((m) => ({ ...m, prompt: 'patience' }));
  await jest.advanceTimersByTimeAsync(1000);
  expect(queue.view()).toMatchObject({ saved: false, problem: 'does not answer' });
  await settle();
  expect(tries).toBe(6);
  expect(queue.view()).toMatchObject({ saved: true, problem: undefined });
  expect(server.stored.state.prompt).toBe('patience');
});

test('what is refused for good is taken back with the reason, but not what was changed after it', async () => {
  const reasons: string[] = [];
  const queue = open();
  queue.listen({ onRefused: (reason) => reasons.push(reason) });
  server.delay = () => 50;
  server.broken = () => new Refused('a name is needed');
  queue.change((m) => ({ ...m, name: '' }));
  await jest.advanceTimersByTimeAsync(20);
  queue.change(weight('look', 0.2));
  server.broken = (() => {
    let first = true;
    return () => {
      const error = first ? new Refused('a name is needed') : undefined;
      first = false;
      return error;
    };
  })();
  await settle();
  expect(reasons).toEqual(['a name is needed']);
  expect(queue.view().state).toMatchObject({ name: 'One' });
  expect(server.stored.state).toEqual(queue.view().state);
  expect(server.stored.state.influences[0].weight).toBe(0.2);
});

describe('undo', () => {
  test('takes back one’s own steps and leaves what others did; redo does them again', async () => {
    const queue = open();
    queue.change(weight('look', 0.5));
    queue.change((m) => ({ ...m, prompt: 'marsh' }));
    await settle();
    server.other(weight('ilse', 0.1));
    queue.arrived(server.stored);
    queue.undo();
    queue.undo();
    expect(queue.view()).toMatchObject({ canUndo: false, canRedo: true });
    expect(queue.view().state).toEqual(weight('ilse', 0.1)(START.state));
    queue.redo();
    queue.redo();
    await settle();
    expect(server.stored.state).toEqual({ ...weight('ilse', 0.1)(weight('look', 0.5)(START.state)), prompt: 'marsh' });
  });

  test('a drag is one step, quick typing is one step, slow typing several', () => {
    const queue = open();
    for (const w of [0.9, 0.8, 0.7]) queue.change(weight('look', w), { live: true });
    queue.change(weight('look', 0.6));
    queue.undo();
    expect(queue.view().state).toEqual(START.state);
    for (const text of ['r', 're', 'ree']) {
      queue.change((m) => ({ ...m, prompt: text }), { typed: true });
      jest.advanceTimersByTime(100);
    }
    jest.advanceTimersByTime(2000);
    queue.change((m) => ({ ...m, prompt: 'reed' }), { typed: true });
    queue.undo();
    expect(queue.view().state.prompt).toBe('ree');
    queue.undo();
    expect(queue.view().state.prompt).toBe('');
  });

  test('a new change forgets what could be done again', () => {
    const queue = open();
    queue.change(weight('look', 0.5));
    queue.undo();
    queue.change(weight('look', 0.3));
    expect(queue.view().canRedo).toBe(false);
  });
});

test('after a reload, or in the place of a window that was closed, nothing is lost: edits go on, steps can be undone', async () => {
  server.broken = () => new Error('gone');
  const before = open();
  before.change(weight('look', 0.5));
  before.change((m) => ({ ...m, prompt: 'half a sen' }), { typed: true });
  await jest.advanceTimersByTimeAsync(10);
  const left = JSON.parse(JSON.stringify(kept[kept.length - 1])) as Kept<Mix>;
  server.broken = undefined;
  server.other((m) => ({ ...m, name: 'Theirs' }));
  const after = open();
  after.change(weight('ilse', 0.9)); // edited before what was kept is found
  after.restore(left);
  await settle();
  expect(server.stored.state).toEqual({
    name: 'Theirs',
    prompt: 'half a sen',
    influences: [
      { id: 'look', weight: 0.5 },
      { id: 'ilse', weight: 0.9 },
    ],
  });
  after.undo();
  after.undo();
  expect(after.view().state.prompt).toBe('');
});

test('values decided upon while looking at an old state change just what they say', () => {
  const queue = open();
  const seen = queue.view().state;
  queue.set({ influences: weight('look', 0.2)(seen).influences }, seen);
  queue.set({ influences: weight('ilse', 0.3)(seen).influences }, seen);
  expect(queue.view().state.influences.map((i) => i.weight)).toEqual([0.2, 0.3]);
});

test('flush sends at once and waits; a page that goes away sends what is left', async () => {
  const queue = open();
  queue.change((m) => ({ ...m, prompt: 'now' }), { wait: 10_000 });
  const flushed = queue.flush();
  await jest.advanceTimersByTimeAsync(10);
  await flushed;
  expect(server.stored.state.prompt).toBe('now');
  const sent: boolean[] = [];
  const send = server.port.send.bind(server.port);
  server.port.send = (change, version, urgent) => {
    sent.push(urgent);
    return send(change, version, urgent);
  };
  queue.change((m) => ({ ...m, prompt: 'bye' }), { wait: 10_000 });
  queue.sendUrgently();
  await settle();
  expect(sent[0]).toBe(true);
  expect(server.stored.state.prompt).toBe('bye');
  queue.sendUrgently();
  expect(sent.filter(Boolean)).toHaveLength(1);
});

test('whatever two people do and whatever the line does: in the end both see what the server has, and no untouched field is lost', async () => {
  const act = fc.oneof(
    fc.record({ who: fc.constantFrom(0, 1), id: fc.constantFrom('look', 'ilse'), w: fc.integer({ min: 0, max: 20 }) }),
    fc.record({ who: fc.constantFrom(0, 1), undo: fc.boolean() }),
    fc.record({ fail: fc.boolean() }),
    fc.record({ wait: fc.integer({ min: 0, max: 400 }) }),
    fc.record({ read: fc.constantFrom(0, 1) }),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(act, { maxLength: 40 }), async (acts) => {
      server = new Server();
      const people = [open(), open()];
      for (const a of acts) {
        if ('w' in a) people[a.who].change(weight(a.id, a.w / 10));
        else if ('undo' in a) people[a.who][a.undo ? 'undo' : 'redo']();
        else if ('fail' in a) server.broken = a.fail ? () => new Error('down') : undefined;
        else if ('read' in a) people[a.read].arrived(server.stored);
        else await jest.advanceTimersByTimeAsync(a.wait);
      }
      server.broken = undefined;
      for (let round = 0; round < 4; round++) {
        await settle();
        for (const p of people) {
          p.arrived(server.stored);
          for (const c of p.view().conflicts) p.decide(c, 'theirs');
        }
      }
      for (const p of people) {
        expect(p.view()).toMatchObject({ saved: true, conflicts: [], problem: undefined });
        expect(sameData(p.view().state, server.stored.state)).toBe(true);
      }
      expect(merge(START.state, START.state, server.stored.state).merged.influences.map((i) => i.id)).toEqual([
        'look',
        'ilse',
      ]);
    }),
    { numRuns: 60, examples: [[[{ fail: true }, { who: 1, id: 'look', w: 0 }, { wait: 9 }, { who: 1, undo: true }]]] },
  );
});
