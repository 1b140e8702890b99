import { understand } from '@urbild/core';
import { compose, type ComposeOptions } from '../compose';
import { areaMap } from '../scene/areas';
import { seenOf } from '../scene/seen';
import { peopleBeyond, witnessed } from '.';

const SIZE = { width: 384, height: 288, seed: 5 };

/** What of a prompt its scene shows, and what not, with the reasons. */
function hear(prompt: string, options: Partial<ComposeOptions> = {}) {
  const brief = understand(prompt);
  const scene = compose(brief, { ...SIZE, ...options });
  const seen = seenOf(scene, areaMap(scene), brief.medium ?? 'gouache');
  const { drawn, notDrawn } = witnessed(brief, seen);
  return {
    brief,
    seen,
    drawn: drawn.map(({ text }) => text),
    not: Object.fromEntries(notDrawn.map(({ text, why }) => [text, why])),
  };
}

describe('what is said and drawn has its witness', () => {
  test.each([
    'Ilse waves from the landing stage, snow, morning',
    'a girl in a red coat with two plaits beside a brown dog, meadow',
    'a woman with red hair and green eyes, portrait, harbour at dusk',
    'a freckled laughing girl with a straw hat, portrait',
    'four boys run across a bridge',
    'three rabbits in the forest, autumn',
    'an old man sits on a bench in the harbour',
    'Juna kneels in the boathouse',
    'a boy points at gulls on the beach, wind',
    'Ilse reads a letter on the pier at dawn',
    'a boy from behind looks at the sea',
    'a girl in profile on the pier',
    'a tall thin man beside a short round woman, market quay',
    'a cat asleep on a chair in the kitchen by lamplight',
    'a horse running in the meadow',
    'gulls flying over the open sea in a storm',
    'a whale swims in the open sea',
    'two boats on the left in the harbour',
    'a cottage in the distance, meadow, winter',
    'linocut in red: a rabbit in a snowy meadow',
    'a boy flying a kite on the beach',
    'Ilse poles the punt in the reed channel',
    'a man rows a boat on the open sea, rain',
    'Marek carries a sack on the dyke',
    'a girl in a striped jumper with glasses, half figure',
  ])('%s', (prompt) => {
    const { not, drawn } = hear(prompt);
    expect(not).toEqual({});
    expect(drawn.length).toBeGreaterThan(1);
  });
});

describe('what is said and not drawn is told, with a reason that one can act on', () => {
  test.each([
    ['three herons flying over the marsh', 'flying', /lives in the air/],
    ['rain, a cat in the kitchen', 'rain', /indoors/],
    ['a man holding in the meadow', 'holding', /Nothing to hold/],
    ['a girl slouching in the meadow', 'slouching', /nothing beside them/],
    ['portrait of a girl walking on the pier', 'walking', /full figure/],
    ['portrait of a boy in boots', 'boots', /full figure/],
    ['half figure of a girl, a barrel', 'barrel', /not things/],
    ['a dog smiles in the meadow', 'smiles', /Nothing in the picture takes it up/],
    ['a fox from behind in the meadow', 'from behind', /from the side/],
    ['an owl in a tree', 'in', /do not stand so/],
    ['a cat behind a barrel', 'behind', /do not stand so/],
    ['a long boat in the harbour', 'long', /one length/],
    ['a man flying over the sea', 'flying', /People are not drawn/],
    ['wide view of the marsh, a girl with freckles', 'freckles', /too small/],
    ['a girl from behind with freckles, half figure', 'freckles', /turned away/],
    ['the stilt village from above', 'from above', /high horizon/],
    ['a boy looking up, portrait', 'looking up', /too little/],
    ['Ilse rows in the village street', 'rows', /no water/],
    ['a mouse in a scarf', 'scarf', /drawn without it/],
    ['a fox in a coat', 'coat', /scarves/],
    ['the open sea in autumn', 'autumn', /changes with the season/],
  ])('%s: %s', (prompt, text, why) => {
    const { not, drawn } = hear(prompt);
    expect(not[text]).toMatch(why);
    expect(drawn).not.toContain(text);
  });

  test('a reference that decides the clothes is the reason why the words do not', () => {
    const blue = { colour: [0.5, -0.03, -0.13] as const, confidence: 1 };
    const all = { face: 1, hair: 1, build: 1, clothes: 1 };
    const none = { face: 0, hair: 0, build: 0, clothes: 0 };
    const pulls = (shares: typeof all) => ({
      sources: [{ sheet: { upper: { ...blue, colour: [...blue.colour] as [number, number, number] } }, shares }],
      over: all,
      words: 0,
    });
    const prompt = 'a girl in a red coat on the pier';
    expect(hear(prompt, { identities: new Map([[0, pulls(none)]]) }).not).toEqual({});
    expect(hear(prompt, { identities: new Map([[0, pulls(all)]]) }).not.red).toMatch(/references draw it otherwise/);
  });

  test('a medium that is chosen for the mix overrules that of the words', () => {
    const brief = understand('linocut of a fox');
    const scene = compose(brief, SIZE);
    const { notDrawn } = witnessed(brief, seenOf(scene, areaMap(scene), 'pastel'));
    expect(notDrawn.map(({ text, why }) => [text, why])).toEqual([
      ['linocut', 'Another medium is chosen for the mix.'],
    ]);
  });
});

