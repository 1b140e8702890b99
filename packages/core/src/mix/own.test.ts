import fc from 'fast-check';
import { ownDifferences, stateOfShot, withoutOwn, type OwnSettings } from './own';
import type { MixState } from './mix';

const MIX: MixState = {
  prompt: 'the mix',
  avoid: 'boats',
  settings: { seed: 1, balance: 1, aspect: '3:2' },
  influences: ['a', 'b', 'c'].map((id) => ({
    id,
    referenceId: id,
    gives: 'look',
    weight: 1,
    from: 0,
    to: 1,
    reading: 'normal',
    on: true,
  })),
};
const GUEST = { ...MIX.influences[0], id: 'guest', weight: 0.4 };

const weight = fc.double({ min: 0, max: 2, noNaN: true });
const anOwn: fc.Arbitrary<OwnSettings> = fc.record(
  {
    avoid: fc.string(),
    balance: weight,
    spread: fc.double({ min: 0, max: 1, noNaN: true }),
    influences: fc.dictionary(
      fc.constantFrom('a', 'b', 'gone'),
      fc.record({ weight, on: fc.boolean() }, { requiredKeys: [] }),
    ),
    added: fc.constant([GUEST]),
  },
  { requiredKeys: [] },
);

test('a shot without own settings is the mix with its words and seed', () => {
  const state = stateOfShot(MIX, { prompt: 'the shot', seed: 9, own: {} });
  expect(state).toEqual({ ...MIX, prompt: 'the shot', settings: { ...MIX.settings, seed: 9 } });
});

test('own settings lie over those of the mix; what the mix has no more is passed over', () => {
  const own = { balance: 0.5, influences: { b: { weight: 0.2 }, gone: { weight: 2 } }, added: [GUEST] };
  const state = stateOfShot(MIX, { prompt: '', seed: 1, own });
  expect(state.settings.balance).toBe(0.5);
  expect(state.influences.map((i) => [i.id, i.weight])).toEqual([
    ['a', 1],
    ['b', 0.2],
    ['c', 1],
    ['guest', 0.4],
  ]);
});

test('only what really differs is told', () => {
  const own = { avoid: 'boats', balance: 1, influences: { a: { weight: 1, to: 0.5 } } };
  expect(ownDifferences(MIX, own)).toEqual([{ key: 'to:a', influence: 'a', setting: 'to', mix: 1, own: 0.5 }]);
});

test('taking every difference back, in any order, gives the mix again', () => {
  fc.assert(
    fc.property(anOwn, fc.infiniteStream(fc.nat()), (own, picks) => {
      let left = own;
      for (;;) {
        const all = ownDifferences(MIX, left);
        if (!all.length) break;
        const next = withoutOwn(left, all[picks.next().value % all.length].key);
        expect(ownDifferences(MIX, next)).toHaveLength(all.length - 1);
        left = next;
      }
      const plan = { prompt: MIX.prompt, seed: MIX.settings.seed, own: left };
      const { settings, ...state } = stateOfShot(MIX, plan);
      expect(state.influences).toEqual(MIX.influences);
      expect({ ...settings, spread: settings.spread ?? 1 }).toEqual({ ...MIX.settings, spread: 1 });
    }),
  );
});
