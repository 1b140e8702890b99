import { merge } from './merge';
import { withValue } from './withValue';

const mix = {
  name: 'One',
  influences: [
    { id: 'a', weight: 1 },
    { id: 'b', weight: 2 },
  ],
  looks: [{ referenceId: 'x', weight: 1 }],
};

test('a value is set along fields and ids, and nothing else changes', () => {
  expect(withValue(mix, ['influences', 'b', 'weight'], 0.5)).toEqual({
    ...mix,
    influences: [mix.influences[0], { id: 'b', weight: 0.5 }],
  });
  expect(withValue(mix, ['looks', 'x', 'weight'], 0.5).looks).toEqual([{ referenceId: 'x', weight: 0.5 }]);
  expect(mix.influences[1].weight).toBe(2);
});

test('undefined takes out a field or an item; what is not there is put in', () => {
  expect(withValue(mix, ['influences', 'a'], undefined).influences).toEqual([mix.influences[1]]);
  expect(withValue(mix, ['name'], undefined)).not.toHaveProperty('name');
  expect(withValue(mix, ['influences', 'c'], { id: 'c', weight: 3 }).influences).toHaveLength(3);
  expect(withValue(mix, ['influences', 'z'], undefined)).toEqual(mix);
  expect(withValue(undefined as unknown, ['a', 'b'], 1)).toEqual({ a: { b: 1 } });
});

test('taking theirs at every conflict gives what they made of these fields', () => {
  const theirs = { ...mix, name: 'Theirs', influences: [{ id: 'a', weight: 9 }, mix.influences[1]] };
  const mine = { ...mix, name: 'Mine', influences: [{ id: 'a', weight: 7 }, mix.influences[1]] };
  const { merged, conflicts } = merge(mix, theirs, mine);
  expect(conflicts).toHaveLength(2);
  expect(conflicts.reduce((state, c) => withValue(state, c.path, c.theirs), merged)).toEqual(theirs);
});
