import { differences } from './differences';
import type { MixInfluence } from './mix';
import { aMix, anInfluence } from './testing';

const name = (i: MixInfluence) => i.referenceId.replace('r-', 'Picture ');

describe('differences', () => {
  test('nothing differs from itself', () => expect(differences(aMix(), aMix(), name)).toEqual([]));

  test('every change is told once, in words', () => {
    const after = aMix({
      prompt: 'a quay',
      settings: { aspect: '1:1', seed: 4, balance: 1.5, spread: 0.5, start: { of: 'take', id: 't', change: 0.4 } },
      influences: [
        anInfluence('a', { weight: 1.1, from: 0.2, referenceId: 'r-z' }),
        anInfluence('c', { gives: 'face' }),
      ],
    });
    expect(differences(aMix(), after, name)).toEqual([
      'words: “a mill” → “a quay”',
      'seed 3 → 4',
      'plate 3:2 → 1:1',
      'balance 1 → 1.5',
      'spread 1 → 0.5',
      'start picture, changed 40 %',
      'Picture a replaced by Picture z',
      'Picture z 0.8 → 1.1',
      'Picture z from 0 %–100 % to 20 %–100 %',
      'Picture b taken out',
      'Picture c added, gives face, 0.8',
    ]);
  });

  test('small things count too', () => {
    const told = (fields: Partial<MixInfluence>) =>
      differences(aMix(), aMix({ influences: [anInfluence('a', fields), aMix().influences[1]] }), name);
    expect(told({ on: false })).toEqual(['Picture a off']);
    expect(told({ reading: 'close' })).toEqual(['Picture a read close instead of normal']);
    expect(told({ motif: 1.4 })).toEqual(['strokes of Picture a 100 % → 140 %']);
    expect(told({ motif: 1 })).toEqual([]);
    expect(told({ gives: 'palette' })).toEqual(['Picture a gives palette instead of look']);
    expect(told({ subject: 'Ilse' })).toEqual(['Picture a acts on Ilse']);
    expect(told({ parts: ['hair'] })).toEqual(['Picture a carries hair']);
    expect(told({ region: { content: 'm', invert: false, feather: 0 } })).toEqual(['Picture a bound to a region']);
    expect(told({ except: ['p'] })).toEqual(['Picture a without 1 of its pictures']);
    const turned = aMix({ influences: [...aMix().influences].reverse() });
    expect(differences(aMix(), turned, name)).toEqual(['order of the influences changed']);
  });
});
