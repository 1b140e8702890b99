import { emphasise, heardEmphases, silenced, weighable } from './emphasis';
import { understand } from './understand';

const PROMPT =
  'Ilse in a red coat and two foxes beside an old lighthouse on the pier at dusk in the rain, a fox on a boat';
const brief = understand(PROMPT);

test('people, creatures and things get a prominence, each the one that is meant', () => {
  const { entities } = emphasise(brief, [
    { words: 'Ilse', weight: 1.6 },
    { words: 'lighthouse', weight: 0.4 },
    { words: 'foxes', weight: 2 },
  ]);
  const prominence = Object.fromEntries(
    entities.map((e, k) => [
      e.kind === 'person' ? 'Ilse' : e.kind === 'thing' ? e.thing : `${e.species} ${k}`,
      e.prominence,
    ]),
  );
  expect(prominence.Ilse).toBe(1.6);
  expect(prominence.lighthouse).toBe(0.4);
  expect(prominence.boat).toBeUndefined();
  const foxes = entities.filter((e) => e.kind === 'creature');
  expect(foxes.map((f) => f.prominence)).toEqual([2, undefined]);
});

test('a word that stands there twice means its own place', () => {
  const twice = understand('a fox and an owl and a fox');
  const { entities } = emphasise(twice, [{ words: 'owl and a fox', weight: 1.5 }]);
  expect(entities.map((e) => e.prominence)).toEqual([undefined, 1.5, 1.5]);
});

test('time, weather, season and light are stressed; colours gain or lose chroma where they are said', () => {
  const { stress, entities } = emphasise(brief, [
    { words: 'dusk', weight: 0.5 },
    { words: 'rain', weight: 2 },
    { words: 'red', weight: 0.5 },
  ]);
  expect(stress).toEqual({ time: 0.5, weather: 2 });
  const chroma = (of: typeof brief.entities) => of[0].kind === 'person' && of[0].garments[0].colour!.lch[1];
  expect(chroma(entities)).toBeCloseTo((chroma(brief.entities) as number) / 2);
  expect(entities[0]).toMatchObject({ kind: 'person', cast: 'Ilse', count: 1 });
});

test('words that are gone, weights of one and words that mean nothing of the kind change nothing', () => {
  const none = [
    { words: 'whale', weight: 2 },
    { words: 'dusk', weight: 1 },
    { words: 'beside', weight: 2 },
    { words: ' ', weight: 0 },
  ];
  expect(emphasise(brief, none)).toEqual(brief);
  expect(heardEmphases(PROMPT, none).map((e) => e.words)).toEqual(['beside']);
});

test('what counts nothing is refused', () => {
  const words = silenced([
    { words: 'fox', weight: 0 },
    { words: 'boat', weight: 0.04 },
    { words: 'rain', weight: 0.3 },
  ]);
  expect(words).toBe('fox, boat');
  expect(understand('a fox on a boat', words).entities).toEqual([]);
});

test('only what a weight can act on is offered: a place counts where it is a thing of the picture', () => {
  expect(weighable(brief).map((s) => s.text)).toEqual([
    'Ilse',
    'red',
    'foxes',
    'lighthouse',
    'dusk',
    'rain',
    'fox',
    'boat',
  ]);
  expect(weighable(understand('the harbour')).map((s) => s.text)).toEqual([]);
});
