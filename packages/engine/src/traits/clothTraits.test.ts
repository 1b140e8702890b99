import { lchToLab, type Lab } from '@urbild/core';
import { paintPersonFrom } from '@urbild/engine-tools';
import { readTraits } from './readTraits';

const gap = (a: Lab, b: Lab) => Math.hypot(...a.map((v, k) => v - b[k]));
const CLOTHES = [
  ['plain', 'a red jumper'],
  ['plain', 'a white dress'],
  ['plain', 'a green shirt'],
  ['stripes', 'a striped blue and white jumper'],
  ['stripes', 'a striped red shirt'],
  ['dots', 'a dotted green dress'],
  ['dots', 'a black dress with white dots'],
  ['checks', 'a checked red dress'],
  ['checks', 'a checked blue shirt'],
] as const;
const read = CLOTHES.map(([pattern, worn], k) => {
  const words = `half figure of a woman with short black hair in ${worn}, front, meadow at noon`;
  const painted = paintPersonFrom(words, 'gouache', 60 + k, undefined, 480, 600)!;
  return { pattern, painted, traits: readTraits(painted.picture, painted.frame).traits };
});

test('patterns of painted clothes are read off the picture, plain ones too', () => {
  const right = read.filter(({ pattern, traits }) => traits.pattern?.choice === pattern);
  expect(right.length).toBeGreaterThanOrEqual(7);
  // what is wrong is said with less certainty than what is right
  const sure = (of: typeof read) => of.reduce((s, r) => s + (r.traits.pattern?.confidence ?? 0), 0) / (of.length || 1);
  const wrong = read.filter((r) => !right.includes(r));
  if (wrong.length) expect(sure(wrong)).toBeLessThan(sure(right));
});

test('a pattern has two colours, a plain cloth one', () => {
  for (const { traits } of read) {
    const patterned = traits.pattern && traits.pattern.choice !== 'plain';
    if (!patterned) expect(traits).not.toHaveProperty('pattern colour');
  }
  const [dots] = read.filter((r) => r.painted.person.top.second && r.traits['pattern colour']);
  const { colour, second } = dots.painted.person.top;
  const [upper, other] = [dots.traits.upper!.colour!, dots.traits['pattern colour']!.colour!];
  // which of the two is the more frequent one is not always clear
  const apart = Math.min(
    gap(upper, lchToLab(colour)) + gap(other, lchToLab(second!)),
    gap(other, lchToLab(colour)) + gap(upper, lchToLab(second!)),
  );
  expect(apart / 2).toBeLessThan(0.15);
});

test('a drawing of one ink tells no pattern: its hatching is none', () => {
  const words = 'half figure of a woman with short black hair in a striped jumper, front, meadow at noon';
  const drawn = paintPersonFrom(words, 'pencil', 5, undefined, 480, 600)!;
  expect(readTraits(drawn.picture, drawn.frame).traits).not.toHaveProperty('pattern');
});
