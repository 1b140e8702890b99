import { lchToLab, type Lch } from '@urbild/core';
import type { Cloth } from './person';
import { pulledCloth, type ClothPulls } from './pulledCloth';

const [RED, BLUE, WHITE]: Lch[] = [
  [0.55, 0.18, 27],
  [0.5, 0.13, 250],
  [0.93, 0.02, 85],
];
const none: ClothPulls = { colour: [], pattern: [], second: [] };
const pulls = (share: number, pattern?: string): ClothPulls => ({
  colour: [{ value: lchToLab(BLUE), share }],
  pattern: pattern ? [{ value: pattern, share }] : [],
  second: pattern ? [{ value: lchToLab(WHITE), share }] : [],
});
const striped: Cloth = { colour: RED, second: WHITE, pattern: 'stripes' };

test('without references a cloth is as the words say', () => {
  expect(pulledCloth(striped, none)).toEqual(striped);
  expect(pulledCloth<Cloth>({ colour: RED }, none)).toEqual({ colour: RED });
});

test('whoever rules the colour and tells no pattern makes it plain', () => {
  expect(pulledCloth(striped, pulls(0.8)).pattern).toBeUndefined();
  expect(pulledCloth(striped, pulls(0.3)).pattern).toBe('stripes');
});

test('a pattern changes over where references have more of it than the words, and brings its second colour', () => {
  const dotted = (share: number) => pulledCloth<Cloth>({ colour: RED }, pulls(share, 'dots'));
  expect(dotted(0.4).pattern).toBeUndefined();
  expect(dotted(0.8)).toMatchObject({ pattern: 'dots' });
  expect(dotted(1).second![0]).toBeCloseTo(WHITE[0], 2);
  expect(dotted(1).colour[2]).toBeCloseTo(BLUE[2], 0);
  expect(pulledCloth(striped, pulls(0.8, 'plain')).pattern).toBeUndefined();
});

test('the second colour moves with the share; a pattern that nobody can draw is none', () => {
  const light = [0.55, 0.8, 1].map((share) => pulledCloth<Cloth>({ colour: RED }, pulls(share, 'stripes')).second![0]);
  expect(light[1]).toBeGreaterThanOrEqual(light[0] - 0.02);
  expect(pulledCloth<Cloth>({ colour: RED }, pulls(1, 'constructor')).pattern).toBeUndefined();
});
