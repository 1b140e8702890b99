import fc from 'fast-check';
import { CLOSEST, moveInWords, WAYS, WHOLE, within } from './windows';

test('a window stays within the scene, however it is dragged', () => {
  const any = fc.double({ min: -2, max: 3, noNaN: true });
  fc.assert(
    fc.property(any, any, any, (x, y, size) => {
      const w = within({ x, y, size });
      expect(w.size).toBeGreaterThanOrEqual(CLOSEST);
      expect(w.size).toBeLessThanOrEqual(1);
      for (const v of [w.x, w.y]) {
        expect(v - w.size / 2).toBeGreaterThan(-0.002);
        expect(v + w.size / 2).toBeLessThan(1.002);
      }
      expect(within(w)).toEqual(w);
    }),
  );
});

test('every ready-made way moves, and stays within the scene', () => {
  for (const { from, to } of WAYS) {
    expect(within(from)).toEqual(from);
    expect(within(to)).toEqual(to);
    expect(from).not.toEqual(to);
  }
});

test('a move is told in words', () => {
  const words = Object.fromEntries(WAYS.map(({ name, from, to }) => [name, moveInWords({ camera: { from, to } })]));
  expect(words).toEqual({
    'Come nearer': ['the camera comes nearer'],
    'Step back': ['the camera steps back'],
    'Pass to the right': ['the camera passes to the right'],
    'Pass to the left': ['the camera passes to the left'],
    Rise: ['the camera passes up'],
  });
  expect(moveInWords({ across: -0.3, towards: 'night' })).toEqual([
    'the first figure goes to the left',
    'the prompt becomes “night”',
  ]);
  expect(moveInWords({ camera: { from: WHOLE, to: within({ x: 0.9, y: 0.9, size: 0.5 }) } })).toEqual([
    'the camera comes nearer to the right down',
  ]);
  expect(moveInWords({})).toEqual([]);
});
