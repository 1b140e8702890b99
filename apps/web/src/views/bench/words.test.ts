import { understand } from '@urbild/core';
import { phraseOf, replaced, usedBefore, weighed, withPhrase, withWeight } from './words';
import { saidOf } from '../../shared/mix/saidOf';

test('a word that is not known gives way to another where it stands', () => {
  const prompt = 'a hron and a hron in the marsh';
  const { unheard } = understand(prompt);
  expect(unheard.map((s) => s.text)).toEqual(['hron', 'hron']);
  expect(replaced(prompt, unheard[1], 'heron')).toBe('a hron and a heron in the marsh');
});

test('what was said before is told once, newest first, without what stands there now', () => {
  const takes = ['c', ' b', 'c', '', 'a', 'b'].map((prompt) => ({ prompt }));
  expect(usedBefore(takes, 'a ')).toEqual(['c', 'b']);
  expect(
    usedBefore(
      Array.from({ length: 20 }, (_, k) => ({ prompt: `words ${k}` })),
      '',
    ),
  ).toHaveLength(8);
});

test('a kept phrase goes to the end, once, without doubled commas', () => {
  expect(withPhrase('Ilse on the pier', 'at dusk in fog')).toBe('Ilse on the pier, at dusk in fog');
  expect(withPhrase('Ilse on the pier, ', ' at dusk ')).toBe('Ilse on the pier, at dusk');
  expect(withPhrase('Ilse on the pier at Dusk', 'at dusk')).toBe('Ilse on the pier at Dusk');
  expect(withPhrase('  ', 'at dusk')).toBe('at dusk');
});

test('the marked stretch is kept as a phrase, all words where none is marked', () => {
  expect(phraseOf('Ilse, in a yellow coat, waving', 4, 23)).toBe('in a yellow coat');
  expect(phraseOf(' Ilse waving. ', 3, 3)).toBe('Ilse waving');
  expect(phraseOf(' , ', 0, 3)).toBe('');
});

test('words that can be weighed are those that mean somebody, something, a colour or a light; each once', () => {
  const words = weighed('a fox and a red boat, a fox at dusk, very zappy', '', [{ words: 'Dusk', weight: 1.5 }]);
  expect(words).toEqual([
    { words: 'fox', weight: 1 },
    { words: 'red', weight: 1 },
    { words: 'boat', weight: 1 },
    { words: 'dusk', weight: 1.5 },
  ]);
});

test('a weight is changed in place of the old one, and is not kept when it is the usual one', () => {
  const before = [
    { words: 'Fox', weight: 2 },
    { words: 'dusk', weight: 0.5 },
  ];
  expect(withWeight(before, 'fox', 0.4)).toEqual([
    { words: 'dusk', weight: 0.5 },
    { words: 'fox', weight: 0.4 },
  ]);
  expect(withWeight(before, 'dusk', 1)).toEqual([{ words: 'Fox', weight: 2 }]);
  expect(withWeight(undefined, 'fox', 0)).toEqual([{ words: 'fox', weight: 0 }]);
});

test('only what is not usual is said of how words are taken', () => {
  const plain = { aspect: '3:2', seed: 1, balance: 1 } as const;
  expect(saidOf({ ...plain, strictness: 0.5 })).toEqual([]);
  expect(saidOf({ ...plain, strictness: 0.8, emphases: [{ words: 'fox', weight: 2 }] })).toEqual([
    'strictness 0.8',
    '“fox” counts 2',
  ]);
});
