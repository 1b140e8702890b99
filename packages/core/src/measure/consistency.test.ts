import fc from 'fast-check';
import { closerOf, fallingOut } from './consistency';
import type { Lab } from '../colour/oklab';
import { identityOff } from './identityOff';
import { deviations } from './robust';
import type { SubjectFacts } from './shotFacts';
import { spreadOf, timesCloser, pairsOf, distanceIn } from './spread';
import { LOOK, madeSeries, SHEET, shown, STRANGER, WHO, type MadeShot } from './testing';

const BOTH = [LOOK, WHO];
const NAMES: Readonly<Record<string, string>> = { who: 'Ilse', look: 'Chalk', rival: 'Marek' };
const CONTEXT = { names: [], height: 500, nameOf: (id: string) => NAMES[id] };
const falls = (made: Readonly<Record<number, MadeShot>>) => fallingOut(madeSeries(made), BOTH, CONTEXT);

describe('robust deviations', () => {
  test('are 0 for the median, grow with the distance, and do not mind one wild value among the others', () => {
    expect(deviations(5, [4, 5, 6, 5], 0.1)).toBe(0);
    expect(deviations(9, [4, 5, 6, 5], 0.1)).toBeGreaterThan(deviations(7, [4, 5, 6, 5], 0.1));
    expect(deviations(20, [4, 5, 6, 5, 5, 1000], 0.1)).toBeGreaterThan(5);
  });
  test('tell nothing with fewer than three others', () => {
    expect(deviations(100, [1, 1], 0.1)).toBe(0);
    expect(deviations(100, [1, 1, 1], 0.1)).toBeGreaterThan(3.5);
  });
  test('never exceed what the floor allows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -10, max: 10, noNaN: true }),
        fc.array(fc.double({ min: -10, max: 10, noNaN: true }), { minLength: 3, maxLength: 12 }),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        (v, others, floor) => Math.abs(deviations(v, others, floor)) <= 20 / floor + 1e-9,
      ),
    );
  });
});

describe('spread', () => {
  const pictures = madeSeries({ 3: { apart: 0.5 } }).map(({ picture }) => ({ ...picture, traits: {} }));
  test('is the mean over all pairs that can be compared', () => {
    const pairs = pairsOf(pictures.slice(0, 3), 'surface');
    const all = [distanceIn(pairs, 0, 1)!, distanceIn(pairs, 0, 2)!, distanceIn(pairs, 2, 1)!];
    expect(spreadOf(pairs)).toBeCloseTo((all[0] + all[1] + all[2]) / 3);
    expect(spreadOf(pairsOf(pictures, 'identity'))).toBeUndefined();
  });
  test('takes that lie closer than their controls are so many times closer', () => {
    const wide = madeSeries(Object.fromEntries([0, 2, 4, 6, 8].map((k) => [k, { apart: 0.4 }])));
    const controls = wide.map(({ picture }) => ({ ...picture, traits: {} }));
    expect(timesCloser(pictures.slice(4), controls, 'colour')).toBeGreaterThan(5);
    expect(timesCloser(controls, controls, 'colour')).toBeCloseTo(1);
    expect(timesCloser(pictures.slice(0, 1), controls, 'colour')).toBeUndefined();
  });
});

test('a series is measured against its controls, identity by influence and look by surface and colour', () => {
  const strangers = madeSeries(
    Object.fromEntries([1, 3, 5, 7, 9].map((k) => [k, { apart: 0.3, subject: { traits: STRANGER } }])),
  );
  const { identity, look, surface, colour } = closerOf(madeSeries(), strangers, BOTH);
  expect(identity.who).toBeGreaterThan(5);
  expect(look).toBeCloseTo(Math.sqrt(surface! * colour!));
  expect(closerOf(madeSeries(), strangers, [WHO]).look).toBeUndefined();
  expect(closerOf(madeSeries(), strangers, [LOOK]).identity).toEqual({});
});

test('who is seen is closer together than controls that show one and the same stranger every time', () => {
  const all = Object.fromEntries(madeSeries().map((_, k) => [k, { subject: { traits: STRANGER } }]));
  expect(closerOf(madeSeries(), madeSeries(all), [WHO]).identity.who).toBeGreaterThan(2.5);
  expect(closerOf(madeSeries(), madeSeries(), [WHO]).identity.who).toBeCloseTo(1, 6);
  // a stranger every time is no nearer to what the takes would be without them
  expect(closerOf(madeSeries(all), madeSeries(all), [WHO]).identity.who).not.toBeGreaterThan(1.01);
});

