import {
  calledByShots,
  calledId,
  calledInfluences,
  calledInShot,
  withCalled,
  withoutCalled,
  withoutInfluence,
  type CastMember,
} from './called';
import type { MixState } from './mix';
import { aMix, anInfluence } from './testing';

const NILO: CastMember = { id: 'c1', name: 'Nilo', usualWeight: 0.7, pictures: 2 };
const AUNT: CastMember = { id: 'c2', name: 'Aunt Pera', usualWeight: 1.1, pictures: 1 };
const CAST = [NILO, AUNT, { id: 'c3', name: 'Odd', usualWeight: 1, pictures: 0 }];
const idsOf = (mix: MixState) => mix.influences.map((i) => i.id);
const saying = (prompt: string, fields: Partial<MixState> = {}) => aMix({ prompt, ...fields });

describe('whom the words call', () => {
  test('a name in the words brings its character in, at its usual weight over the whole course', () => {
    const [only, ...more] = calledInfluences(saying('portrait of Nilo in the harbour'), CAST);
    expect(more).toEqual([]);
    expect(only).toMatchObject({ of: 'character', referenceId: 'c1', gives: 'character', weight: 0.7, from: 0, to: 1 });
  });

  test.each([
    ['two names', 'Aunt Pera and Nilo in a boat', {}, [calledId('c1'), calledId('c2')]],
    ['nobody', 'a mill', {}, []],
    ['a part of a word', 'a nilometer by the river', {}, []],
    ['a name that is refused in the words', 'a mill, no Nilo', {}, []],
    ['a name among the words to avoid', 'Nilo at the mill', { avoid: 'Nilo' }, []],
    ['somebody without a picture', 'Odd at the mill', {}, []],
    ['who has a lane already', 'Nilo', { influences: [anInfluence('x', { of: 'character', referenceId: 'c1' })] }, []],
    [
      'whose face comes from elsewhere',
      'Nilo',
      { influences: [anInfluence('x', { gives: 'face', subject: 'Nilo' })] },
      [],
    ],
    [
      'whose coat comes from elsewhere',
      'Nilo',
      { influences: [anInfluence('x', { gives: 'look', subject: 'Nilo' })] },
      ['called-c1'],
    ],
    ['who shall not be called', 'Nilo', { settings: { aspect: '3:2', seed: 1, balance: 1, uncalled: ['c1'] } }, []],
  ] as const)('%s', (_, prompt, fields, ids) => {
    expect(calledInfluences(saying(prompt, fields as Partial<MixState>), CAST).map((i) => i.id)).toEqual(ids);
  });

  test('a mix that calls nobody is itself', () => {
    const mix = saying('a mill');
    expect(withCalled(mix, CAST)).toBe(mix);
  });

  test('a mix that is full calls nobody more', () => {
    const influences = Array.from({ length: 24 }, (_, k) => anInfluence(`i${k}`));
    expect(calledInfluences(saying('Nilo', { influences }), CAST)).toEqual([]);
  });
});

