import { gapAt, nextOf, stepped } from './gaps';

const ORDER = ['a', 'b', 'c', 'd', 'e'];

test('the gap is on the side of the middle on which the pointer is', () => {
  expect(gapAt('c', 149, { left: 100, width: 100 })).toEqual({ id: 'c', side: 'before' });
  expect(gapAt('c', 150, { left: 100, width: 100 })).toEqual({ id: 'c', side: 'after' });
});

test.each([
  ['before one', { id: 'c', side: 'before' }, ['e'], 'c'],
  ['after one', { id: 'c', side: 'after' }, ['e'], 'd'],
  ['what is moved is no neighbour', { id: 'c', side: 'after' }, ['d'], 'e'],
  ['before one that is moved itself', { id: 'c', side: 'before' }, ['c', 'd'], 'e'],
  ['after the last', { id: 'e', side: 'after' }, ['a'], undefined],
] as const)('%s', (_, gap, moved, next) => expect(nextOf(gap, ORDER, moved)).toBe(next));

test.each([
  ['ArrowLeft', ['c'], 'acbde'],
  ['ArrowRight', ['c'], 'abdce'],
  ['Home', ['d'], 'dabce'],
  ['End', ['a', 'b'], 'cdeab'],
  ['ArrowRight', ['b', 'c'], 'adbce'],
  // what lies apart comes together, and passes one
  ['ArrowLeft', ['b', 'd'], 'bdace'],
  ['End', ['d', 'e'], undefined],
  ['Home', ['a'], undefined],
  ['ArrowLeft', ['a'], undefined],
  ['ArrowRight', ['e'], undefined],
  ['ArrowUp', ['c'], undefined],
  ['ArrowLeft', ORDER, undefined],
  ['ArrowLeft', ['z'], undefined],
])('Alt + %s on %j', (key, moved, expected) => {
  const step = stepped(key, ORDER, moved);
  if (expected === undefined) return expect(step).toBeUndefined();
  const rest = ORDER.filter((one) => !moved.includes(one));
  rest.splice(step!.before === undefined ? rest.length : rest.indexOf(step!.before), 0, ...step!.ids);
  expect(rest.join('')).toBe(expected);
});
