import { understand } from '@urbild/core';
import { phraseOf, replaced, usedBefore, withPhrase } from './words';

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
