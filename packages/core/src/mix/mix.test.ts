import fc from 'fast-check';
import { sameInfluence, sameMix, sameSettings } from './equal';
import { GIVES, give } from './gives';
import { CHANNELS, FACTS } from './gives/give';
import { INFLUENCE_SETTINGS } from './influence';
import { IDENTITY_PARTS } from './influence/parts';
import { requestedInfluence, requestedSettings, settingsIn } from './requested';
import type { AnySetting } from './setting';
import { SETTINGS, type MixSettings } from './settings';
import { aMix, anInfluence } from './testing';

const declared = Object.entries<AnySetting>({ ...SETTINGS, ...INFLUENCE_SETTINGS });

/** Any value of a declared setting; undefined for those that are made of parts. */
const valueOf = ({ form }: AnySetting): fc.Arbitrary<unknown> => {
  switch (form.kind) {
    case 'number':
      return fc.double({ min: form.low, max: form.high, noNaN: true });
    case 'whole':
      return fc.integer({ min: form.low, max: form.high });
    case 'choice':
      return fc.constantFrom(...form.values);
    case 'choices':
      return fc.subarray([...form.values], { minLength: 1 });
    case 'flag':
      return fc.boolean();
    case 'text':
      return fc.string({ minLength: 1, maxLength: 20 });
    default:
      return fc.constant(undefined);
  }
};

describe('declared settings', () => {
  test.each(declared)('%s has a label, a name, a sentence, and a usual value that it may have', (_, setting) => {
    const { label, title, says, form, usual } = setting;
    for (const text of [label, title, says]) expect(text.trim().length).toBeGreaterThan(1);
    expect(says).toMatch(/^[A-Z].*[^.]$/);
    if (form.kind === 'number' || form.kind === 'whole') {
      expect(form.low).toBeLessThan(form.high);
      expect(usual).toBeGreaterThanOrEqual(form.low);
      expect(usual).toBeLessThanOrEqual(form.high);
    }
    if (form.kind === 'choice' && usual !== undefined) expect(form.values).toContain(usual);
  });

  test.each(declared)(
    '%s: what is told to differ is not the same, and what is the same is not told',
    (name, setting) => {
      const told = name === 'from' || name === 'to';
      fc.assert(
        fc.property(valueOf(setting), valueOf(setting), (a, b) => {
          const differ = setting.differences(a, b, 'X');
          expect(setting.differences(a, a, 'X')).toEqual([]);
          if (!told && JSON.stringify(a ?? setting.usual) !== JSON.stringify(b ?? setting.usual))
            expect(differ).toHaveLength(1);
          for (const text of differ) expect(text).not.toMatch(/undefined|NaN|\[object/);
        }),
        { numRuns: 40 },
      );
    },
  );
});

describe('equality', () => {
  const plain: MixSettings = { aspect: '3:2', seed: 1, balance: 1 };

  test('what is not said is as usual', () => {
    const said = { ...plain, spread: 1, strictness: 0.5, ornateness: 0.5, emphases: [{ words: 'mill', weight: 1 }] };
    expect(sameSettings(plain, said)).toBe(true);
    expect(
      sameInfluence(anInfluence('a'), anInfluence('a', { of: 'reference', motif: 1, fill: 'inside', except: [] })),
    ).toBe(true);
  });

  const usual = { ...plain, spread: 1, strictness: 0.5, ornateness: 0.5 } as Readonly<Record<string, unknown>>;
  const simple = Object.entries<AnySetting>(SETTINGS).filter(([, { form }]) => !['parts', 'ids'].includes(form.kind));
  test.each(simple)('another %s is another picture', (name, setting) => {
    fc.assert(
      fc.property(valueOf(setting), (value) => {
        fc.pre(value !== usual[name]);
        expect(sameSettings(plain, { ...plain, [name]: value })).toBe(false);
      }),
      { numRuns: 20 },
    );
  });

  const mask = { content: 'm', invert: false, feather: 0 };
  test.each([
    ['emphases', [{ words: 'mill', weight: 2 }], [{ words: 'mill', weight: 0.5 }]],
    ['start', { of: 'take', id: 't', change: 0.5 }, { of: 'take', id: 't', change: 0.6 }],
    ['mask', mask, { ...mask, invert: true }],
  ])('another %s is another picture', (name, a, b) => {
    expect(sameSettings({ ...plain, [name]: a }, { ...plain, [name]: structuredClone(a) })).toBe(true);
    expect(sameSettings({ ...plain, [name]: a }, plain)).toBe(false);
    expect(sameSettings({ ...plain, [name]: a }, { ...plain, [name]: b })).toBe(false);
  });

  test('words, and the order of influences, count', () => {
    expect(sameMix(aMix(), aMix())).toBe(true);
    expect(sameMix(aMix(), aMix({ avoid: 'boats' }))).toBe(false);
    expect(sameMix(aMix(), aMix({ influences: [...aMix().influences].reverse() }))).toBe(false);
    expect(sameMix(aMix(), aMix({ influences: aMix().influences.slice(1) }))).toBe(false);
  });
});

describe('what a request says', () => {
  test('nothing that is as usual, and nothing that it says otherwise', () => {
    const settings: MixSettings = {
      aspect: '1:1',
      seed: 4,
      balance: 0.5,
      strictness: 0.5,
      ornateness: 0.9,
      start: { of: 'take', id: 't', change: 0.4 },
    };
    expect(requestedSettings(settings)).toEqual({ seed: 4, balance: 0.5, spread: 1, ornateness: 0.9 });
    expect(Object.keys(requestedSettings({ ...settings, medium: 'pastel', spread: 0 }))).toEqual([
      'seed',
      'balance',
      'spread',
      'ornateness',
      'medium',
    ]);
    const { id: _, referenceId: __, ...rest } = anInfluence('a', { motif: 1, except: ['p'] });
    const { except: ___, motif: ____, ...asked } = rest;
    expect(requestedInfluence(rest)).toEqual(asked);
  });

  test('is read back as the settings that it was made of', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.nat(), (part, seed) => {
        const settings = { aspect: '3:2', seed, balance: 2 * part, spread: part, strictness: part } as const;
        const back = { aspect: settings.aspect, ...settingsIn(requestedSettings(settings)) } as MixSettings;
        expect(sameSettings(back, settings)).toBe(true);
      }),
    );
  });
});

describe('declared gives', () => {
  test.each(GIVES)('%s reaches some channel, at most wholly, and says what it does', (gives) => {
    const { factors, parts, facts, says } = give(gives);
    const reached = Object.entries(factors);
    expect(reached.length).toBeGreaterThan(0);
    for (const [channel, factor] of reached) {
      expect(CHANNELS).toContain(channel);
      expect(factor > 0 && factor <= 1).toBe(true);
    }
    expect(parts.every((p) => IDENTITY_PARTS.includes(p))).toBe(true);
    expect(facts.every((f) => FACTS.includes(f))).toBe(true);
    // who carries parts of somebody needs to know where the face is, and acts on identity
    if (parts.length) {
      expect(facts).toContain('face');
      expect(factors.identity).toBeGreaterThan(0);
    }
    expect(says).toMatch(/^[A-Z].*[^.]$/);
  });
});
