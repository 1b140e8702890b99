import fc from 'fast-check';
import { axisFault, cellsOf, evenly, leaveOneOut, MOST_VALUES, withValue, type Axis } from './axes';
import { differences } from './differences';
import { misses, MOST_DRAFTS, NEAR_ENOUGH, solveStep, type Targets, type Trial } from './solve';
import type { TrialInfluence, TrialState } from './state';

const influence = (id: string, fields: Partial<TrialInfluence> = {}): TrialInfluence => ({
  id,
  referenceId: `r-${id}`,
  gives: 'look',
  weight: 0.8,
  from: 0,
  to: 1,
  reading: 'normal',
  on: true,
  ...fields,
});
const mix = (fields: Partial<TrialState> = {}): TrialState => ({
  prompt: 'a mill',
  avoid: '',
  settings: { aspect: '3:2', seed: 3, balance: 1 },
  influences: [influence('a'), influence('b', { weight: 0.4, gives: 'layout' })],
  ...fields,
});
const name = (i: TrialInfluence) => i.referenceId.replace('r-', 'Picture ');

describe('axes', () => {
  test('a strip has a cell per value, a table a cell per pair, row by row', () => {
    const across: Axis = { setting: 'weight', influence: 'a', values: [0, 0.5, 1] };
    const down: Axis = { setting: 'seed', values: [7, 8] };
    expect(cellsOf(mix(), [across]).map((m) => m.influences[0].weight)).toEqual([0, 0.5, 1]);
    const table = cellsOf(mix(), [across, down]);
    expect(table.map((m) => [m.settings.seed, m.influences[0].weight])).toEqual([
      [7, 0],
      [7, 0.5],
      [7, 1],
      [8, 0],
      [8, 0.5],
      [8, 1],
    ]);
  });

  test('every setting changes just what it names', () => {
    const started = mix({ settings: { seed: 3, balance: 1, start: { of: 'take', id: 't', change: 0.2 } } });
    const set = (axis: Omit<Axis, 'values'>, value: number | string) =>
      withValue(started, { ...axis, values: [value] }, value);
    expect(set({ setting: 'from', influence: 'b' }, 0.6).influences[1]).toMatchObject({ from: 0.6, to: 1 });
    expect(set({ setting: 'to', influence: 'b' }, 0.3).influences[1]).toMatchObject({ from: 0, to: 0.3 });
    expect(set({ setting: 'gives', influence: 'a' }, 'palette').influences[0].gives).toBe('palette');
    expect(set({ setting: 'reading', influence: 'a' }, 'hint').influences[0].reading).toBe('hint');
    expect(set({ setting: 'swap', influence: 'a' }, 'look:L9').influences[0]).toMatchObject({
      of: 'look',
      referenceId: 'L9',
    });
    expect(set({ setting: 'balance' }, 0.5).settings.balance).toBe(0.5);
    expect(set({ setting: 'spread' }, 0).settings.spread).toBe(0);
    expect(set({ setting: 'change' }, 0.9).settings.start).toEqual({ of: 'take', id: 't', change: 0.9 });
    expect(set({ setting: 'words' }, 'a quay').prompt).toBe('a quay');
    expect(set({ setting: 'without' }, 'a').influences.map((i) => i.id)).toEqual(['b']);
    expect(set({ setting: 'without' }, 'a/p1').influences[0].except).toEqual(['p1']);
    expect(set({ setting: 'without' }, '')).toEqual(started);
  });

  test('a fade keeps the larger weight in sum', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (part) => {
        const { influences } = withValue(mix(), { setting: 'fade', influence: 'a', other: 'b', values: [part] }, part);
        expect(influences[0].weight + influences[1].weight).toBeCloseTo(0.8);
        expect(influences[1].weight).toBeCloseTo(0.8 * part);
      }),
    );
  });

  test('what cannot be stepped through is told with its reason', () => {
    const fault = (axis: Partial<Axis>) =>
      axisFault({ setting: 'weight', influence: 'a', values: [1], ...axis }, mix());
    expect(fault({})).toBeUndefined();
    expect(fault({ influence: 'z' })).toMatch(/not in the mix/);
    expect(fault({ values: [] })).toMatch(/1 to 12/);
    expect(fault({ values: [5] })).toMatch(/from 0 to 4/);
    expect(fault({ values: ['much'] })).toMatch(/"much"/);
    expect(fault({ setting: 'seed', values: [1.5] })).toMatch(/whole/);
    expect(fault({ setting: 'gives', values: ['smell'] })).toMatch(/smell/);
    expect(fault({ setting: 'fade', values: [0.5] })).toMatch(/from one influence/);
    expect(fault({ setting: 'change', values: [0.5] })).toMatch(/start picture/);
    expect(fault({ setting: 'without', values: ['', 'q'] })).toMatch(/not in the mix/);
    expect(fault({ setting: 'words', values: [3] })).toMatch(/words/);
    expect(axisFault({ setting: 'smell' as 'seed', values: [1] }, mix())).toMatch(/no setting/);
  });

  test('leave one out: the whole mix first, then without each that acts, single pictures where there are several', () => {
    const state = mix({ influences: [influence('a'), influence('b', { on: false }), influence('c', { weight: 0 })] });
    expect(leaveOneOut(state, { a: ['p', 'q'] }).values).toEqual(['', 'a', 'a/p', 'a/q']);
    expect(leaveOneOut(state, { a: ['p'] }).values).toEqual(['', 'a']);
    const many = leaveOneOut(state, { a: Array.from({ length: 30 }, (_, k) => `p${k}`) });
    expect(many.values).toHaveLength(MOST_VALUES);
    expect(axisFault(many, state)).toBeUndefined();
  });

  test('even steps', () => {
    expect(evenly(0, 1, 5)).toEqual([0, 0.25, 0.5, 0.75, 1]);
    expect(evenly(0.3, 0.9, 1)).toEqual([0.3]);
  });
});

