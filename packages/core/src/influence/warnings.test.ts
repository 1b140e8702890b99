import { GIVES } from '../mix/gives';
import { applyFix } from './applyFix';
import type { Influence, Weighing } from './types';
import { remarkWarnings, warningsOf, type MixWarning, type WarningKind } from './warnings';

const give = (id: string, fields: Partial<Influence> = {}): Influence => ({
  id,
  gives: 'look',
  weight: 0.8,
  from: 0,
  to: 1,
  on: true,
  ...fields,
});
const mixOf = (...influences: Influence[]): Weighing => ({ influences, balance: 1 });
const kinds = (warnings: readonly MixWarning[]): WarningKind[] => warnings.map((w) => w.kind);
/** The mix after the one click that a warning offers. */
const fixed = (mix: Weighing, { fix }: MixWarning): Weighing => ({
  ...mix,
  influences: fix ? applyFix(mix.influences, fix) : mix.influences,
});

test('a sound mix has none', () => {
  expect(warningsOf(mixOf(give('a'), give('b', { gives: 'palette', weight: 0.3, to: 0.6 })))).toEqual([]);
  expect(warningsOf(mixOf())).toEqual([]);
});

test('two people of full weight do not take from each other, and one of too much is told alone', () => {
  const person = (id: string, weight: number) => give(id, { gives: 'character', weight, subject: id });
  expect(warningsOf(mixOf(person('Runa', 0.8), person('Okke', 0.8)))).toEqual([]);
  expect(warningsOf(mixOf(person('a', 0.5), person('b', 0.5), person('c', 0.5), person('d', 0.5)))).toEqual([]);
  const [only, ...more] = warningsOf(mixOf(person('Runa', 0.8), person('Okke', 1)));
  expect(only).toMatchObject({ kind: 'drowned-words', influences: ['Okke'] });
  expect(more).toEqual([]);
  const both = mixOf(give('face', { gives: 'face', weight: 0.8, subject: 'Runa' }), person('Runa', 0.8));
  expect(kinds(warningsOf(both))).toContain('drowned-words');
});

const CASES = (
  [
    ['drowned-words', mixOf(give('a', { gives: 'layout', weight: 1 }))],
    ['drowned-reference', mixOf(give('a', { weight: 1 }), give('b', { gives: 'palette', weight: 0.05 }))],
    ['dilution', mixOf(give('a', { weight: 0.4 }), give('b', { weight: 0.4 }), give('c', { weight: 0.35 }))],
    ['over-literal', mixOf(give('a', { weight: 1 }), give('b', { weight: 0.9 }))],
    ['span-misses', mixOf(give('a', { gives: 'layout', weight: 0.5, from: 0.6 }))],
    ['weight-beyond', mixOf(give('a', { weight: 3, to: 0.2 }))],
    ['not-supported', mixOf(give('a', { gives: 'pose' })), { supported: ['look', 'palette'] }],
    ['word-look-clash', mixOf(give('a')), { wordMedium: 'pastel', mediumOf: { a: 'linocut' } }],
  ] as [WarningKind, Weighing, Parameters<typeof warningsOf>[1]?][]
).map(([kind, mix, context]) => ({ kind, mix, context }));

test.each(CASES)('$kind is told, and its fix cures it', ({ kind, mix, context }) => {
  const warning = warningsOf(mix, context).find((w) => w.kind === kind);
  expect(warning?.cause).toMatch(/\.$/);
  expect(warning?.fix?.changes.length).toBeGreaterThan(0);
  let now = mix;
  // some fixes are a step, not a leap: a few clicks at most
  for (let click = 0; click < 4; click++) {
    const still = warningsOf(now, context).find((w) => w.kind === kind);
    if (!still) break;
    now = fixed(now, still);
  }
  expect(kinds(warningsOf(now, context))).not.toContain(kind);
});

test('what is off is not warned of', () => {
  for (const { mix, context } of CASES) {
    const off = { ...mix, influences: mix.influences.map((i) => ({ ...i, on: false })) };
    expect(warningsOf(off, context)).toEqual([]);
  }
});

test('causes speak of references by their names', () => {
  const [warning] = warningsOf(mixOf(give('a', { gives: 'pose' })), {
    supported: GIVES.filter((g) => g !== 'pose'),
    names: { a: 'Carved quay' },
  });
  expect(warning.cause).toContain('Carved quay');
});

test('an influence that did nothing says why and offers what helps', () => {
  const [pose, face] = remarkWarnings(
    [
      { influence: 'a', gives: 'pose', kind: 'nothing-to-give' },
      { influence: 'b', gives: 'face', kind: 'nobody-to-take' },
    ],
    { a: 'Kettle' },
  );
  expect(pose.cause).toMatch(/^Kettle has no pose to give: no shoulders/);
  expect(pose.fix!.changes).toEqual([{ influence: 'a', set: { gives: 'look' } }]);
  expect(face.cause).toContain('the face of b');
  expect(face.fix!.changes[0].set).toEqual({ on: false });
  const shapes = (['toned-shape', 'shape-at-edge', 'thin-shape'] as const).map(
    (kind) => remarkWarnings([{ influence: 'a', gives: 'shape', kind }], { a: 'Sign' })[0],
  );
  expect(shapes.map((w) => w.cause.includes('Sign'))).toEqual([true, true, true]);
  expect(shapes[0].fix!.changes[0].set).toEqual({ gives: 'layout' });
});

test('a fix changes what it names and nothing else', () => {
  const [a, b] = [give('a'), give('b', { weight: 1.5 })];
  const changes = [
    { influence: 'b', set: { weight: 0.5 } },
    { influence: 'b', set: { on: false } },
    { influence: 'gone', set: { on: false } },
  ];
  const [after, changed] = applyFix([a, b], { label: 'x', changes });
  expect(after).toBe(a);
  expect(changed).toEqual({ ...b, weight: 0.5, on: false });
  expect(b.weight).toBe(1.5);
});