describe('what falls out', () => {
  test('nothing of a series that holds together', () => {
    expect(falls({})).toEqual([]);
  });
  test('somebody else, an unreadable face, another surface and a reference that did not arrive', () => {
    expect(falls({ 4: { subject: { traits: STRANGER } } })).toMatchObject([
      { shot: 4, aspect: 'identity', influence: 'who' },
    ]);
    expect(falls({ 4: { subject: { traits: {} } } })).toMatchObject([{ shot: 4, aspect: 'identity', far: Infinity }]);
    expect(falls({ 7: { apart: 0.4 } })).toMatchObject([{ shot: 7, aspect: 'look', influence: 'look' }]);
    const palette = { id: 'sand', name: 'Sand', gives: 'palette', weight: 1 } as const;
    const arrived = (k: number) => ({ arrivals: { sand: k === 2 ? 0.05 : 0.6 + 0.01 * (k % 4) } });
    const shots = madeSeries(Object.fromEntries(Array.from({ length: 12 }, (_, k) => [k, arrived(k)])));
    expect(fallingOut(shots, [palette], CONTEXT)).toMatchObject([
      { shot: 2, aspect: 'arrival', arrival: 0.05, others: { low: 0.6 } },
    ]);
  });
  test('the farthest first, and one finding a shot', () => {
    const found = falls({ 2: { subject: { traits: shown(0.45) } }, 5: { apart: 0.3, subject: { traits: {} } } });
    expect(found.map((f) => f.shot)).toEqual([5, 2]);
  });
  test('no shot that looks different by what it shows, where the look has arrived as well as elsewhere', () => {
    expect(falls({ 7: { apart: 0.4, arrivals: { who: 0.7, look: 0.6 } } })).toEqual([]);
    expect(falls({ 7: { apart: 0.4, arrivals: { who: 0.7, look: 0.45 } } })).toHaveLength(1);
  });
  test('later where the words ask for a light of its own: the rest is what was asked for', () => {
    const farAt = (prompt: string) => falls({ 7: { apart: 0.4, prompt } })[0].far;
    const [plain, dawn] = ['on the pier', 'on the pier at dawn'].map((where) =>
      farAt(`half figure of a young woman ${where}`),
    );
    expect(dawn).toBeCloseTo(0.5 * plain);
  });
  test('a figure of a few pixels tells nothing of who it is', () => {
    expect(falls({ 4: { subject: { height: 0.2 } } })).toMatchObject([{ shot: 4, far: Infinity, cause: 'too small' }]);
    expect(falls({ 4: { subject: { height: 0.3 } } })).toEqual([]);
  });
  test('sooner where the words or own settings are a reason', () => {
    const subject = { traits: shown(0.12) };
    const differs = [{ key: 'weight:who', influence: 'who', setting: 'weight', mix: 1, own: 0.2 } as const];
    expect(falls({ 4: { subject } })).toEqual([]);
    expect(falls({ 4: { subject, differs } })).toMatchObject([{ shot: 4, cause: 'own setting' }]);
    expect(falls({ 4: { differs } })).toEqual([]);
  });
  test('no influence that is switched to nothing', () => {
    expect(fallingOut(madeSeries({ 7: { apart: 0.4 } }), [{ ...LOOK, weight: 0 }], CONTEXT)).toEqual([]);
  });
});

