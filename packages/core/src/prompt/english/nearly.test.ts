import { everyLess, lessThanSaid } from './nearly';
import { VOCABULARY, type Axis } from '../lexicon';
import { understand } from '../understand';

test.each([
  ['action', 'kneel', 'feeds', true],
  ['action', 'kneel', 'feeding', true],
  ['action', 'kneel', 'kneels', false],
  ['action', 'run', 'danced', true],
  ['action', 'run', 'play with', true],
  ['person', 'grown man', 'kings', true],
  ['person', 'grown man', 'policemen', true],
  ['person', 'grown man', 'fishermen', false],
  ['camera', 'above', 'bird’s eye view', true],
  ['camera', 'above', 'from above', true],
  ['thing', 'rod', 'Broom', true],
  ['thing', 'rod', 'fishing rod', false],
  ['place', 'meadow', 'pasture', false],
])('%s %s: "%s" is less than said: %s', (axis, value, text, less) => {
  expect(lessThanSaid(axis, value, text) !== undefined).toBe(less);
});

test('what is drawn instead is named', () => {
  expect(lessThanSaid('person', 'old woman', 'witch')).toBe('Drawn as an old woman, not more.');
});

test('every word that is less than said is one of the vocabulary, under the same value', () => {
  const missing = everyLess().filter(([axis, value, word]) => {
    const lines: Readonly<Record<string, readonly string[]>> = VOCABULARY[axis as Axis];
    return !lines[value]?.includes(word);
  });
  expect(missing).toEqual([]);
  expect(understand('a witch and a king').unused).toHaveLength(2);
});
