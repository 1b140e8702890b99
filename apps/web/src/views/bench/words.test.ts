import { understand } from '@urbild/core';
import { replaced, usedBefore } from './words';

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
