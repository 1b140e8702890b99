import fc from 'fast-check';
import {
  atStep,
  AXIS_SETTINGS,
  axisFault,
  axisKind,
  canStep,
  cellsOf,
  leaveOneOut,
  MOST_VALUES,
  type Axis,
} from './axes';
import { evenly } from './setting';
import { aMix, anInfluence } from './testing';

describe('axes', () => {
  test('a strip has a cell per value, a table a cell per pair, row by row', () => {
    const across: Axis = { setting: 'weight', influence: 'a', values: [0, 0.5, 1] };
    const down: Axis = { setting: 'seed', values: [7, 8] };
    expect(cellsOf(aMix(), [across]).map((m) => m.influences[0].weight)).toEqual([0, 0.5, 1]);
    const table = cellsOf(aMix(), [across, down]);
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
    const started = aMix({
      settings: { aspect: '3:2', seed: 3, balance: 1, start: { of: 'take', id: 't', change: 0.2 } },
    });
    const set = (axis: Omit<Axis, 'values'>, value: number | string) =>
      atStep(started, { ...axis, values: [value] }, value);
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
        const { influences } = atStep(aMix(), { setting: 'fade', influence: 'a', other: 'b', values: [part] }, part);
        expect(influences[0].weight + influences[1].weight).toBeCloseTo(0.8);
        expect(influences[1].weight).toBeCloseTo(0.8 * part);
      }),
    );
  });

  test('what cannot be stepped through is told with its reason', () => {
    const fault = (axis: Partial<Axis>) =>
      axisFault({ setting: 'weight', influence: 'a', values: [1], ...axis }, aMix());
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
    expect(axisFault({ setting: 'smell' as 'seed', values: [1] }, aMix())).toMatch(/no setting/);
  });

  test('leave one out: the whole mix first, then without each that acts, single pictures where there are several', () => {
    const state = aMix({
      influences: [anInfluence('a'), anInfluence('b', { on: false }), anInfluence('c', { weight: 0 })],
    });
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

test('everything that can be stepped through offers steps that a mix takes, and each step changes the mix or is what it says already', () => {
  const state = aMix({ settings: { aspect: '3:2', seed: 3, balance: 1, start: { of: 'take', id: 't', change: 0.2 } } });
  for (const setting of AXIS_SETTINGS.filter((s) => canStep(s, state))) {
    const { ofInfluence, offered } = axisKind(setting);
    const of = ofInfluence ? { influence: 'a' } : {};
    const values = offered(state, state.influences[0]);
    const axis: Axis = { setting, ...of, ...(setting === 'fade' ? { other: 'b' } : {}), values };
    expect([setting, axisFault(axis, state)]).toEqual([setting, undefined]);
    const cells = cellsOf(state, [axis]).map((m) => JSON.stringify(m));
    expect(new Set(cells).size).toBe(new Set(values).size);
  }
});

test('what a mix lacks cannot be stepped through', () => {
  const bare = aMix({ influences: [] });
  expect(AXIS_SETTINGS.filter((s) => !canStep(s, bare))).toEqual(
    expect.arrayContaining(['weight', 'gives', 'fade', 'without', 'change']),
  );
  expect(canStep('fade', aMix({ influences: [anInfluence('a')] }))).toBe(false);
  expect(canStep('balance', bare)).toBe(true);
});
