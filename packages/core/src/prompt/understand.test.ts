import fc from 'fast-check';
import {
  ACTIONS,
  EXPRESSIONS,
  MEDIA,
  PLACES,
  SEASONS,
  TIMES,
  VIEWS,
  WEATHERS,
  type Entity,
  type PersonBrief,
} from './brief';
import { COLOUR_VALUES, COLOUR_WORDS } from './english/colours';
import { GRAMMAR } from './english/grammar';
import { LANDMARKS } from './english/places';
import { HOLDABLE, SEATS, SMALL_CREATURES, THING_WORDS } from './english/things';
import { CREATURE_WORDS } from './english/creatures';
import { VOCABULARY, VOCABULARY_SIZE } from './lexicon';
import { plainForms, tokenise } from './tokens';
import { MAX_PROMPT_LENGTH } from './brief';
import { MAX_ENTITIES, MAX_PEOPLE, understand } from './understand';

const people = (text: string, avoid = '') =>
  understand(text, avoid).entities.filter((e): e is PersonBrief => e.kind === 'person');
const names = (entities: readonly Entity[]) =>
  entities.map((e) =>
    e.kind === 'person' ? (e.cast ?? `${e.age} ${e.sex}`) : e.kind === 'creature' ? e.species : e.thing,
  );

describe('the whole picture', () => {
  test('reads who, where, when and doing what', () => {
    const brief = understand('Ilse poles the punt through the salt marsh at dusk, Brom on the prow');
    expect(brief).toMatchObject({ place: 'marsh', time: 'dusk', weather: 'clear' });
    expect(names(brief.entities)).toEqual(['Ilse', 'heron']);
    expect(brief.entities[0]).toMatchObject({ action: 'pole' });
    expect(brief.unheard.map((s) => s.text)).toEqual(['prow']);
  });

  test('time, weather and season are separate axes', () => {
    expect(understand('a snowy winter night with fog')).toMatchObject({
      time: 'night',
      season: 'winter',
      weather: 'snow',
    });
    expect(understand('storm at dawn in autumn')).toMatchObject({ season: 'autumn', time: 'dawn', weather: 'storm' });
    expect(understand('a windy spring morning')).toMatchObject({ season: 'spring', time: 'morning', weather: 'wind' });
    expect(understand('snow')).toMatchObject({ season: 'winter', weather: 'snow' });
  });

  test('framing, camera and light', () => {
    expect(understand('portrait of Ilse, backlit')).toMatchObject({ framing: 'portrait', light: 'backlit' });
    expect(understand('the kitchen from above, candlelight')).toMatchObject({
      place: 'kitchen',
      camera: 'above',
      light: 'lamplight',
      time: 'dusk',
    });
    expect(understand('wide view of the orchard').framing).toBe('wide view');
  });

  test('a medium word chooses the medium, with its inks', () => {
    expect(understand('linocut of a harbour in red')).toMatchObject({ medium: 'linocut', place: 'harbour' });
    expect(understand('a blue linocut of a fox').inks.map((c) => c.name)).toEqual(['blue']);
    expect(understand('two-colour screen print of a bicycle').medium).toBe('screen print');
    expect(understand('a fox, linocut in red and black').inks.map((c) => c.name)).toEqual(['red', 'black']);
  });

  test('the setting is where something is in or at; another place becomes a landmark', () => {
    const brief = understand('Ilse in the meadow, a lighthouse in the distance');
    expect(brief.place).toBe('meadow');
    expect(brief.entities).toContainEqual(
      expect.objectContaining({ kind: 'thing', thing: 'lighthouse', distance: 'far' }),
    );
    expect(understand('a woman in front of a greenhouse')).toMatchObject({ place: 'meadow' });
    expect(understand('a woman in a greenhouse')).toMatchObject({ place: 'greenhouse' });
    expect(understand('a whale').place).toBe('open sea');
    expect(understand('a man rowing').place).toBe('open sea');
  });
});