describe('what is written is looked at before pixels', () => {
  /** A series in a technique without colours: nothing of hair or skin can be read. */
  const colourless = (made: Readonly<Record<number, MadeShot>>) =>
    Object.fromEntries(
      Array.from({ length: 12 }, (_, k) => {
        const traits = Object.fromEntries(Object.entries(shown()).map(([n, t]) => [n, { ...t, confidence: 0.02 }]));
        const { subject, ...rest } = made[k] ?? {};
        return [k, { arrivals: { look: 0.6 }, ...rest, subject: { traits, ...subject } }];
      }),
    );
  const WHITE = 'half figure of a young woman with white hair on the pier';
  const weaker = { key: 'weight:who', influence: 'who', setting: 'weight', mix: 1, own: 0.2 } as const;
  const slightly = { ...weaker, own: 0.7 };

  test('words, own settings and another reference count where no picture can tell', () => {
    expect(falls(colourless({}))).toEqual([]);
    expect(falls(colourless({ 4: { prompt: WHITE } }))).toMatchObject([{ shot: 4, cause: 'words' }]);
    expect(falls(colourless({ 4: { differs: [weaker] } }))).toMatchObject([{ shot: 4, cause: 'own setting' }]);
    const shares = { who: 0.3, rival: 0.7 };
    expect(falls(colourless({ 4: { subject: { shares } } }))).toMatchObject([{ shot: 4, cause: 'other reference' }]);
    expect(falls(colourless({ 4: { prompt: WHITE } }))[0].sentence).toMatch(/ This picture cannot tell\.$/);
  });
  test('small ones do not: a weight that is a little lower, a coat that may be changed', () => {
    expect(falls(colourless({ 4: { differs: [slightly] } }))).toEqual([]);
    expect(falls(colourless({ 4: { prompt: 'a young woman in a blue coat on the pier' } }))).toEqual([]);
  });
  test('a shot in which it arrived all the same is cleared', () => {
    const arrived = { who: 0.9, look: 0.6 };
    expect(falls({ 4: { differs: [weaker], arrivals: arrived } })).toEqual([]);
    expect(falls({ 4: { prompt: WHITE, arrivals: arrived } })).toEqual([]);
    expect(falls({ 4: { differs: [weaker], arrivals: { who: 0.2, look: 0.6 } } })).toHaveLength(1);
  });
  test('words that the picture did not follow are cleared by the hair that it shows', () => {
    expect(falls({ 4: { prompt: WHITE, arrivals: { look: 0.6 } } })).toEqual([]);
    const white = { hair: { colour: [0.9, 0, 0.01] as Lab, confidence: 0.8 } };
    const subject = { traits: { ...shown(), ...white } };
    expect(falls({ 4: { prompt: WHITE, subject, arrivals: { look: 0.6 } } })).toMatchObject([{ cause: 'words' }]);
  });
});

describe('who is seen', () => {
  const moved = (by: readonly [number, number, number], only?: string): Partial<SubjectFacts> => ({
    traits: Object.fromEntries(
      Object.entries(shown()).map(([n, t]) => [
        n,
        t.colour && (!only || n === only) ? { ...t, colour: t.colour.map((v, k) => v + by[k]) as unknown as Lab } : t,
      ]),
    ),
  });
  const distances = (made: Readonly<Record<number, MadeShot>>) =>
    identityOff(madeSeries(made), WHO, CONTEXT.height).map((o) => o.distance ?? -1);

  test('light that lies over all colours of somebody is no other person; one colour that is another is', () => {
    const dusk = [-0.09, 0.04, -0.03] as const;
    const [all, one] = [
      distances({ 4: { subject: moved(dusk) } })[4],
      distances({ 4: { subject: moved(dusk, 'hair') } })[4],
    ];
    expect(all).toBeLessThan(0.05);
    expect(one).toBeGreaterThan(2 * all);
    expect(falls({ 4: { subject: moved([0.4, 0, 0]) } })).toHaveLength(1);
  });
  test('another coat counts less than other hair', () => {
    const other = [0.3, 0.05, 0.05] as const;
    const [coat, hair] = ['upper', 'hair'].map((n) => distances({ 4: { subject: moved(other, n) } })[4]);
    expect(coat).toBeLessThan(0.5 * hair);
  });
  test('a coat that the words call by its name is no other person at all', () => {
    const coat = moved([0.3, 0.05, 0.05], 'upper');
    const [called, other] = [{ ...coat, outfit: 'winter coat' }, coat].map((s) => distances({ 4: { subject: s } })[4]);
    expect(called).toBeLessThan(0.05);
    expect(other).toBeGreaterThan(2 * called);
    expect(distances({ 4: { subject: { ...moved([0.4, 0, 0], 'hair'), outfit: 'winter coat' } } })[4]).toBeGreaterThan(
      0.2,
    );
  });
  test('a small figure is believed less', () => {
    const at = (height: number) => distances({ 4: { subject: { ...moved([0.3, 0, 0], 'hair'), height } } })[4];
    expect(at(0.3)).toBeLessThan(0.5 * at(0.9));
    expect(at(0.9)).toBe(at(2));
  });
  test('what was hardly read speaks neither for nor against anybody', () => {
    const white = { hair: { colour: [0.97, 0, 0] as Lab, confidence: 0.2 } };
    expect(distances({ 4: { subject: { traits: { ...shown(), ...white } } } })[4]).toBeLessThan(0.05);
  });
  test('only what is known of the character counts', () => {
    const traits = { ...shown(), 'face width': { number: 2, confidence: 0.9 } };
    expect(distances({ 4: { subject: { traits } } })[4]).toBeLessThan(0.05);
  });
  test('nothing is said of somebody of whom only the glasses can be seen', () => {
    const off = identityOff(
      madeSeries({ 4: { subject: { traits: { glasses: SHEET.glasses! } } } }),
      WHO,
      CONTEXT.height,
    );
    expect(off[4]).toEqual({ legible: true });
  });
});

