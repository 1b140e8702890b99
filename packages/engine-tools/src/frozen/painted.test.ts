/** What the painter made of nearly every word when frozen.json was written; see made.test.ts. */
import { isNear, kept, sameCanvas } from './kept';
import { paintedOf, VOCABULARY_PROMPTS } from './vocabulary';

test('the kept pictures are those of the words', () => {
  expect(Object.keys(kept.painted).sort()).toEqual([...VOCABULARY_PROMPTS].sort());
});

test.each(VOCABULARY_PROMPTS)('painted: %s', (prompt) => {
  const [now, before] = [paintedOf(prompt), kept.painted[prompt]];
  expect(isNear(now, before)).toBe(true);
  if (sameCanvas) expect(now).toEqual(before);
});
