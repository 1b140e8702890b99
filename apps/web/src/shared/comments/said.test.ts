import type { Comment } from '../../api/comments';
import { threadsOf } from './threads';
import { whenSaid } from './whenSaid';

const said = (id: string, threadId = id, point?: { x: number; y: number }) => ({ id, threadId, point }) as Comment;

test('comments stand in their threads, and those about a point are numbered in their order', () => {
  const point = { x: 0, y: 0 };
  const all = [
    said('a', 'a', point),
    said('b'),
    said('a1', 'a'),
    said('c', 'c', point),
    said('b1', 'b'),
    said('a2', 'a'),
  ];
  expect(threadsOf(all).map((t) => [t.first.id, t.number, t.answers.map((c) => c.id).join()])).toEqual([
    ['a', 1, 'a1,a2'],
    ['b', undefined, 'b1'],
    ['c', 2, ''],
  ]);
  expect(threadsOf([])).toEqual([]);
});

test.each([
  [new Date(2026, 5, 10, 12, 0, 1), 'just now'],
  [new Date(2026, 5, 10, 11, 59), '1 min ago'],
  [new Date(2026, 5, 10, 11, 0, 31), '59 min ago'],
  [new Date(2026, 5, 10, 9, 5), '09:05'],
  [new Date(2026, 5, 9, 23, 30), 'Tue 23:30'],
  [new Date(2026, 5, 3, 9, 5), '3 Jun'],
  [new Date(2025, 11, 31, 9, 5), '31 Dec 2025'],
])('of %s one says', (at, says) => {
  expect(whenSaid(at.toISOString(), new Date(2026, 5, 10, 12, 0, 30))).toBe(says);
});
