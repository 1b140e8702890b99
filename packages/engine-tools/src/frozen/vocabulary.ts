/** A painted picture of nearly everything that the words can name, so that a change of structure cannot change a drawing unseen. */
import {
  CAST_NAMES,
  MEDIA,
  pictureFromRgba,
  pictureToRgba,
  resampleToLongSide,
  understand,
  VOCABULARY,
} from '@urbild/core';
import { paintStage } from '@urbild/engine';
import { createHash } from 'crypto';
import type { Made } from './requests';

const SIZE = { width: 96, height: 72, seed: 11 };
/** Heads are drawn with all their detail only where they are large, px. */
const NEAR = { width: 384, height: 288, seed: 11 };
const THUMBNAIL = 6;

/** The first word of every value of an axis. */
const first = (axis: keyof typeof VOCABULARY): string[] =>
  Object.values(VOCABULARY[axis] as Record<string, readonly string[]>).map(([word]) => word);

const PEOPLE = ['woman', 'man', 'girl', 'old man'];
const cycle = <T>(list: readonly T[], k: number): T => list[k % list.length];

/** People from so near that everything of them is drawn. */
const NEAR_PROMPTS: readonly string[] = [
  ...first('garment').map((garment, k) => `half figure of a ${cycle(PEOPLE, k)} in a red ${garment}, pier`),
  ...first('feature').map((feature, k) => `portrait of a ${cycle(PEOPLE, k)} with ${feature}, beach`),
  ...first('hair colour').map((colour, k) => `portrait of a ${cycle(PEOPLE, k)} with ${colour} hair`),
  ...first('pattern').map((pattern) => `half figure of a woman in a ${pattern} dress, kitchen`),
  ...first('expression').map((face, k) => `portrait of a ${cycle(PEOPLE, k)}, ${face}, pier`),
  ...CAST_NAMES.map((name) => `portrait of ${name} at night`),
  // what glows, and what a cloth wears from the waist down, in pictures that are large enough for it
  ...MEDIA.map((medium) => `${medium} of a woman with a lantern beside a campfire at night`),
  ...first('pattern').flatMap((pattern, k) =>
    ['trousers', 'skirt', 'coat'].map((garment) => `a ${cycle(PEOPLE, k)} in ${pattern} ${garment}, pier`),
  ),
  // what a place is made of: leaves, blossom and cracks are too small to be drawn in a small picture
  ...first('place').flatMap((place) => ['spring', 'autumn'].map((season) => `${place} in ${season}, from near`)),
  ...first('thing').map((thing) => `a ${thing}, close-up`),
  ...first('creature').flatMap((creature, k) => [
    `a sitting ${creature}, close-up`,
    `a sleeping ${creature} in the ${cycle(['meadow', 'kitchen', 'attic'], k)}`,
  ]),
  ...['two women', 'three girls', 'a man and a dog', 'a cat and a fox', 'a heron and a girl'].flatMap((who) =>
    ['half figure', 'portrait'].map((framing) => `${framing} of ${who}, orchard`),
  ),
];

const PROMPTS: readonly string[] = [
  ...NEAR_PROMPTS,
  ...first('place').flatMap((place, k) => [
    `${place} at noon`,
    `${place}, ${cycle(first('weather'), k)}, ${cycle(first('season'), k)}`,
    `${place} at ${cycle(first('time'), k)}`,
    ...first('season').map((season) => `${place} in ${season}`),
  ]),
  ...first('weather').flatMap((weather) => [`the harbour, ${weather}`, `a meadow at dusk, ${weather}`]),
  ...first('light').map((light) => `portrait of Ilse, ${light}, evening`),
  ...first('camera').map((camera) => `two men in the town square, ${camera}`),
  ...first('creature').flatMap((creature, k) => [
    `a ${creature}, ${cycle(['meadow', 'beach', 'open sea'], k)}`,
    `portrait of a ${creature}, marsh`,
  ]),
  ...first('thing').map((thing, k) => `a ${thing}, ${cycle(['beach', 'kitchen', 'village street', 'open sea'], k)}`),
  ...(['age', 'build', 'skin', 'size'] as const).flatMap((axis) =>
    first(axis).map((word) => `a ${word} woman, meadow`),
  ),
  ...first('person').map((person, k) => `a ${person}, ${cycle(first('place'), k)}`),
  ...first('action').flatMap((action) => [`Ilse, ${action}, pier`, `an old man, ${action}, profile, meadow`]),
  ...first('action')
    .slice(0, 6)
    .map((action) => `a dog, ${action}, beach`),
  ...first('view').flatMap((view) => first('expression').map((face) => `portrait of a girl, ${view}, ${face}`)),
  ...CAST_NAMES.flatMap((name) => [`${name} on the pier`, `${name} from behind, beach`]),
  ...first('relation').map((relation) => `a cat ${relation} a crate, boathouse`),
  ...MEDIA.flatMap((medium) => [
    `${medium} of Brom in the harbour`,
    `${medium}, portrait of Juna in winter`,
    `${medium} of a fox in the forest, snow`,
    `${medium} of a lamp in the kitchen at night`,
    `${medium} of a lighthouse at sea in a storm`,
  ]),
];

/** Prompts that name each value of the vocabulary at least once, mostly one at a time. */
export const VOCABULARY_PROMPTS: readonly string[] = [...new Set(PROMPTS)];

/** Paints one of {@link VOCABULARY_PROMPTS}: hash of its pixels, labels and depth, and a thumbnail. */
export function paintedOf(prompt: string): Made {
  const stage = paintStage(understand(prompt), NEAR_PROMPTS.includes(prompt) ? NEAR : SIZE);
  const { rgba, width, height } = stage;
  const hash = createHash('sha256').update(rgba).update(stage.labels).update(stage.depth()).digest('hex');
  const small = resampleToLongSide(pictureFromRgba(rgba, width, height), THUMBNAIL);
  return { hash, thumbnail: Buffer.from(pictureToRgba(small)).toString('hex') };
}
