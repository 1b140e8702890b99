import { everyOffer } from './english/near';
import { nearestWords, richer } from './suggest';
import { understand } from './understand';

test.each([
  ['lighthuose', 'lighthouse'],
  ['hron', 'heron'],
  ['meadwo', 'meadow'],
  ['squirel', 'squirrel'],
])('%s is near to %s', (word, known) => {
  expect(nearestWords(word)).toContain(known);
  expect(understand(`a ${known}`).unheard).toEqual([]);
});

test('nothing is suggested for what is near to nothing, and never the word itself', () => {
  expect(nearestWords('photosynthesis')).toEqual([]);
  expect(nearestWords('heron')).not.toContain('heron');
  expect(nearestWords('bot', 2).length).toBeLessThanOrEqual(2);
});

test.each([
  ['bow', 'boat'],
  ['blacksmith', 'man'],
  ['door', 'cottage'],
  ['Robot', 'cart'],
  ['dragons', 'turtle'],
  ['astronaut', 'traveller'],
  ['flooded', 'sea'],
  ['lions', 'cat'],
  ['aeroplane', 'balloon'],
])('%s is near to %s in meaning, whatever its letters', (word, known) => {
  expect(nearestWords(word)).toContain(known);
});

test('whatever is offered is understood, and nothing that is understood has an offer', () => {
  for (const [word, ...offers] of everyOffer()) {
    for (const offer of offers) expect([offer, understand(offer).unheard]).toEqual([offer, []]);
    expect([word, understand(word).understood.length]).toEqual([word, 0]);
  }
});

test('a short word is another word, not a slip of one', () => {
  for (const word of ['bat', 'lid', 'zap'])
    expect(nearestWords(word).every((w) => w !== 'cat' && w !== 'hat')).toBe(true);
  expect(nearestWords('zap')).toEqual([]);
});

const PROMPTS = [
  'Ilse poles the punt among reeds',
  'a girl in the meadow',
  'a fisherman on the pier',
  'the harbour',
  'a cat in the kitchen',
  'a woman in the orchard, reading',
  'lighthouse',
];

test.each(PROMPTS)('richer words say more of "%s" and keep all that it says', (prompt) => {
  const { prompt: longer, added } = richer(prompt);
  expect(added.length).toBeGreaterThan(0);
  expect(added.length).toBeLessThanOrEqual(3);
  expect(longer.startsWith(prompt)).toBe(true);
  const [before, after] = [understand(prompt), understand(longer)];
  expect(after.unheard).toEqual(before.unheard);
  expect(after.place).toBe(before.place);
  expect(after.understood.slice(0, before.understood.length)).toEqual(before.understood);
  expect(after.understood.length).toBeGreaterThan(before.understood.length);
  expect(richer(prompt)).toEqual({ prompt: longer, added });
});

test('what is said, and what is to be avoided, is not said again', () => {
  const full = 'a smiling girl with a butterfly in the meadow at noon, clear sky, summer';
  expect(richer(full).added.join()).not.toMatch(/dusk|dawn|morning|fog|spring|autumn|smiling|calm/);
  const plain = richer('a girl in the meadow');
  const avoided = richer('a girl in the meadow', plain.added.join(', '));
  for (const a of plain.added) expect(avoided.added).not.toContain(a);
});

test('a creature that is there by its name is not offered again by its kind', () => {
  for (const place of ['salt marsh', 'reed channel'])
    expect(richer(`Brom in the ${place} at noon, calm, clear sky`).added.join()).not.toContain('heron');
});