describe('who and what', () => {
  test('adjectives belong to the next noun, features and clothes to the last person', () => {
    const [girl, man] = people('a girl with short black hair in a red coat beside an old man with a white beard');
    expect(girl).toMatchObject({
      age: 'child',
      sex: 'woman',
      hair: { length: 'short', colour: { name: 'black' } },
      garments: [{ kind: 'coat', colour: { name: 'red' } }],
    });
    expect(girl.beard).toBeUndefined();
    expect(man).toMatchObject({
      age: 'old',
      sex: 'man',
      beard: { colour: { name: 'white' } },
      relation: { how: 'beside', target: 0 },
      garments: [],
    });
    expect(man.hair).toBeUndefined();
  });

  test.each([
    [
      'a freckled boy with curly red hair and round glasses',
      { freckles: true, glasses: true, hair: { style: 'curls', colour: { name: 'red' } } },
    ],
    [
      'a dark-skinned woman with grey plaits',
      { skin: 'dark', hair: { style: 'two plaits', colour: { name: 'grey' } } },
    ],
    ['a tall thin man in a top hat', { size: 'tall', build: 'thin', garments: [{ kind: 'top hat' }] }],
    ['a red-haired girl', { hair: { colour: { name: 'red' } } }],
    ['a woman in red', { clothes: { name: 'red' } }],
    [
      'a girl in a green dress with white dots',
      { garments: [{ kind: 'dress', colour: { name: 'green' }, second: { name: 'white' }, pattern: 'dots' }] },
    ],
    [
      'a girl in a dress with striped trousers',
      { garments: [{ kind: 'dress' }, { kind: 'trousers', pattern: 'stripes' }] },
    ],
    [
      'a girl in a striped blue and white jumper',
      { garments: [{ kind: 'jumper', colour: { name: 'blue' }, second: { name: 'white' }, pattern: 'stripes' }] },
    ],
    ['a boy in a blue striped scarf', { garments: [{ kind: 'scarf', colour: { name: 'blue' }, pattern: 'stripes' }] }],
    ['a woman in a pale green dress', { garments: [{ kind: 'dress', colour: { name: 'light green' } }] }],
    ['a bald man with a moustache', { moustache: true, hair: { style: 'bald' } }],
    ['a girl with green eyes', { eyes: { name: 'green' } }],
    ['a smiling barefoot child', { expression: 'smile', garments: [{ kind: 'barefoot' }] }],
  ])('%s', (text, traits) => {
    expect(people(text)[0]).toMatchObject(traits);
  });

  test('counts and plurals', () => {
    const count = (text: string) => understand(text).entities[0].count;
    expect(count('three herons')).toBe(3);
    expect(count('a pair of swans')).toBe(2);
    expect(count('geese')).toBe(3);
    expect(count('a heron')).toBe(1);
    expect(count('two children')).toBe(2);
    expect(count('several trees')).toBe(4);
  });

  test('who does what with what', () => {
    expect(people('an old man holding a lantern')[0]).toMatchObject({
      action: 'hold',
      holds: [{ what: 'lantern', creature: false }],
    });
    expect(people('a girl with a blue umbrella')[0].holds).toMatchObject([
      { what: 'umbrella', colour: { name: 'blue' } },
    ]);
    expect(people('a boy carrying a basket of apples')[0].holds.map((h) => h.what)).toEqual(['basket']);
    expect(people('a girl with a mouse in her hand')[0].holds).toMatchObject([{ what: 'mouse', creature: true }]);
    expect(people('an old fisherman holding a big fish')[0].holds).toMatchObject([
      { what: 'fish', creature: true, size: 'big' },
    ]);
    const [reader, waver] = people('Ilse reads a letter while Juna waves');
    expect(reader).toMatchObject({ cast: 'Ilse', action: 'read', holds: [{ what: 'letter' }] });
    expect(waver).toMatchObject({ cast: 'Juna', action: 'wave', holds: [] });
  });

  test('words that say how many, and verbs that look like nouns', () => {
    expect(people('a young couple dancing').map((p) => p.count)).toEqual([2]);
    expect(people('a boy fishing on the pier')).toMatchObject([{ action: 'sit', holds: [{ what: 'rod' }] }]);
    expect(understand('a boy fishing on the pier').entities).toHaveLength(1);
    expect(people('a girl flying a red kite')[0].holds).toMatchObject([{ what: 'kite', colour: { name: 'red' } }]);
    expect(understand('a king and a queen sitting on thrones').entities[2]).toMatchObject({
      thing: 'chair',
      count: 2,
      relation: { target: 1, also: [0] },
    });
    expect(people('a child with a teddy bear')[0].holds).toMatchObject([{ what: 'teddy' }]);
    expect(understand('a ship in a storm').place).toBe('open sea');
  });

  test('companions joined by "and" share what follows', () => {
    expect(people('Ilse, Tove and Marek waving').map((p) => p.action)).toEqual(['wave', 'wave', 'wave']);
    expect(people('Ilse and Juna sitting on the pier, in profile').map((p) => p.view)).toEqual(['profile', 'profile']);
    expect(people('a running boy and a sleeping cat')[0].action).toBe('run');
    expect(understand('a running boy and a sleeping cat').entities[1]).toMatchObject({
      species: 'cat',
      action: 'sleep',
    });
  });

  test('where things are', () => {
    const on = understand('a black cat on a table beside a teapot').entities;
    expect(on).toMatchObject([
      { species: 'cat', colour: { name: 'black' } },
      { thing: 'table', relation: { how: 'on', target: 0 } },
      { thing: 'teapot', relation: { how: 'beside', target: 1 } },
    ]);
    expect(understand('a cup, a book and a candle on a table').entities[3].relation).toEqual({
      how: 'on',
      target: 2,
      also: [0, 1],
    });
    expect(understand('a dog on the left, a goose in the foreground').entities).toMatchObject([
      { side: 'left' },
      { distance: 'near' },
    ]);
    expect(people('a figure in a yellow cloak in the distance')[0]).toMatchObject({
      distance: 'far',
      garments: [{ kind: 'cloak' }],
    });
  });

  test('views of the one named, or of everybody', () => {
    expect(people('Marek from behind')[0].view).toBe('back');
    expect(people('from behind: Ilse in the marsh')[0].view).toBe('back');
  });

  test('never more than can be composed', () => {
    expect(people('ten people, five men, Ilse, Tove, Marek').reduce((n, p) => n + p.count, 0)).toBeLessThanOrEqual(
      MAX_PEOPLE,
    );
    expect(understand('barrel, crate, net, '.repeat(30)).entities.length).toBeLessThanOrEqual(MAX_ENTITIES);
  });
});

