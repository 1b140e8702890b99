import type { Medium } from '@urbild/core';
import type { Kind } from '../library/reference.entity';

/** A picture of the demo studio: drawn from words by our own painter. */
export interface DemoPicture {
  readonly key: string;
  readonly kind: Kind;
  readonly title: string;
  readonly tags: readonly string[];
  readonly prompt: string;
  readonly medium: Medium;
  /** A palette of the medium by name. */
  readonly palette?: string;
  readonly seed: number;
  readonly upright?: boolean;
}

/** How many pictures at the head of the list the demo mix needs; it is made as soon as they are there. */
export const MIX_NEEDS = 3;

type Row = readonly [title: string, prompt: string, tags: string, medium?: Medium, palette?: string];

const rows = (kind: Kind, list: readonly Row[]): DemoPicture[] =>
  list.map(([title, prompt, tags, medium = 'gouache', palette], i) => ({
    key: title.toLowerCase().replace(/[^a-z]+/g, '-'),
    kind,
    title,
    tags: tags.split(', '),
    prompt,
    medium,
    palette,
    seed: 3 + i * 7,
    upright: kind === 'character' || kind === 'face',
  }));

const STYLES = rows('style', [
  ['Chalk dusk', 'the mill by the dyke in autumn, evening', 'pastel, dusk', 'pastel'],
  ['Red carving', 'storm on the open sea', 'linocut, sea', 'linocut', 'red'],
  ['Carved quay', 'winter pier, snow, Ilse with a lantern and Brom', 'linocut, winter', 'linocut', 'green'],
  ['Salt ink', 'Ilse walking in the harbour, cloudy morning', 'ink wash, rain', 'ink wash'],
  ['Printed storm', 'lighthouse in a storm, morning', 'woodblock, storm', 'woodblock'],
  ['Paper dusk', 'a moonlit stilt village, Ilse poling the punt with Brom', 'paper-cut, night', 'paper-cut'],
  ['Still gouache', 'Ilse poles the punt home at dusk, Brom on the bow, among reeds', 'gouache, dusk'],
  ['Blue tide', 'reeds, a heron and the moon', 'cyanotype, night', 'cyanotype'],
  ['Brown tide', 'an orchard in blossom, spring', 'cyanotype, spring', 'cyanotype', 'brown'],
  ['Two inks at the market', 'Tove on the market quay, noon', 'screen print, market', 'screen print'],
  ['Navy and ochre', 'a bicycle in the village street', 'screen print, street', 'screen print', 'navy'],
  ['Plum press', 'three gulls over the beach', 'screen print, beach', 'screen print', 'plum'],
  ['Thick noon', 'a red hot air balloon over the meadow', 'impasto, summer', 'impasto'],
  ['Thick storm', 'the lighthouse in a storm', 'impasto, storm', 'impasto', 'cool'],
  ['Coal mill', 'a horse in the rain beside the mill by the dyke', 'charcoal, rain', 'charcoal'],
  ['Red chalk', 'mountains with a small house', 'charcoal, mountains', 'charcoal', 'sanguine'],
  ['White on night', 'the forest in snow at night, a deer', 'charcoal, night', 'charcoal', 'white'],
  ['Fine lead', 'Juna reading under a tree, meadow', 'pencil, line', 'pencil'],
  ['Blue lead', 'the boathouse', 'pencil, line', 'pencil', 'blue'],
  ['Leaded evening', 'Ilse and Juna sitting on the pier, dusk', 'stained glass, dusk', 'stained glass'],
  ['Gilded panes', 'a greenhouse in the morning', 'stained glass, flowers', 'stained glass', 'gold'],
  ['Stitched harbour', 'the harbour at noon', 'embroidery, harbour', 'embroidery'],
  ['Night thread', 'the stilt village at night', 'embroidery, night', 'embroidery', 'navy'],
  ['Sepia wash', 'the town square in autumn', 'ink wash, autumn', 'ink wash', 'sepia'],
  ['Sand chalk', 'the beach at dawn with a red boat', 'pastel, dawn', 'pastel', 'sand'],
  ['Night chalk', 'a campfire in the forest at night', 'pastel, night', 'pastel', 'night'],
  ['Brown block', 'the stone bridge in fog', 'woodblock, fog', 'woodblock', 'brown'],
  ['Blue carving', 'the village street in the rain', 'linocut, rain', 'linocut', 'blue'],
  ['Warm gouache', 'an orchard in autumn, a basket of apples', 'gouache, autumn', 'gouache', 'warm'],
  ['Cut mountains', 'mountains by moonlight', 'paper-cut, night', 'paper-cut', 'cool'],
]);

