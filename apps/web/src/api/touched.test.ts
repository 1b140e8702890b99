/** One event makes little be read again: what holds the thing, and what lists it. */
import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { keys } from './keys';
import { concerns, mentions, touchedBy, type StudioEvent } from './touched';

const DATA: readonly (readonly [readonly unknown[], unknown])[] = [
  [keys.studio, { queue: [] }],
  [keys.search('a'), { ids: ['r1'] }],
  [keys.reference('r1'), { id: 'r1' }],
  [keys.reference('r2'), { id: 'r2' }],
  [keys.looks, [{ id: 'l1', pictures: [{ referenceId: 'r1' }] }]],
  [keys.lookReading('l1', 1), { strangers: [] }],
  [keys.lookReading('l2', 1), { strangers: [] }],
  [keys.cast, [{ id: 'c1', pictures: [{ referenceId: 'r2' }] }]],
  [keys.mixes, [{ id: 'm1' }]],
  [keys.versions('m1'), []],
  [keys.versions('m2'), []],
  [keys.takes('m1'), [{ id: 't1' }]],
  [keys.takes('m2'), [{ id: 't2' }]],
  [keys.keepers, []],
  [keys.inForce('m1', 'proof'), {}],
  [keys.inForce('m2', 'proof'), {}],
  [keys.strips('m1'), [{ id: 's1', takes: [{ id: 't1' }] }]],
  [keys.strips('m2'), [{ id: 's2', takes: [{ id: 't2' }] }]],
  [keys.series, [{ id: 'e1' }]],
  [keys.oneSeries('e1'), { id: 'e1', shots: [{ id: 'h1', takes: [{ id: 't1' }] }] }],
  [keys.oneSeries('e2'), { id: 'e2', shots: [{ id: 'h2', takes: [] }] }],
  [keys.consistency('e1', ''), { falls: [] }],
  [keys.sequence('q1'), { id: 'q1', free: [{ id: 't1' }] }],
  [keys.troubled, []],
];

/** The keys of the queries, all looked at, that an event makes read again. */
async function readAgain(event: StudioEvent): Promise<string[]> {
  const client = new QueryClient();
  const read: string[] = [];
  for (const [queryKey, data] of DATA) {
    client.setQueryData(queryKey, data);
    const queryFn = () => {
      read.push(JSON.stringify(queryKey));
      return data;
    };
    new QueryObserver(client, { queryKey, queryFn, staleTime: Infinity }).subscribe(() => {});
  }
  for (const touched of touchedBy(event)) {
    const { key: queryKey, exact } = touched;
    await client.invalidateQueries({ queryKey, exact, predicate: concerns(touched, client) });
  }
  client.clear();
  return read.sort();
}
const sorted = (...wanted: readonly (readonly unknown[])[]) => wanted.map((key) => JSON.stringify(key)).sort();

test('a series that changed is read again with what is measured of it, and no other', async () => {
  expect(await readAgain({ type: 'series', id: 'e1' })).toEqual(
    sorted(keys.series, keys.oneSeries('e1'), keys.consistency('e1', '')),
  );
});

test('a reference is read again with the looks that hold it, and what was read of those', async () => {
  expect(await readAgain({ type: 'reference', id: 'r1' })).toEqual(
    sorted(keys.reference('r1'), keys.search('a'), keys.looks, keys.lookReading('l1', 1), keys.studio),
  );
  expect(await readAgain({ type: 'reference', id: 'r2' })).toEqual(
    sorted(keys.reference('r2'), keys.search('a'), keys.cast, keys.studio),
  );
});

test('when one may know of other projects than before, all that is of projects is read again, and nothing of the library but what is found', async () => {
  expect(await readAgain({ type: 'access' })).toEqual(
    sorted(...DATA.map(([key]) => key).filter(([of]) => ['mixes', 'series', 'takes', 'search'].includes(of as string))),
  );
});

test('a look is read again with its own reading', async () => {
  expect(await readAgain({ type: 'look', id: 'l2' })).toEqual(
    sorted(keys.looks, keys.lookReading('l2', 1), keys.search('a')),
  );
});

test('a mix is read again with its versions and what is in force, the takes of none', async () => {
  expect(await readAgain({ type: 'mix', id: 'm1' })).toEqual(
    sorted(keys.mixes, keys.versions('m1'), keys.inForce('m1', 'proof')),
  );
});

describe('a take', () => {
  test('of a mix touches the takes of that mix', async () => {
    expect(await readAgain({ type: 'take', id: 'new', status: 'queued', mixId: 'm2' })).toEqual(
      sorted(keys.studio, keys.takes('m2'), keys.inForce('m2', 'proof'), keys.troubled),
    );
  });
  test('that is new to a shot touches the series of the shot', async () => {
    expect(await readAgain({ type: 'take', id: 'new', status: 'rendering', mixId: 'm1', shotId: 'h2' })).toEqual(
      sorted(keys.studio, keys.takes('m1'), keys.inForce('m1', 'proof'), keys.oneSeries('e2')),
    );
  });
  test('that is done touches the strips, series and sequences that show it', async () => {
    const read = await readAgain({ type: 'take', id: 't1', status: 'done' });
    expect(read).toEqual(
      sorted(
        keys.studio,
        keys.keepers,
        keys.strips('m1'),
        keys.oneSeries('e1'),
        keys.consistency('e1', ''),
        keys.sequence('q1'),
      ),
    );
  });
  test('that begins does not make a series be measured again', async () => {
    const read = await readAgain({ type: 'take', id: 't1', status: 'rendering', shotId: 'h1' });
    expect(read).toContain(JSON.stringify(keys.oneSeries('e1')));
    expect(read).not.toContain(JSON.stringify(keys.consistency('e1', '')));
  });
  test('of which only the picture is there touches nothing', async () => {
    expect(await readAgain({ type: 'take', id: 't1', status: 'pictured' })).toEqual([]);
  });
  test('that ended is read again sooner than one that waits', () => {
    const wait = (status: string) =>
      touchedBy({ type: 'take', id: 't1', mixId: 'm1', status }).find((t) => t.exact)!.wait;
    expect(wait('cancelled')).toBeLessThan(wait('queued'));
  });
});

test('a strip is told of by the mix that it is new to, or by its id', async () => {
  expect(await readAgain({ type: 'strip', id: 'new', mixId: 'm2' })).toEqual(sorted(keys.strips('m2')));
  expect(await readAgain({ type: 'strip', id: 's1' })).toEqual(sorted(keys.strips('m1')));
});

test('what nobody looks at is only marked', () => {
  const query = (active: boolean, data: unknown) =>
    ({ isActive: () => active, state: { data }, queryKey: ['series', 'e1'] }) as never;
  const client = new QueryClient();
  expect(concerns({ holding: ['x'] }, client)(query(false, { id: 'other' }))).toBe(true);
  expect(concerns({ holding: ['x'] }, client)(query(true, { id: 'other' }))).toBe(false);
  expect(concerns({}, client)(query(true, {}))).toBe(true);
});

test('an id is found however deep it lies, as a whole value only', () => {
  expect(mentions({ a: [{ b: ['x'] }] }, ['y', 'x'])).toBe(true);
  expect(mentions({ a: 'x1', x: 1, n: null }, ['x'])).toBe(false);
});

test('an event that nobody knows touches nothing', () => {
  expect(touchedBy({ type: 'heartbeat' })).toEqual([]);
});
