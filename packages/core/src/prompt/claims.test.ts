import fc from 'fast-check';
import { understand } from './understand';
import { VOCABULARY } from './lexicon';

const claimsOf = (prompt: string) =>
  understand(prompt).claims.map(
    (c) => `${c.text} = ${c.axis}: ${c.value}${c.entity === undefined ? '' : ` @${c.entity}`}`,
  );
const unusedOf = (prompt: string) => understand(prompt).unused.map((u) => [u.text, u.why]);

describe('what a word says, it says of somebody', () => {
  test('an adjective waits for its noun, and the same colour is said twice', () => {
    expect(claimsOf('a red boat beside a green boat in the harbour at dusk')).toEqual([
      'red = colour: red @0',
      'boat = thing: boat @0',
      'beside = relation: beside @1',
      'green = colour: green @1',
      'boat = thing: boat @1',
      'harbour = place: harbour',
      'dusk = time: dusk',
    ]);
  });

  test('clothes, hair and what is held belong to whoever has them', () => {
    expect(claimsOf('a girl with short black hair in a red coat with a lantern')).toEqual([
      'girl = person: child girl @0',
      'short = size: short @0',
      'black = colour: black @0',
      'hair = feature: hair @0',
      'red = colour: red @0',
      'coat = garment: coat @0',
      'lantern = thing: lantern @0',
    ]);
  });

  test('a verb is said of everybody before it, a name that comes again of the same one', () => {
    expect(claimsOf('Tove and Marek walk on the pier, Tove waves').filter((c) => !c.includes('place'))).toEqual([
      'Tove = cast: Tove @0',
      'Marek = cast: Marek @1',
      'walk = action: walk @0',
      'walk = action: walk @1',
      'Tove = cast: Tove @0',
    ]);
  });

  test('a place that is not the setting is a thing in the distance', () => {
    expect(claimsOf('Ilse in the meadow, a lighthouse in the distance')).toContain('lighthouse = place: lighthouse @1');
  });

  test('what shall not appear is claimed too', () => {
    expect(claimsOf('the harbour without boats')).toContain('boats = no: thing: boat');
  });
});

describe('what comes to nothing is told with its reason', () => {
  test.each([
    ['a boy sits and reads a letter', 'reads', 'Somebody does one thing at a time: here "sit".'],
    ['Ilse in the forest, a path', 'path', 'A picture has one place: this one is "forest".'],
    ['portrait of Ilse, wide view', 'wide view', 'A picture has one framing: this one has "portrait".'],
    ['a girl at dusk, at noon', 'noon', 'A picture has one time: this one has "dusk".'],
    ['a girl feeding a hen', 'feeding', 'Drawn as somebody who kneels, not more.'],
    ['a queen in the kitchen', 'queen', 'Drawn as a woman, not more.'],
    ['a girl with a broom', 'broom', 'Drawn as a rod, not more.'],
    ["the harbour, bird's eye view", "bird's eye view", 'Drawn as a high horizon, not more.'],
    [
      'a cat on a barrel, a dog in front of him',
      'in front of',
      'Whom the next word means is not understood: say the name again.',
    ],
    ['Brom stands in the shallows', 'shallows', 'Drawn as a marsh, not more.'],
    ['the pier in a thunderstorm', 'thunderstorm', 'Drawn as dark clouds and rain, not more.'],
  ])('%s', (prompt, text, why) => {
    expect(unusedOf(prompt)).toContainEqual([text, why]);
    expect(understand(prompt).claims.map((c) => c.text)).not.toContain(text);
  });

  test('whoever finds no room is not drawn', () => {
    const five = 'Ilse, Tove, Marek, Juna and an old woman';
    expect(unusedOf(five).map(([text]) => text)).toEqual(['old woman']);
    expect(unusedOf(five)[0][1]).toContain('4 people');
  });

  test('plain words lose nothing', () => {
    expect(unusedOf('Ilse waves from the landing stage, snow, morning')).toEqual([]);
    expect(unusedOf('two fishermen in a boat at night')).toEqual([]);
  });
});

const words = Object.values(VOCABULARY).flatMap((lines) => Object.values(lines).flat());
test('every word that means something is a claim, a word that came to nothing, or grammar', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...words, 'and', 'a', ',', 'with', 'no', 'zzz'), { minLength: 1, maxLength: 14 }),
      (picked) => {
        const { understood, claims, unused, entities } = understand(picked.join(' '));
        for (const claim of claims) if (claim.entity !== undefined) expect(entities[claim.entity]).toBeDefined();
        const told = new Set([...claims, ...unused].map(({ start }) => start));
        for (const { start, means } of understood) {
          const ties = means.split(', ').every((m) => /^(relation|count|hand|shade): /.test(m));
          if (!ties) expect([means, told.has(start)]).toEqual([means, true]);
        }
      },
    ),
    { numRuns: 300 },
  );
});

test.each(['Ilse in her green coat', 'Ilse with her red scarf in the marsh', 'Tove in her winter boots'])(
  '%s: "her" says whose it is, and points to nobody',
  (prompt) => expect(understand(prompt).unused.map((u) => u.text)).not.toContain('in'),
);
test.each(['a fox behind her', 'a dog beside her, at dusk'])('%s: whom "her" means is asked', (prompt) =>
  expect(
    understand(prompt)
      .unused.map((u) => u.why)
      .join(),
  ).toMatch(/say the name again/),
);