describe('differences', () => {
  test('nothing differs from itself', () => expect(differences(mix(), mix(), name)).toEqual([]));

  test('every change is told once, in words', () => {
    const after = mix({
      prompt: 'a quay',
      settings: { aspect: '1:1', seed: 4, balance: 1.5, spread: 0.5, start: { of: 'take', id: 't', change: 0.4 } },
      influences: [influence('a', { weight: 1.1, from: 0.2, referenceId: 'r-z' }), influence('c', { gives: 'face' })],
    });
    expect(differences(mix(), after, name)).toEqual([
      'words: “a mill” → “a quay”',
      'seed 3 → 4',
      'plate 3:2 → 1:1',
      'balance 1 → 1.5',
      'spread 1 → 0.5',
      'start picture, changed 40 %',
      'Picture a replaced by Picture z',
      'Picture z 0.8 → 1.1',
      'Picture z from 0 %–100 % to 20 %–100 %',
      'Picture b taken out',
      'Picture c added, gives face, 0.8',
    ]);
  });

  test('small things count too', () => {
    const told = (fields: Partial<TrialInfluence>) =>
      differences(mix(), mix({ influences: [influence('a', fields), mix().influences[1]] }), name);
    expect(told({ on: false })).toEqual(['Picture a off']);
    expect(told({ reading: 'close' })).toEqual(['Picture a read close instead of normal']);
    expect(told({ motif: 1.4 })).toEqual(['strokes of Picture a 100 % → 140 %']);
    expect(told({ motif: 1 })).toEqual([]);
    expect(told({ gives: 'palette' })).toEqual(['Picture a gives palette instead of look']);
    expect(told({ subject: 'Ilse' })).toEqual(['Picture a acts on Ilse']);
    expect(told({ parts: ['hair'] })).toEqual(['Picture a carries hair']);
    expect(told({ region: { content: 'm' } })).toEqual(['Picture a bound to a region']);
    expect(told({ except: ['p'] })).toEqual(['Picture a without 1 of its pictures']);
    const turned = mix({ influences: [...mix().influences].reverse() });
    expect(differences(mix(), turned, name)).toEqual(['order of the influences changed']);
  });
});

describe('solve', () => {
  /** A stand-in for rendering: arrivals that saturate, references that take from each other, words that give way. */
  const measured = (weights: Readonly<Record<string, number>>, strength: Readonly<Record<string, number>>): Trial => {
    const ids = Object.keys(weights);
    const total = ids.reduce((s, id) => s + weights[id], 0);
    const arrivals = Object.fromEntries(
      ids.map((id) => [id, strength[id] * (1 - Math.exp(-1.6 * weights[id])) * (1 - 0.12 * (total - weights[id]))]),
    );
    return { weights, arrivals, wordsKept: Math.max(0, 1 - 0.3 * total) };
  };
  const search = (targets: Targets, strength: Readonly<Record<string, number>>) => {
    const path: Trial[] = [];
    for (;;) {
      const step = solveStep({ a: 0.8, b: 0.8 }, targets, path);
      if (step.say !== 'try') return { ...step, path };
      path.push(measured(step.weights, strength));
    }
  };

  test('finds weights that meet two targets in few drafts', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        (wa, wb) => {
          const strength = { a: 0.9, b: 0.8 };
          const { arrivals } = measured({ a: wa, b: wb }, strength);
          const { say, best, path } = search({ arrivals }, strength);
          expect(say).toBe('met');
          expect(Math.max(...misses(path[best], { arrivals }).map(Math.abs))).toBeLessThanOrEqual(NEAR_ENOUGH);
          expect(path.length).toBeLessThanOrEqual(MOST_DRAFTS);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('says so when targets cannot be met together, with the nearest', () => {
    const { say, best, reason, path } = search({ arrivals: { a: 0.85, b: 0.75 }, wordsKept: 0.9 }, { a: 0.9, b: 0.8 });
    expect(say).toBe('cannot');
    expect(reason).toMatch(/nearest misses (a reference|the words) by \d+ points/);
    const off = path.map((t) =>
      Math.max(...misses(t, { arrivals: { a: 0.85, b: 0.75 }, wordsKept: 0.9 }).map(Math.abs)),
    );
    expect(off[best]).toBe(Math.min(...off));
    expect(path.length).toBeLessThanOrEqual(MOST_DRAFTS);
  });

  test('words count only while they are missing', () => {
    const trial = { weights: { a: 1 }, arrivals: { a: 0.5 }, wordsKept: 0.9 };
    expect(misses(trial, { arrivals: { a: 0.5 }, wordsKept: 0.7 })).toEqual([0, 0]);
    expect(misses(trial, { arrivals: { a: 0.5 }, wordsKept: 1 })[1]).toBeCloseTo(0.1);
  });

  test('never tries weights outside 0..2, nor the same twice', () => {
    const { path } = search({ arrivals: { a: 1, b: 0 } }, { a: 0.3, b: 0.9 });
    for (const { weights } of path) for (const w of Object.values(weights)) expect(w >= 0 && w <= 2).toBe(true);
    expect(new Set(path.map((t) => JSON.stringify(t.weights))).size).toBe(path.length);
  });
});
