import type { MixState } from '@urbild/core';
import { axisFault, axisKind } from '@urbild/core';
import type { Take } from '../../api/client';
import { firstAxis, labelOf, numbersIn, settingsFor, titleOf } from './axisForm';
import { bestCell, curveOf, scoreOf } from './cells';

const state: MixState = {
  prompt: 'a mill',
  avoid: '',
  settings: { aspect: '3:2', seed: 0xffffffff, balance: 1 },
  influences: ['a', 'b'].map((id) => ({
    id,
    referenceId: `r${id}`,
    gives: 'look' as const,
    weight: 1,
    from: 0,
    to: 1,
    reading: 'normal' as const,
    on: true,
  })),
};
const name = (id: string) => `<${id}>`;

test('the first axis of every setting can be rendered as it is', () => {
  for (const setting of settingsFor(state)) expect(axisFault(firstAxis(setting, state), state)).toBeUndefined();
});

test('what a mix does not have is not offered', () => {
  const alone = settingsFor({ ...state, influences: [] });
  expect(alone).toEqual(expect.arrayContaining(['balance', 'spread', 'seed', 'words']));
  expect(alone.filter((setting) => axisKind(setting).ofInfluence || setting === 'without')).toEqual([]);
  expect(settingsFor(state)).not.toContain('change');
  const started = { ...state, settings: { ...state.settings, start: { of: 'take' as const, id: 't', change: 0.5 } } };
  expect(settingsFor(started)).toContain('change');
});

test('labels and titles', () => {
  expect(labelOf({ setting: 'weight', values: [] }, 0.5, name)).toBe('0.50');
  expect(labelOf({ setting: 'to', values: [] }, 0.5, name)).toBe('50 %');
  expect(labelOf({ setting: 'swap', values: [] }, 'look:L', name)).toBe('<L>');
  expect(labelOf({ setting: 'without', values: [] }, '', name)).toBe('the whole mix');
  expect(labelOf({ setting: 'without', values: [] }, 'a/p', name)).toBe('without <p>');
  expect(labelOf({ setting: 'gives', values: [] }, 'palette', name)).toBe('palette');
  expect(titleOf({ setting: 'fade', influence: 'a', other: 'b', values: [] }, name)).toBe('<a> fades into <b>');
  expect(titleOf({ setting: 'seed', values: [] }, name)).toBe('seed');
});

test('numbers are read out of a line', () => {
  expect(numbersIn('0, 0.25;0.5  1 x')).toEqual([0, 0.25, 0.5, 1]);
});

const take = (arrivals: Record<string, number>, wordsKept?: number, status = 'done') =>
  ({
    status,
    wordsKept,
    influences: state.influences,
    arrivals: Object.entries(arrivals).map(([influenceId, overall]) => ({ influenceId, overall })),
  }) as unknown as Take;

test('the best cell: by one influence, by the words, or by references and words together', () => {
  const cells = [take({ a: 0.1, b: 0.3 }, 0.9), take({ a: 0.6, b: 0.5 }, 0.6), take({ a: 0.9, b: 0.1 }, 0.3)];
  expect(bestCell(cells, { influence: 'a' })).toBe(2);
  expect(bestCell(cells, 'words')).toBe(0);
  expect(bestCell(cells, 'balanced')).toBe(1);
  expect(bestCell([take({}, undefined, 'queued')], 'balanced')).toBeUndefined();
  // the mark does not move while others are still coming
  expect(bestCell([...cells, take({}, undefined, 'rendering')], 'words')).toBeUndefined();
  expect(bestCell([...cells, take({}, undefined, 'failed')], 'words')).toBe(0);
  expect(scoreOf(take({ a: 0.4 }, 0.1), 'balanced')).toBeCloseTo(0.2);
  expect(scoreOf(take({ a: -0.1 }, 0.9), 'balanced')).toBe(0);
  expect(curveOf([...cells, take({ a: -0.1 }), take({ a: 1 }, 1, 'rendering')], 'a')).toEqual([0.1, 0.6, 0.9, 0, null]);
});
