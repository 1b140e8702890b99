import { valueText, wordsFor } from './conflictWords';

const nameOf = (id: string) => ({ 'i-1': 'Ilse', 'r-1': 'Chalk' })[id];

test('a conflict is named as a person would name it', () => {
  expect(wordsFor(['influences', 'i-1', 'weight'], nameOf)).toBe('weight of Ilse');
  expect(wordsFor(['items', 'r-1', 'weight'], nameOf)).toBe('weight of Chalk');
  expect(wordsFor(['influences', 'i-1', 'from'], nameOf)).toBe('start of the span of Ilse');
  expect(wordsFor(['name'], nameOf)).toBe('name');
  expect(wordsFor(['items', 'r-1'], nameOf)).toBe('Chalk');
});

test('values are read as a person reads them', () => {
  expect([0.4000001, true, undefined, '', 'marsh', [1]].map(valueText)).toEqual([
    '0.4',
    'on',
    'removed',
    'empty',
    '“marsh”',
    'changed',
  ]);
  expect(valueText('x'.repeat(200))).toHaveLength(62);
});