describe('what shall not appear', () => {
  test.each([
    ['boats', 'no boats', 'thing: boat'],
    ['people', 'without people', 'person'],
    ['snow', 'no snow', 'weather: snow'],
    ['hats', 'no hats', 'garment: hat'],
    ['Brom', 'no Brom', 'cast: Brom'],
  ])('in the list of what to avoid "%s" and "%s" are the same', (plain, negated, means) => {
    const prompt = 'Ilse and Brom in a hat with two boats in the snow';
    expect(understand(prompt, plain).avoid).toEqual([means]);
    expect(understand(prompt, negated)).toEqual(understand(prompt, plain));
  });

  test.each([
    ['two fishermen on the pier', 2, 'man'],
    ['three postmen', 3, 'man'],
    ['fisherwomen on the quay', 3, 'woman'],
    ['a boatman', 1, 'man'],
    ['two policewomen', 2, 'woman'],
  ])('kin of known words are known, and counted: %s', (text, count, sex) => {
    const brief = understand(text);
    expect(brief.unheard).toEqual([]);
    expect(people(text)).toEqual([expect.objectContaining({ count, sex })]);
  });

  test('no, without, and the avoid list', () => {
    expect(names(understand('Ilse in the harbour without a heron').entities)).toEqual(['Ilse']);
    expect(names(understand('Ilse and a heron in the harbour', 'herons').entities)).toEqual(['Ilse']);
    expect(names(understand('Ilse and Brom', 'heron').entities)).toEqual(['Ilse']);
    expect(understand('a lighthouse at night, no boats').avoid).toContain('thing: boat');
    expect(understand('a street, no people').avoid).toContain('person');
    expect(people('a crowd in the street', 'people')).toEqual([]);
    expect(names(understand('gulls over a marsh').entities)).toEqual(['gull']);
  });

  test('a person may be without something', () => {
    const [man] = people('an old man without a hat and a woman in a hat');
    expect(man).toMatchObject({ bare: ['hat'], garments: [] });
    expect(people('a man without a beard')[0]).toMatchObject({ bare: ['beard'], beard: undefined });
    expect(people('a woman in a red hat', 'hat')[0].garments).toEqual([]);
  });

  test('what is refused says so', () => {
    expect(understand('no boats').understood).toEqual([
      expect.objectContaining({ text: 'boats', means: 'no thing: boat' }),
    ]);
  });
});

