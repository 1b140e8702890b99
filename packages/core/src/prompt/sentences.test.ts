import type { Entity, SceneBrief } from './brief';
import { understand } from './understand';

/** A brief in few words: who is there, doing and wearing what, where and when. */
function gist({ entities, place, time, weather }: SceneBrief): string {
  const who = entities.map((e: Entity) => {
    const count = e.count > 1 ? `${e.count} ` : '';
    if (e.kind === 'thing') return `${count}${e.colour ? `${e.colour.name} ` : ''}${e.thing}`;
    if (e.kind === 'creature')
      return `${count}${e.colour ? `${e.colour.name} ` : ''}${e.species}${e.action ? ` ${e.action}` : ''}`;
    const name = e.cast ?? [e.age, e.sex].filter(Boolean).join(' ');
    const worn = e.garments.map((g) => [g.colour?.name, g.kind].filter(Boolean).join(' ')).join(' + ');
    const held = e.holds.map((h) => h.what).join(' + ');
    return `${count}${name}${e.action ? ` ${e.action}` : ''}${worn ? ` in ${worn}` : ''}${held ? ` with ${held}` : ''}`;
  });
  return `${who.join('; ')} | ${place}, ${time}, ${weather}`;
}

test.each([
  ['Marek carrying a sack to the mill on a windy morning', 'Marek carry with sack | mill, morning, wind'],
  [
    'an old woman in a purple shawl feeding three hens, village street',
    'old woman kneel in purple shawl; 3 hen | village street, noon, clear',
  ],
  ['a boy and a girl running through the meadow', 'child man run; child woman run | meadow, noon, clear'],
  ['Ilse in the snow with a lantern, moonlit forest', 'Ilse with lantern | forest, moonlight, snow'],
  ['a white swan on the river, autumn fog', 'white swan | river bridge, noon, fog'],
  ['two foxes in the orchard', '2 fox | orchard, noon, clear'],
  ['Tove reading by candlelight in the attic', 'Tove read | attic, dusk, clear'],
  ['a sleeping bear in the forest, winter', 'bear sleep | forest, noon, clear'],
  [
    'a man in a brown waistcoat and a flat cap waving from the pier',
    'grown man wave in brown waistcoat + flat cap | pier, noon, clear',
  ],
  ['the harbour, no people, no boats', ' | harbour, noon, clear'],
  ['a red bicycle beside a street lamp at night, town square', 'red bicycle; street lamp | town square, night, clear'],
  ['a dragonfly over the pond', 'butterfly | reed channel, noon, clear'],
  ['Juna building a snowman in the village, snow', 'Juna; snowman | village street, noon, snow'],
  ['a tall lighthouse in a thunderstorm', ' | lighthouse, noon, storm'],
  ['a green frog and a brown snail on a stone', 'green frog; brown snail; rock | marsh, noon, clear'],
  ['a dancer in a yellow dress on the town square at dusk', 'young woman in yellow dress | town square, dusk, clear'],
  ['a fisherman rowing at sunrise', 'grown man row | open sea, dawn, clear'],
  ['A girl, barefoot, holding a shell on the beach', 'child woman hold in barefoot with shell | beach, noon, clear'],
  ['Brom asleep in the reeds', 'heron sleep | reed channel, noon, clear'],
  [
    'a grandfather and his grandson looking up at a hot air balloon',
    'old man look up; child man look up; balloon | meadow, noon, clear',
  ],
])('%s', (text, expected) => {
  expect(gist(understand(text))).toBe(expected);
});

test('the order of clauses does not matter for what the picture shows', () => {
  const one = understand('at dusk, in the harbour, Ilse waves, rain');
  const two = understand('Ilse waves in the harbour at dusk, rain');
  expect(gist(one)).toBe(gist(two));
});

test('capital letters and punctuation do not matter', () => {
  expect(gist(understand('A FOX IN THE MEADOW!'))).toBe(gist(understand('a fox in the meadow')));
  expect(gist(understand('Ilse; the pier. Snow?'))).toBe(gist(understand('ilse, the pier, snow')));
});
