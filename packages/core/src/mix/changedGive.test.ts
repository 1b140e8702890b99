import { GIVES, give } from './gives';
import { changedGive } from './changedGive';

const layout = { gives: 'layout', ...give('layout').usual } as const;

test('what was not set by hand becomes what is usual for the new give', () => {
  for (const gives of GIVES) expect(changedGive(layout, gives)).toEqual({ gives, ...give(gives).usual });
});

test('a weight set by hand stays, and so does a span, each by itself', () => {
  expect(changedGive({ ...layout, weight: 1.3 }, 'look')).toEqual({ gives: 'look', from: 0, to: 1 });
  expect(changedGive({ ...layout, to: 0.9 }, 'look')).toEqual({ gives: 'look', weight: give('look').usual.weight });
  expect(changedGive({ ...layout, weight: 1.3, from: 0.2 }, 'look')).toEqual({ gives: 'look' });
});

test('going there and back is where it began', () => {
  const there = { ...layout, ...changedGive(layout, 'palette') };
  expect({ ...there, ...changedGive(there, 'layout') }).toEqual(layout);
});

test('every give begins with a weight that acts and a span that is one', () => {
  for (const gives of GIVES) {
    const { weight, from, to } = give(gives).usual;
    expect(weight).toBeGreaterThan(0);
    expect(weight).toBeLessThanOrEqual(1);
    expect(from).toBeGreaterThanOrEqual(0);
    expect(to).toBeGreaterThan(from);
    expect(to).toBeLessThanOrEqual(1);
  }
});