describe('words', () => {
  test('plain forms of plurals and verbs', () => {
    expect(plainForms('lighthouses')).toContain('lighthouse');
    expect(plainForms('waving')).toContain('wave');
    expect(plainForms('running')).toContain('run');
    expect(plainForms('wolves')).toContain('wolf');
    expect(plainForms('sat')).toContain('sit');
  });

  test("possessives and hyphens are split, a sou'wester is one word", () => {
    expect(tokenise("Ilse's rust-red sou'wester").map((t) => t.word)).toEqual([
      'ilse',
      's',
      'rust',
      'red',
      "sou'wester",
    ]);
  });

  test('unknown words are reported with their place, never dropped', () => {
    const text = 'a zeppelin over the marsh';
    const { unheard } = understand(text);
    expect(unheard).toEqual([{ start: 2, end: 10, text: 'zeppelin' }]);
    expect(text.slice(unheard[0].start, unheard[0].end)).toBe('zeppelin');
  });

  test('at least 400 words, and every one is understood as what it stands for', () => {
    expect(VOCABULARY_SIZE).toBeGreaterThan(400);
    for (const [axis, lines] of Object.entries(VOCABULARY))
      for (const [value, words] of Object.entries(lines as Record<string, readonly string[]>))
        for (const word of words) {
          const means = understand(word)
            .understood.map((s) => s.means)
            .join(', ');
          expect(`${word} -> ${means}`).toContain(`${axis}: ${value}`);
        }
  });

  test('values of the vocabulary are ones that the painter knows', () => {
    const known: Record<string, readonly string[]> = {
      time: TIMES,
      weather: WEATHERS,
      season: SEASONS,
      place: PLACES,
      medium: MEDIA,
      action: ACTIONS,
      view: VIEWS,
      expression: EXPRESSIONS,
    };
    for (const [axis, values] of Object.entries(known))
      expect(Object.keys(VOCABULARY[axis as keyof typeof VOCABULARY]).sort()).toEqual([...values].sort());
    for (const colour of Object.keys(COLOUR_WORDS)) expect(COLOUR_VALUES).toHaveProperty([colour]);
    for (const thing of [...HOLDABLE, ...SEATS, ...Object.values(LANDMARKS)])
      expect(THING_WORDS).toHaveProperty([thing]);
    for (const creature of SMALL_CREATURES) expect(CREATURE_WORDS).toHaveProperty([creature]);
  });

  test('any text is read without an error, and every word is grammar, understood or reported', () => {
    const words = Object.values(VOCABULARY).flatMap((lines) =>
      Object.values(lines as Record<string, readonly string[]>).flat(),
    );
    const anything = fc.oneof(
      fc.string({ unit: 'grapheme', maxLength: 200 }),
      fc.array(fc.constantFrom(...words, 'a', 'and', 'no', ',', 'zeppelin'), { maxLength: 30 }).map((w) => w.join(' ')),
    );
    fc.assert(
      fc.property(anything, (text) => {
        const { understood, unheard, entities } = understand(text);
        const covered = [...understood, ...unheard];
        for (const s of covered) expect(text.slice(s.start, s.end)).toBe(s.text);
        for (const e of entities) if (e.relation) expect(entities[e.relation.target]).toBeDefined();
        for (const match of text.matchAll(/[\p{L}\p{N}]+/gu)) {
          const inside = covered.some((s) => match.index >= s.start && match.index < s.end);
          expect(
            inside ||
              GRAMMAR.has(match[0].toLowerCase()) ||
              ['not', 'no', 'never', 'without', 'neither', 'nor'].includes(match[0].toLowerCase()),
          ).toBe(true);
        }
      }),
    );
    expect(understand('marsh '.repeat(1000)).text.length).toBe(MAX_PROMPT_LENGTH);
  });
});

describe('names that a studio knows', () => {
  const names = [
    { name: 'Nora Quill', description: 'an old woman with white hair in a bun, in a green coat' },
    { name: 'Patch', description: 'a small brown dog' },
    { name: 'Ilse', description: 'a man' },
  ];
  const read = (prompt: string) => understand(prompt, '', names).entities;

  test('stand for their descriptions, which the words of the prompt overrule', () => {
    expect(read('Nora Quill reading in the attic')[0]).toMatchObject({
      name: 'Nora Quill',
      age: 'old',
      sex: 'woman',
      action: 'read',
      hair: { style: 'bun' },
    });
    const [nora] = read('nora quill in a red coat');
    expect(nora).toMatchObject({
      kind: 'person',
      garments: expect.arrayContaining([{ kind: 'coat', colour: expect.objectContaining({ name: 'red' }) }]),
    });
  });

  test('may be creatures, and one name is one body', () => {
    expect(read('Patch on the pier, Patch is running')).toEqual([
      expect.objectContaining({ kind: 'creature', species: 'dog', name: 'Patch' }),
    ]);
  });

  test('never change the cast, and are understood words', () => {
    expect(read('Ilse on the pier')[0]).toMatchObject({ cast: 'Ilse' });
    const { unheard, understood } = understand('Nora Quill on the pier', '', names);
    expect(unheard).toEqual([]);
    expect(understood[0].means).toBe('cast: Nora Quill');
  });
});
