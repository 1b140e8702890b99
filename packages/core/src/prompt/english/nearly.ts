import { plainForms } from '../tokens';
import type { Words } from './words';

/** Words that the painter draws as less than they say, by axis and value: what is drawn, and which words ask for more. */
const LESS: Readonly<Record<string, Readonly<Record<string, readonly [drawn: string, words: Words]>>>> = {
  action: {
    stand: ['somebody who stands', ['tell', 'talk', 'speak', 'sing', 'whisper', 'fall']],
    walk: ['somebody who walks', ['climb', 'wade', 'stalk']],
    run: ['somebody who runs', ['chase', 'jump', 'leap', 'hop', 'skip', 'dance', 'play', 'skate', 'play with']],
    sit: ['somebody who sits', ['ride']],
    kneel: ['somebody who kneels', ['pick', 'plant', 'gather', 'pick up', 'pet', 'dig', 'feed']],
    pole: ['somebody with a pole', ['ferry']],
    read: ['somebody who reads', ['write', 'deliver', 'recite']],
    hold: [
      'somebody who holds something',
      [
        'hang',
        'sell',
        'buy',
        'catch',
        'find',
        'open',
        'give',
        'lift',
        'raise',
        'repair',
        'mend',
        'play a',
        'knead',
        'cook',
        'bake',
        'drink',
        'eat',
        'stir',
      ],
    ],
    carry: ['somebody who carries something', ['haul', 'drag', 'pull', 'push', 'lug', 'hug']],
    wave: ['somebody who waves', ['call', 'shout']],
    point: ['somebody who points', ['reach', 'throw']],
    sleep: ['somebody who sits asleep', ['lie', 'curl up', 'curled up']],
    swim: ['something in the water', ['dive', 'bathe']],
  },
  person: {
    'child girl': ['a girl', ['princess', 'schoolgirl']],
    'child boy': ['a boy', ['prince', 'schoolboy']],
    'young woman': ['a young woman', ['bride', 'dancer', 'nurse', 'shepherdess', 'maid']],
    'young man': ['a young man', ['shepherd', 'apprentice']],
    'grown woman': ['a woman', ['queen', 'policewoman', 'craftswoman', 'horsewoman']],
    'grown man': [
      'a man',
      [
        'king',
        'captain',
        'policeman',
        'fireman',
        'milkman',
        'craftsman',
        'horseman',
        'carpenter',
        'guard',
        'knight',
        'cook',
        'baker',
        'doctor',
        'hunter',
        'postman',
      ],
    ],
    'grown any': ['a person', ['musician', 'artist', 'painter', 'crowd']],
    'old woman': ['an old woman', ['witch']],
    'old man': ['an old man', ['wizard']],
  },
  place: {
    marsh: ['a marsh', ['shallows']],
    'reed channel': ['a reed channel', ['lake', 'pond']],
    'market quay': ['the market quay', ['bazaar']],
    beach: ['a beach', ['desert', 'island']],
    lighthouse: ['the cliff with its lighthouse', ['cliff', 'headland']],
    meadow: ['a meadow', ['garden', 'park', 'lawn', 'heath', 'moor']],
    forest: ['a forest', ['jungle']],
    boathouse: ['the boathouse', ['barn', 'shed', 'workshop']],
    'town square': ['a town square', ['castle', 'fairground', 'city']],
    kitchen: ['a kitchen', ['tavern', 'bakery', 'dining room', 'parlour', 'living room', 'pantry', 'room']],
    attic: ['an attic', ['library', 'nursery', 'study', 'bedroom', 'in bed']],
    'night sky': ['a sky full of stars', ['comet', 'shooting star', 'northern lights']],
  },
  weather: {
    storm: ['dark clouds and rain', ['thunder', 'lightning', 'thunderstorm']],
  },
  camera: {
    above: [
      'a high horizon',
      ['from above', 'high view', 'seen from a height', 'looking down on', "bird's eye view", 'birds eye view'],
    ],
    below: ['a low horizon', ['from below', 'low view', 'from the ground', "worm's eye view", 'worms eye view']],
  },
  thing: {
    boat: ['a boat', ['canoe', 'raft']],
    'sailing boat': ['a sailing boat', ['ship', 'sailing ship']],
    flower: ['flowers', ['rose bush', 'sunflower']],
    'flower pot': ['a flower pot', ['cactus', 'fern']],
    fence: ['a fence', ['gate', 'wall']],
    well: ['a well', ['fountain', 'pump']],
    cart: ['a cart', ['carriage']],
    shell: ['a shell', ['starfish', 'pebble']],
    lantern: ['a lantern', ['torch']],
    letter: ['a letter', ['map', 'chart']],
    fiddle: ['a fiddle', ['guitar', 'accordion', 'flute', 'drum', 'lute', 'instrument']],
    ball: ['a ball', ['snowball']],
    teddy: ['a teddy bear', ['doll', 'toy']],
    rod: ['a rod', ['oar', 'spear', 'broom', 'wand', 'rake', 'spade']],
    basket: ['a basket', ['tray', 'picnic']],
    crate: ['a crate', ['treasure chest']],
    chair: ['a chair', ['throne', 'rocking chair']],
    bed: ['a bed', ['cradle']],
    telescope: ['a telescope', ['binoculars']],
  },
  expression: {
    worried: ['a worried face', ['cry']],
    laugh: ['a laughing face', ['giggle']],
  },
  garment: {
    hat: ['a hat', ['cowboy hat', 'pointed hat']],
    jacket: ['a jacket', ['uniform', 'tailcoat']],
    crown: ['a crown', ['wreath', 'garland', 'flower crown']],
    'top hat': ['a top hat', ['bowler', 'bowler hat']],
  },
};

/**
 * The sentence that says what is drawn instead, where the painter draws less than a word says ("feeding" is somebody who kneels);
 * undefined where it draws all of it.
 */
export function lessThanSaid(axis: string, value: string, text: string): string | undefined {
  const less = LESS[axis]?.[value];
  if (!less) return undefined;
  const words = text
    .toLowerCase()
    .replace(/[’]/g, "'")
    .split(/[\s-]+/);
  const last = words.pop()!;
  const [first, ...rest] = words;
  const forms = plainForms(last).map((form) => [...words, form].join(' '));
  if (first) forms.push(...plainForms(first).map((form) => [form, ...rest, last].join(' ')));
  return less[1].some((word) => forms.includes(word)) ? `Drawn as ${less[0]}, not more.` : undefined;
}

/** Every word of which less is drawn than it says, with its axis and value. */
export const everyLess = (): [axis: string, value: string, word: string][] =>
  Object.entries(LESS).flatMap(([axis, values]) =>
    Object.entries(values).flatMap(([value, [, words]]) =>
      words.map((word): [string, string, string] => [axis, value, word]),
    ),
  );
