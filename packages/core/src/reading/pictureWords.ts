import type { PlaceName } from '../prompt/brief';
import { colourName } from './colourNames';
import type { PictureReading } from './readPicture';
import type { SeenPeople } from './seen';

/**
 * How sure a reading has to be before it is said. The classifiers know our painter's places and times only, and find one of them in any
 * picture: up to .92 sure of a place in pictures that show none of them (families of foreign pictures, bench/src/honest).
 */
const SURE = { medium: 0.8, place: 0.95, time: 0.8 } as const;

const ON: readonly PlaceName[] = ['open sea', 'market quay', 'beach', 'pier', 'river bridge', 'meadow', 'town square'];
const placeWords = (place: PlaceName): string =>
  place === 'night sky'
    ? 'under the night sky'
    : place === 'mill' || place === 'lighthouse'
      ? `by the ${place}`
      : `${ON.includes(place) ? 'on' : 'in'} the ${place}`;

const timeWords = {
  dawn: 'at dawn',
  morning: 'in the morning',
  noon: 'at noon',
  dusk: 'at dusk',
  night: 'at night',
  moonlight: 'by moonlight',
} as const;

const listOf = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`;

const COUNTS = ['', '', 'two', 'three', 'four', 'five', 'six'];

/** Whoever is in a picture, as far as it is sure: "portrait of somebody with long brown hair, in a green top". */
function whoWords({ people, near, hair, hairLength, clothes, posture }: SeenPeople): string {
  if (!people) return '';
  const who = people > 1 ? `${COUNTS[people] ?? 'many'} people` : near ? `${near} of somebody` : 'somebody';
  const head = hair ? ` with ${[hairLength, hair, 'hair'].filter(Boolean).join(' ')}` : '';
  return [`${who}${head}`, clothes && `in a ${colourName(clothes)} top`, posture].filter(Boolean).join(', ');
}

/** What is sure of a picture besides people: medium, place and time, in words of a prompt. */
function scene({ medium, places, time }: PictureReading) {
  const [place] = places;
  const known = place && place.probability >= SURE.place;
  return {
    medium: medium.probability >= SURE.medium ? medium.is : undefined,
    place: known ? placeWords(place.is) : undefined,
    // a light that is read where no place is known is no time of day
    time: known && time.probability >= SURE.time ? timeWords[time.is] : undefined,
  };
}

/**
 * Up to three prompts that could have made a picture, from the surest to the fullest. Only what was seen is said: who, hair, clothes and
 * posture, a place that is sure, medium and light. None where nothing but colours is known.
 */
export function promptsFor(reading: PictureReading, seen: SeenPeople = { people: 0 }): string[] {
  const { medium, place, time } = scene(reading);
  const who = whoWords(seen);
  const where = [place, time].filter(Boolean).join(' ');
  const subject = [who, where].filter(Boolean).join(' ');
  if (!subject) return [];
  const plain = whoWords({ people: seen.people, near: seen.near });
  const light = { dark: ', lamplight', dim: '', even: '', bright: '' }[reading.light];
  const start = medium ? `${medium}: ` : '';
  return [...new Set([[plain, where].filter(Boolean).join(' '), subject, `${start}${subject}${light}`])];
}

/** The words that a picture is found by. */
export function wordsOf(reading: PictureReading): string {
  const { medium, time } = scene(reading);
  const words = [
    ...(medium ? [medium] : []),
    ...reading.places.filter((p) => p.probability >= SURE.place).map((p) => p.is),
    ...(time ? [reading.time.is] : []),
    reading.light,
    reading.warmth,
    ...reading.colours.filter((c) => c.weight > 0.05).map((c) => c.name),
  ];
  return [...new Set(words)].join(' ');
}

/**
 * A sentence that says what a picture looks like, for those who cannot see it: title, who is in it, a place that is sure, what lies
 * behind, light, colours, and which of our media it is most like.
 */
export function altTextOf(title: string, reading: PictureReading, about: AboutPicture = {}): string {
  const { medium, place, time } = scene(reading);
  const colours = listOf(reading.colours.slice(0, 3).map((c) => c.name));
  const light = { dark: 'dark', dim: 'dim light', even: '', bright: 'bright' }[reading.light];
  const shown = [whoWords(about.seen ?? { people: 0 }), [place, time].filter(Boolean).join(' ')]
    .filter(Boolean)
    .join(' ');
  const parts = [
    shown,
    about.plainGround ? `on a plain ${reading.colours[0]?.name ?? ''} ground`.replace('  ', ' ') : '',
    light,
    colours,
    medium ? `like ${medium}` : '',
  ].filter(Boolean);
  return (
    [title, ...parts.slice(0, 1)].join(': ') +
    parts
      .slice(1)
      .map((p) => `; ${p}`)
      .join('')
  );
}

/** What else is known of a picture that is told in a sentence. */
export interface AboutPicture {
  readonly seen?: SeenPeople;
  /** It stands before a ground of one tone, the first of its colours. */
  readonly plainGround?: boolean;
}
