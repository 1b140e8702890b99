import { lostWords } from '../influence/warnings';
import { isLost, LOST_BELOW, wordsKept, type FoundWord } from './wordsKept';

const word = (text: string, found: number): FoundWord => ({ start: 0, end: 1, text, means: `thing: ${text}`, found });
const influence = (id: string, weight: number, on = true) =>
  ({ id, gives: 'look', weight, from: 0, to: 1, on, reading: 'normal' }) as const;

test('words kept are the mean over whoever and whatever could be looked for; nothing to look for is no number', () => {
  expect(wordsKept([])).toBeUndefined();
  expect(wordsKept([word('dog', 1), word('boat', 0.5)])).toBe(0.75);
  expect(wordsKept([word('dog', 1.2)])).toBe(1);
});

test('lost is what is below the limit', () => {
  expect(isLost(word('dog', LOST_BELOW))).toBe(false);
  expect(isLost(word('dog', LOST_BELOW - 0.01))).toBe(true);
});

describe('the warning about what is lost', () => {
  const mix = { influences: [influence('a', 0.4), influence('b', 1.2)], balance: 1 };

  test('names it, and offers to halve what lies over the picture most', () => {
    const words = [word('dog', 0.1), word('girl', 0.8), word('lantern', 0.2), word('dog', 0.3)];
    const [warning, ...more] = lostWords(mix, words, { b: 'Dotted dark' });
    expect(more).toEqual([]);
    expect(warning).toMatchObject({
      kind: 'lost-words',
      influences: ['b'],
      cause: '"dog" and "lantern" can hardly be found in this picture. Dotted dark lies over it most.',
      fix: { label: 'Halve Dotted dark’s weight', changes: [{ influence: 'b', set: { weight: 0.6 } }] },
    });
  });

  test('says nothing where everything is found, and offers nothing where nothing lies over it', () => {
    expect(lostWords(mix, [word('dog', 0.9)])).toEqual([]);
    const [warning] = lostWords({ influences: [influence('a', 1, false)], balance: 1 }, [word('dog', 0)]);
    expect(warning.fix).toBeUndefined();
    expect(warning.cause).toBe('"dog" can hardly be found in this picture.');
  });
});

test('a colour that a look took is lost by itself, and takes nothing from who and what is there', () => {
  const word = (text: string, means: string, found: number) => ({ start: 0, end: text.length, text, means, found });
  const words = [word('girl', 'person: child girl', 0.9), word('red', 'colour: red', 0.1)];
  expect(wordsKept(words)).toBeCloseTo(0.9, 9);
  expect(words.filter(isLost).map(({ text }) => text)).toEqual(['red']);
  expect(wordsKept([word('black', 'hair colour: black', 0.2)])).toBeUndefined();
  expect(wordsKept([word('dusk', 'time: dusk', 0.2)])).toBeUndefined();
  expect(wordsKept([word('rain', 'weather: rain', 0.2)])).toBeCloseTo(0.2, 9);
});
