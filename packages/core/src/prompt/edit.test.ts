import { facing, mediumWords, nearer, personFor, withoutWords, briefOf } from './edit';
import { understand } from './understand';

const without = (prompt: string, ...texts: string[]) =>
  withoutWords(
    prompt,
    texts.map((text) => {
      const start = prompt.indexOf(text);
      return { start, end: start + text.length, text };
    }),
  );

test.each([
  ['a woman with black hair on the pier', ['black hair'], 'a woman on the pier'],
  ['a woman with black hair in a bob, on the pier', ['black hair', 'bob'], 'a woman, on the pier'],
  ['a woman in a red coat and a hat', ['red coat', 'hat'], 'a woman'],
  ['linocut, a woman on the pier', ['linocut'], 'a woman on the pier'],
  ['a woman on the pier, linocut', ['linocut'], 'a woman on the pier'],
  ['a woman, with glasses, on the pier', ['glasses'], 'a woman, on the pier'],
  ['a woman', [], 'a woman'],
  ['a woman', ['a woman'], ''],
])('%s without %j', (prompt, texts, left) => {
  expect(without(prompt, ...texts)).toBe(left);
});

test('nearer makes a half figure of anybody, and nothing is left of how far away they were', () => {
  for (const prompt of [
    'a woman walking on the pier',
    'wide view, a small woman far away on the pier',
    'full figure of a woman on the pier',
    'half figure of a woman on the pier',
  ]) {
    const brief = understand(nearer(prompt));
    expect(brief.framing).toBe('half figure');
    expect(brief.place).toBe('pier');
    expect(brief.entities[0]).toMatchObject({ kind: 'person', sex: 'woman' });
    expect(brief.entities[0]).not.toHaveProperty('distance', 'far');
  }
});

test('facing turns them to us, however they stood before', () => {
  for (const prompt of ['a woman from behind, on the pier', 'a woman in profile on the pier', 'a woman on the pier'])
    expect(understand(facing(prompt)).entities[0]).toMatchObject({ view: 'three-quarter' });
});

test('the words of a medium', () => {
  expect(mediumWords('a linocut of a mill').map((s) => s.text)).toEqual(['linocut']);
  expect(mediumWords('a mill by the dyke')).toEqual([]);
});

test('whom an identity goes to: the one of that name, else the first without one', () => {
  const names = [{ name: 'Wiebke', description: 'a woman' }];
  const who = (prompt: string, subject?: string) => personFor(briefOf(prompt, names), subject);
  expect(who('Ilse and Wiebke on the pier', 'Wiebke')).toMatchObject({ name: 'Wiebke' });
  expect(who('Ilse and a man on the pier', 'Wiebke')).toMatchObject({ sex: 'man' });
  expect(who('Ilse on the pier', 'Wiebke')).toBeUndefined();
  expect(who('Ilse on the pier')).toMatchObject({ cast: 'Ilse' });
  expect(who('the empty pier')).toBeUndefined();
});