const CAST = [
  ...rows('character', [
    ['Ilse, front', 'half figure of Ilse, front, salt marsh at dawn', 'Ilse'],
    ['Ilse, three-quarter', 'half figure of Ilse reading a letter, salt marsh in the morning', 'Ilse'],
    ['Ilse, profile', 'half figure of Ilse in profile, harbour at noon', 'Ilse'],
    ['Ilse with her lantern', 'half figure of Ilse with a lantern at night, stilt village', 'Ilse, night'],
    ['Ilse from behind', 'half figure of Ilse from behind, pier at dusk', 'Ilse'],
    ['Marek', 'half figure of Marek holding a sack, mill in the morning', 'Marek'],
    ['Tove with her lamp', 'half figure of Tove with a lantern, lighthouse at dusk', 'Tove'],
    ['Juna', 'half figure of Juna laughing, market quay at noon', 'Juna'],
    ['Brom', 'Brom close to us, reed channel at dawn', 'Brom'],
  ]),
  ...rows('face', [
    ['Ilse, face', 'portrait of Ilse, front, marsh at dawn', 'Ilse'],
    ['Ilse, surprised', 'portrait of Ilse, surprised, kitchen', 'Ilse'],
    ['Old Marek, face', 'portrait of Marek, calm, mill in autumn', 'Marek'],
    ['Tove, face', 'portrait of Tove, lighthouse at noon', 'Tove'],
    ['Juna, face', 'portrait of Juna, front view, attic', 'Juna'],
    ['Marek, profile', 'portrait of Marek in profile, boathouse', 'Marek'],
  ]),
];

const IMAGES = rows('image', [
  ['Still marsh', 'reed channel at dawn, Brom, gulls', 'marsh, dawn'],
  ['The light in the storm', 'lighthouse in a storm at night', 'lighthouse, storm'],
  ['Pier in snow', 'winter pier, snow, Ilse walking with Brom', 'winter'],
  ['Sorting room', 'Ilse reading a letter in the boathouse, Brom beside her', 'boathouse, inside'],
  ['Kitchen in the morning', 'Marek in the kitchen, a cat, morning', 'kitchen, inside'],
  ['Attic by candle', 'Juna reading a book in the attic, candlelight', 'attic, inside'],
  ['Under glass', 'Tove in the greenhouse with a basket', 'greenhouse'],
  ['Market day', 'Juna and a dog on the market quay, noon', 'market'],
  ['Over the bridge', 'Ilse on the stone bridge, a swan and two ducks', 'bridge'],
  ['Orchard in blossom', 'an orchard in spring, two sheep', 'spring'],
  ['Fox in the meadow', 'a fox asleep in the meadow under a tree', 'meadow'],
  ['Whale by night', 'a whale under the stars on the open sea, night', 'sea, night'],
  ['Square in snow', 'the town square in snow, a snowman', 'winter'],
  ['Kites', 'two children running on the beach with a kite, windy', 'beach, wind'],
  ['Lantern in the wood', 'Ilse walking through the forest in snow with a lantern, moonlight', 'forest, night'],
]);

/** To begin with: poses, arrangements and people that belong to no story yet. */
const STOCK = rows('image', [
  ['Pose: running', 'a young woman running in the meadow at noon', 'pose'],
  ['Pose: sitting', 'an old man sitting on a crate, pier in the morning', 'pose'],
  ['Pose: kneeling', 'a boy kneeling on the beach at noon', 'pose'],
  ['Pose: waving', 'a girl waving in the village street, morning', 'pose'],
  ['Pose: pointing', 'a man pointing, town square at noon', 'pose'],
  ['Pose: rowing', 'a woman rowing a boat on the open sea, morning', 'pose'],
  ['Low horizon, much sky', 'a wide view of the beach, seen from below, clouds', 'layout'],
  ['High horizon, much ground', 'a wide view of the meadow, seen from above', 'layout'],
  ['One tower aside', 'a lighthouse at noon', 'layout'],
  ['Framed by trees', 'a small house in the forest, autumn', 'layout'],
  ['A ferrywoman', 'half figure of an old woman with white hair in a bun and a green coat, pier at noon', 'people'],
  ['A miller', 'half figure of a man with a black beard and a flat cap, mill in the morning', 'people'],
]);

// the newest is seen first: the story, not the stock
const byKey = new Map([...STOCK, ...STYLES, ...CAST, ...IMAGES].map((p) => [p.key, p]));
/** What is drawn first: what the demo mix needs, then some of every kind. */
const FIRST = [
  'chalk-dusk',
  'still-marsh',
  'the-light-in-the-storm',
  'red-carving',
  'ilse-face',
  'ilse-front',
  'leaded-evening',
  'tove-face',
  'pier-in-snow',
  'blue-tide',
];

/** The made-up world of "The Tidepost": Ilse the postwoman and Brom the heron carry letters through a tidal marsh. */
export const DEMO_PICTURES: readonly DemoPicture[] = [
  ...FIRST.map((key) => byKey.get(key)!),
  ...[...byKey.values()].filter((p) => !FIRST.includes(p.key)),
];