describe('the cause', () => {
  const away = { traits: STRANGER };
  const cause = (made: MadeShot) => falls({ 5: { subject: away, ...made } })[0];
  test('an own setting that takes pull away, by the key that takes it back', () => {
    const weaker = { key: 'weight:who', influence: 'who', setting: 'weight', mix: 1, own: 0.2 } as const;
    expect(cause({ differs: [weaker] })).toMatchObject({ cause: 'own setting', behind: ['weight:who'] });
    expect(cause({ differs: [weaker] }).sentence).toBe('Ilse has its own weight here, 0.2 instead of 1.');
    const later = { key: 'from:who', influence: 'who', setting: 'from', mix: 0, own: 0.6 } as const;
    expect(cause({ differs: [later] }).sentence).toContain('begins at 60 % of the course here, at 0 %');
    const off = { key: 'on:who', influence: 'who', setting: 'on', mix: true, own: false } as const;
    expect(cause({ differs: [off] }).sentence).toBe('Ilse is switched off for this shot.');
    const balance = { key: 'balance', setting: 'balance', mix: 1, own: 0.3 } as const;
    expect(cause({ differs: [balance] }).sentence).toContain('its own balance, 0.3 instead of 1');
  });
  test('an own setting that gives more pull is none', () => {
    const stronger = { key: 'weight:who', influence: 'who', setting: 'weight', mix: 1, own: 1.6 } as const;
    expect(cause({ differs: [stronger] }).cause).toBe('seed');
  });
  test('another reference that decides who is seen', () => {
    const found = cause({ subject: { ...away, shares: { who: 0.4, rival: 0.6 } } });
    expect(found).toMatchObject({ cause: 'other reference', behind: ['rival'] });
    expect(found.sentence).toBe('Here Marek decides 60 % of who is seen; in the others Ilse does.');
  });
  test('words against the sheet, but not when most shots say them', () => {
    const prompt = 'half figure of a young woman with white hair on the pier';
    expect(cause({ prompt })).toMatchObject({ cause: 'words', behind: ['white hair'] });
    const all = Object.fromEntries(Array.from({ length: 12 }, (_, k) => [k, { prompt }]));
    expect(falls({ ...all, 5: { prompt, subject: away } })[0].cause).toBe('seed');
  });
  test('a medium in the words, against the look', () => {
    expect(falls({ 3: { apart: 0.4, prompt: 'a young woman on the pier, linocut' } })[0]).toMatchObject({
      cause: 'words',
      behind: ['linocut'],
    });
  });
  test('a figure that is turned away, too small, or not there', () => {
    expect(cause({ subject: { traits: {}, yaw: undefined } }).cause).toBe('turned away');
    expect(cause({ subject: { traits: {}, height: 0.2 } })).toMatchObject({
      cause: 'too small',
      sentence: 'Ilse is 100 px tall here; in the others mostly 400.',
    });
    expect(cause({ subject: { traits: {}, there: false, yaw: undefined, height: 0 } }).cause).toBe('nobody');
  });
  test('the seed, when nothing else differs', () => {
    expect(cause({}).cause).toBe('seed');
  });
});
