import { signedDistance } from './signedDistance';

/** A mask of one row a string, # inside. */
const maskOf = (...rows: string[]) => Uint8Array.from(rows.join(''), (c) => (c === '#' ? 255 : 0));

test('counts the steps to the edge, inside and outside, and no farther than asked', () => {
  expect([...signedDistance(maskOf('...####....'), 11, 1, 2)]).toEqual([-3, -2, -1, 1, 2, 2, 1, -1, -2, -3, -3]);
});

test('goes round corners in steps', () => {
  const far = signedDistance(maskOf('.....', '.###.', '.###.', '.###.', '.....'), 5, 5, 5);
  expect([far[0], far[1], far[6], far[12]]).toEqual([-2, -1, 1, 2]);
});

test('a mask without an edge is as far from one as is asked', () => {
  expect([...signedDistance(maskOf('###', '###'), 3, 2, 4)]).toEqual([5, 5, 5, 5, 5, 5]);
});