test('a name and its kind are one: Brom the heron is no second heron', () => {
  const { brief, seen } = hear('Brom the heron with a red scarf stands in the shallows');
  expect(brief.entities).toHaveLength(1);
  expect(seen.items.filter((i) => i.kind === 'creature')).toHaveLength(1);
  expect(hear('Brom and a heron in the marsh').brief.entities).toHaveLength(2);
});

test('nobody appears who was not named, and nobody twice', () => {
  for (const prompt of [
    'a man and a boy in a boat in the reed channel',
    'Ilse poles the punt with Brom and Tove',
    'two fishermen in a boat at night',
    'Ilse and Marek on the market quay',
    'a family in the orchard',
    'portrait of Ilse and Tove',
    'a woman rows, a man waves from the pier',
    'the town square',
  ]) {
    const { brief, seen } = hear(prompt);
    expect([prompt, peopleBeyond({ brief, seen })]).toEqual([prompt, 0]);
  }
});

test.each(['mill', 'lighthouse', 'river bridge', 'pier', 'stilt village'])(
  'a place is known by its landmark: %s',
  (place) => {
    const { brief, seen } = hear(`a girl, ${place}`);
    expect(seen.items.some((i) => i.kind === 'landmark' && i.what === place && i.pixels > 0)).toBe(true);
    const without = { ...seen, items: seen.items.map((i) => (i.kind === 'landmark' ? { ...i, pixels: 0 } : i)) };
    expect(witnessed(brief, without).notDrawn.map(({ text, why }) => [text, why])).toEqual([
      [place, 'Too little of the place can be seen behind its subject.'],
    ]);
    expect(witnessed(brief, { ...without, laidOut: true }).notDrawn.map(({ why }) => why)).toEqual([
      'A picture among the references decides the place.',
    ]);
  },
);

test('what stands before something covers it, and what is held belongs to whoever holds it', () => {
  const { seen } = hear('a girl with a lantern on the quay');
  const [girl, lantern] = seen.items;
  expect([girl.kind, lantern.kind, lantern.held, lantern.what]).toEqual(['person', 'thing', true, 'lantern']);
  expect(girl.codes).toEqual([1, 2]);
  expect(girl.pixels).toBeGreaterThan(lantern.pixels);
  expect(lantern.box![0]).toBeGreaterThanOrEqual(girl.box![0]);
  const counted = seen.map.reduce((n, code) => n + (code === 1 || code === 2 ? 1 : 0), 0);
  expect(girl.pixels).toBe(counted);
});
