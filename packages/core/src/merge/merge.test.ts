import fc from 'fast-check';
import { merge, sameData } from './merge';

const item = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd', 'e'), weight: fc.nat(9), on: fc.boolean() });
const list = fc.uniqueArray(item, { selector: (i) => i.id, maxLength: 5 });
const mix = fc.record({
  name: fc.constantFrom('One', 'Two', 'Three'),
  settings: fc.record({ seed: fc.nat(5), medium: fc.option(fc.constantFrom('gouache', 'pastel'), { nil: undefined }) }),
  influences: list,
  tags: fc.uniqueArray(fc.constantFrom('marsh', 'harbour', 'reed'), { maxLength: 3 }),
});

describe('laws', () => {
  test('who changed nothing takes what the other made', () => {
    fc.assert(
      fc.property(mix, mix, (base, other) => {
        expect(merge(base, other, base)).toEqual({ merged: other, conflicts: [] });
        expect(merge(base, base, other)).toEqual({ merged: other, conflicts: [] });
        expect(merge(base, other, other)).toEqual({ merged: other, conflicts: [] });
      }),
    );
  });

  test('without a conflict it does not matter who is who, but for the order of lists', () => {
    fc.assert(
      fc.property(mix, mix, mix, (base, a, b) => {
        const [ab, ba] = [merge(base, a, b), merge(base, b, a)];
        expect(ab.conflicts.length).toBe(ba.conflicts.length);
        if (ab.conflicts.length) return;
        const sorted = ({ influences, tags, ...rest }: typeof base) => ({
          ...rest,
          influences: [...influences].sort((x, y) => (x.id < y.id ? -1 : 1)),
          tags: [...tags].sort(),
        });
        expect(sameData(sorted(ab.merged), sorted(ba.merged))).toBe(true);
      }),
    );
  });

  test('every value is that of a side, and one that only a side changed is that side’s', () => {
    fc.assert(
      fc.property(mix, mix, mix, (base, theirs, mine) => {
        const { merged } = merge(base, theirs, mine);
        expect([theirs.name, mine.name]).toContain(merged.name);
        if (base.name === mine.name) expect(merged.name).toBe(theirs.name);
        for (const i of merged.influences) {
          const [was, its, own] = [base, theirs, mine].map((s) => s.influences.find((x) => x.id === i.id));
          expect([its?.weight, own?.weight]).toContain(i.weight);
          if (was && its && own && was.weight === own.weight) expect(i.weight).toBe(its.weight);
        }
      }),
    );
  });

  test('no item occurs twice, none that a side added is lost, and none comes back that one removed and the other left alone', () => {
    fc.assert(
      fc.property(list, list, list, (base, theirs, mine) => {
        const ids = (l: readonly { id: string }[]) => l.map((i) => i.id);
        const merged = merge(base, theirs, mine).merged;
        expect(new Set(ids(merged)).size).toBe(merged.length);
        for (const side of [theirs, mine])
          for (const id of ids(side)) if (!ids(base).includes(id)) expect(ids(merged)).toContain(id);
        for (const was of base) {
          const [its, own] = [theirs.find((i) => i.id === was.id), mine.find((i) => i.id === was.id)];
          if ((!its && sameData(was, own)) || (!own && sameData(was, its))) expect(ids(merged)).not.toContain(was.id);
        }
      }),
    );
  });

  test('merging again what was merged changes nothing more', () => {
    fc.assert(
      fc.property(mix, mix, mix, (base, theirs, mine) => {
        const { merged } = merge(base, theirs, mine);
        expect(merge(theirs, theirs, merged)).toEqual({ merged, conflicts: [] });
      }),
    );
  });
});

const i = (id: string, weight = 1) => ({ id, weight });

test('two weights that two people moved both stay moved', () => {
  const base = { influences: [i('look'), i('ilse')] };
  const { merged, conflicts } = merge(
    base,
    { influences: [i('look', 0.4), i('ilse')] },
    { influences: [i('look'), i('ilse', 0.7)] },
  );
  expect(merged).toEqual({ influences: [i('look', 0.4), i('ilse', 0.7)] });
  expect(conflicts).toEqual([]);
});

test('the same weight moved twice is asked about, by its path', () => {
  const { merged, conflicts } = merge({ l: [i('a', 1)] }, { l: [i('a', 0.4)] }, { l: [i('a', 0.7)] });
  expect(merged).toEqual({ l: [i('a', 0.7)] });
  expect(conflicts).toEqual([{ path: ['l', 'a', 'weight'], base: 1, theirs: 0.4, mine: 0.7 }]);
});

test('what one removed and the other changed stays, and is asked about', () => {
  const { merged, conflicts } = merge([i('a'), i('b')], [i('b')], [i('a', 0.3), i('b')]);
  expect(merged).toEqual([i('a', 0.3), i('b')]);
  expect(conflicts).toEqual([{ path: ['a'], base: i('a'), theirs: undefined, mine: i('a', 0.3) }]);
});

test('lanes that one moved keep their new order, and what the other added stands beside its neighbour', () => {
  const base = [i('a'), i('b'), i('c')];
  expect(merge(base, [i('c'), i('a'), i('b')], [i('a'), i('x'), i('b'), i('c')]).merged.map((v) => v.id)).toEqual([
    'c',
    'a',
    'x',
    'b',
  ]);
  expect(merge(base, [i('n'), ...base], [i('b'), i('a'), i('c')]).merged.map((v) => v.id)).toEqual([
    'n',
    'b',
    'a',
    'c',
  ]);
});

test('tags of two people come together; pictures of a look are known by their reference', () => {
  expect(merge(['a', 'b'], ['b', 'c'], ['a', 'b', 'd']).merged).toEqual(['b', 'c', 'd']);
  const p = (referenceId: string, weight: number) => ({ referenceId, weight });
  expect(merge([p('x', 1), p('y', 1)], [p('x', 1), p('y', 0.2)], [p('x', 0.5), p('y', 1)]).merged).toEqual([
    p('x', 0.5),
    p('y', 0.2),
  ]);
});

test('lists without ids, and lists in which an id occurs twice, are one field each', () => {
  expect(merge([1, 2], [1, 3], [2, 2])).toMatchObject({ merged: [2, 2], conflicts: [{ path: [] }] });
  expect(merge([i('a')], [i('a'), i('a', 2)], [i('a', 3)]).conflicts).toHaveLength(1);
});

test('a field that one side took away is gone, and one that both set anew is joined inside', () => {
  expect(merge<object>({ a: 1, b: 2 }, { b: 2 }, { a: 1, b: 3 }).merged).toEqual({ b: 3 });
  expect(merge<object>({}, { own: { a: 1 } }, { own: { b: 2 } })).toEqual({
    merged: { own: { b: 2, a: 1 } },
    conflicts: [],
  });
});

test('equal data are equal whatever the order of their fields, and undefined is as good as nothing', () => {
  expect(sameData({ a: 1, b: [1, { c: undefined }] }, { b: [1, {}], a: 1 })).toBe(true);
  expect(sameData([1, 2], [2, 1])).toBe(false);
  expect(sameData({ a: null }, {})).toBe(false);
  expect(sameData(NaN, NaN)).toBe(true);
});