describe('editing a mix with whom its words call', () => {
  const before = saying('Nilo at the mill');
  const edit = (make: (mix: MixState) => MixState) => withoutCalled(before, make(withCalled(before, CAST)), CAST);

  test('what was not touched is left to the words', () => {
    const kept = edit((m) => ({ ...m, avoid: 'boats' }));
    expect(idsOf(kept)).toEqual(['a', 'b']);
    expect(idsOf(withCalled(kept, CAST))).toEqual(['a', 'b', 'called-c1']);
  });

  test('a weight that was moved stays, and stays in its place', () => {
    const kept = edit((m) => ({ ...m, influences: m.influences.map((i) => (i.of ? { ...i, weight: 0.2 } : i)) }));
    expect(kept.influences[2]).toMatchObject({ id: 'called-c1', weight: 0.2 });
    expect(withCalled(kept, CAST)).toBe(kept);
  });

  test('what was set for a name acts on nobody else, and is there again when the name is', () => {
    const set = edit((m) => ({ ...m, influences: m.influences.map((i) => (i.of ? { ...i, weight: 0.2 } : i)) }));
    const typed = withoutCalled(set, { ...withCalled(set, CAST), prompt: 'a girl at the mill' }, CAST);
    expect(idsOf(withCalled(typed, CAST))).toEqual(['a', 'b']);
    const more = withoutCalled(typed, { ...withCalled(typed, CAST), prompt: 'a girl and Nilo' }, CAST);
    expect(withCalled(more, CAST).influences[2]).toMatchObject({ id: 'called-c1', weight: 0.2 });
  });

  test('a lane that was moved to the front stays there', () => {
    const kept = edit((m) => ({ ...m, influences: [m.influences[2], m.influences[0], m.influences[1]] }));
    expect(idsOf(withCalled(kept, CAST))).toEqual(['called-c1', 'a', 'b']);
  });

  test('the lane goes with the name', () => {
    expect(idsOf(edit((m) => ({ ...m, prompt: 'a boy at the mill' })))).toEqual(['a', 'b']);
  });

  test('a lane that was taken out does not come back, until somebody puts it in', () => {
    const without = edit((m) => ({ ...m, influences: m.influences.slice(0, 2) }));
    expect(without.settings.uncalled).toEqual(['c1']);
    expect(withCalled(without, CAST)).toBe(without);
    const own = anInfluence('n', { of: 'character', referenceId: 'c1', gives: 'character' });
    const again = withoutCalled(without, { ...without, influences: [...without.influences, own] }, CAST);
    expect(again.settings.uncalled).toBeUndefined();
    expect(idsOf(again)).toEqual(['a', 'b', 'n']);
  });

  test('taking the name out of the words forbids nothing', () => {
    const kept = edit((m) => ({ ...m, prompt: 'a mill', influences: m.influences.slice(0, 2) }));
    expect(kept.settings.uncalled).toBeUndefined();
  });
});

describe('shots that share a mix', () => {
  const mix = saying('a mill');
  const shot = (prompt: string, own = {}) => ({ prompt, seed: 1, own });
  const shots = [shot('Nilo at the mill'), shot('Aunt Pera and Nilo'), shot('a mill', { avoid: 'Nilo' })];

  test('each has whom its own words call', () => {
    expect(shots.map((s) => idsOf(calledInShot(mix, s, CAST)).slice(2))).toEqual([
      ['called-c1'],
      ['called-c1', 'called-c2'],
      [],
    ]);
    expect(idsOf(calledInShot(mix, shot('Nilo', { avoid: 'Nilo' }), CAST))).toEqual(['a', 'b']);
  });

  test('a shot has a weight of its own for whom it calls', () => {
    const own = { influences: { 'called-c1': { weight: 0.3 } } };
    expect(calledInShot(mix, shot('Nilo', own), CAST).influences[2].weight).toBe(0.3);
  });

  test('together they call everybody once, and what is laid on all of them acts only where a name is said', () => {
    const all = calledByShots(mix, shots, CAST);
    expect(idsOf(all)).toEqual(['a', 'b', 'called-c1', 'called-c2']);
    const lighter = { ...all, influences: all.influences.map((i) => (i.of ? { ...i, weight: 0.1 } : i)) };
    expect(idsOf(calledInShot(lighter, shot('a girl'), CAST))).toEqual(['a', 'b']);
    expect(calledInShot(lighter, shot('Nilo'), CAST).influences[2].weight).toBe(0.1);
  });

  test('left out of all of them, nobody calls it in again', () => {
    const without = withoutInfluence(calledByShots(mix, shots, CAST), 'called-c1');
    expect(idsOf(calledInShot(without, shots[1], CAST))).toEqual(['a', 'b', 'called-c2']);
    expect(idsOf(withoutInfluence(mix, 'a'))).toEqual(['b']);
  });
});
