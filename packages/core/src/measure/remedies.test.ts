import { understand } from '../prompt/understand';
import { stateOfShot, type ShotPlan } from '../mix/own';
import type { MixInfluence, MixState } from '../mix/mix';
import { contraryWords } from './contrary';
import { remediesFor } from './remedies';
import { CAUSES, type Cause } from './shotFacts';
import { SHEET, WHO } from './testing';

const influence = (id: string, weight: number, gives: MixInfluence['gives']): MixInfluence => ({
  id,
  referenceId: id,
  gives,
  weight,
  from: 0,
  to: 1,
  reading: 'normal',
  on: true,
});
const MIX: MixState = {
  prompt: '',
  avoid: '',
  settings: { aspect: '3:2', seed: 1, balance: 1 },
  influences: [influence('look', 0.8, 'look'), influence('who', 1, 'character'), influence('rival', 0.6, 'face')],
};
const PLAN: ShotPlan = { prompt: 'a young woman on the pier', seed: 7, own: {} };
const remedies = (plan: ShotPlan, cause: Cause, behind: readonly string[] = []) =>
  remediesFor(plan, MIX, { cause, sentence: '', behind }, WHO, (id) => ({ rival: 'Marek' })[id] ?? id);

test('every cause has one or two remedies, each of which changes the plan', () => {
  for (const cause of CAUSES) {
    const found = remedies(
      { ...PLAN, own: { balance: 0.2 } },
      cause,
      cause === 'own setting' ? ['balance'] : ['rival'],
    );
    expect([cause, found.length]).toEqual([cause, expect.any(Number)]);
    expect(found.length).toBeGreaterThan(0);
    expect(found.length).toBeLessThan(3);
    for (const m of found) expect(m.plan).not.toEqual({ ...PLAN, own: { balance: 0.2 } });
  }
});

test('own settings are taken back, all that are behind it and no others', () => {
  const own = { balance: 0.4, influences: { who: { weight: 0.2, from: 0.1 }, look: { weight: 1 } } };
  const [first] = remedies({ ...PLAN, own }, 'own setting', ['weight:who', 'balance']);
  expect(first.label).toBe('Take its own settings back');
  expect(first.plan.own).toEqual({ influences: { who: { from: 0.1 }, look: { weight: 1 } } });
});

test('a rival is taken out when it is of this shot alone, let act as elsewhere, or made weaker', () => {
  const added = { ...influence('guest', 2, 'character') };
  const [out] = remedies({ ...PLAN, own: { added: [added] } }, 'other reference', ['guest']);
  expect(stateOfShot(MIX, out.plan).influences.map((i) => i.id)).toEqual(['look', 'who', 'rival']);
  const [back] = remedies({ ...PLAN, own: { influences: { rival: { weight: 2 } } } }, 'other reference', ['rival']);
  expect(back).toMatchObject({ label: 'Let Marek act as in the others', plan: { own: {} } });
  const [less] = remedies(PLAN, 'other reference', ['rival']);
  expect(stateOfShot(MIX, less.plan).influences[2].weight).toBeCloseTo(0.18);
});

test('words are left out with what joined them, and the rest stays', () => {
  const prompt = 'half figure of a young woman with white hair in a bob, on the pier';
  const [contrary] = contraryWords(prompt, SHEET);
  const [first] = remedies({ ...PLAN, prompt }, 'words', [contrary.text]);
  expect(first.plan.prompt).toBe('half figure of a young woman, on the pier');
  expect(contraryWords(first.plan.prompt, SHEET)).toEqual([]);
});

test('a figure is brought nearer, turned to us, put into the words', () => {
  const [nearer] = remedies({ ...PLAN, prompt: 'wide view, a young woman far away on the pier' }, 'too small');
  expect(understand(nearer.plan.prompt).framing).toBe('half figure');
  expect(nearer.plan.prompt).not.toContain('far away');
  const [facing] = remedies({ ...PLAN, prompt: 'a young woman from behind on the pier' }, 'turned away');
  expect(understand(facing.plan.prompt).entities[0]).toMatchObject({ view: 'three-quarter' });
  const [named] = remedies({ ...PLAN, prompt: 'the empty pier' }, 'nobody');
  expect(named.plan.prompt).toBe('half figure of Ilse, the empty pier');
});

test('no weight above 2 is proposed', () => {
  const strong = { ...PLAN, own: { influences: { who: { weight: 1.9 } } } };
  const found = remedies(strong, 'seed').flatMap((m) => m.plan.own.influences?.who?.weight ?? []);
  expect(Math.max(...found)).toBe(2);
  const full = { ...PLAN, own: { influences: { who: { weight: 2 } } } };
  expect(remedies(full, 'seed').map((m) => m.label)).toEqual(['Another seed']);
});

describe('words against a sheet', () => {
  const against = (prompt: string) => contraryWords(prompt, SHEET).map((c) => [c.about, c.text]);
  test('colours that are far off, features that are refused, a hat for somebody without', () => {
    expect(against('a woman with black hair')).toEqual([['hair', 'black hair']]);
    expect(against('a woman with glasses, on the pier')).toEqual([['glasses', 'glasses']]);
    expect(against('a woman in a straw hat')).toEqual([['headwear', 'straw hat']]);
    expect(against('a woman in a blue coat')).toEqual([['clothes', 'blue coat']]);
  });
  test('nothing that agrees, is unsure, or is about nobody', () => {
    expect(against('a woman with a red plait in a yellow coat')).toEqual([]);
    expect(contraryWords('a woman with black hair', { hair: { ...SHEET.hair!, confidence: 0.1 } })).toEqual([]);
    expect(against('the empty pier with a black dog')).toEqual([]);
  });
});
