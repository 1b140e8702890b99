import { Random } from '../maths/random';
import { arrange } from './arrange';

const LIST = ['a', 'b', 'c', 'd', 'e'];

describe('a list that is arranged', () => {
  test.each([
    ['one before another', { place: [{ id: 'd', before: 'b' }] }, 'adbce'],
    ['one to the end', { place: [{ id: 'a' }] }, 'bcdea'],
    [
      'two together, in the order in which they are placed',
      {
        place: [
          { id: 'e', before: 'b' },
          { id: 'a', before: 'b' },
        ],
      },
      'eabcd',
    ],
    ['a new one', { place: [{ id: 'x', before: 'a' }] }, 'xabcde'],
    ['one out', { takeOut: ['c', 'z'] }, 'abde'],
    ['out and in', { takeOut: ['a', 'b'], place: [{ id: 'a' }] }, 'cdea'],
    ['before one that somebody took out', { place: [{ id: 'a', before: 'gone' }] }, 'bcdea'],
    ['before itself', { place: [{ id: 'c', before: 'c' }] }, 'abcde'],
    ['nothing', {}, 'abcde'],
  ])('%s', (_, change, expected) => {
    const { items, back } = arrange(LIST, change);
    expect(items.join('')).toBe(expected);
    expect(arrange(items, back).items).toEqual(LIST);
  });

  test('any arrangement can be taken back, and the taking back too, with as few moves as it needs', () => {
    const random = new Random(4);
    const below = (n: number) => Math.floor(random.next() * n);
    for (let round = 0; round < 300; round++) {
      const some = (n: number) => Array.from({ length: below(n + 1) }, () => 'abcdefgh'[below(8)]);
      const place = some(4).map((id) => (random.chance(0.8) ? { id, before: 'abcdefgh'[below(8)] } : { id }));
      const { items, back } = arrange(LIST, { takeOut: some(3), place });
      expect(new Set(items).size).toBe(items.length);
      const again = arrange(items, back);
      expect(again.items).toEqual(LIST);
      expect(arrange(again.items, again.back).items).toEqual(items);
    }
    const moved = arrange(LIST, { place: [{ id: 'e', before: 'a' }] });
    expect(moved.back).toEqual({ place: [{ id: 'e' }] });
    expect(arrange(LIST, {}).back).toEqual({});
  });

  test('two people who put in different pictures both have their way, whoever comes first', () => {
    const [one, other] = [{ place: [{ id: 'x', before: 'b' }] }, { place: [{ id: 'y', before: 'd' }], takeOut: ['e'] }];
    const there = arrange(arrange(LIST, one).items, other).items;
    expect(there).toEqual(arrange(arrange(LIST, other).items, one).items);
    expect(there.join('')).toBe('axbcyd');
  });
});
