import type { PlaceName } from '../prompt/brief';
import type { PictureReading } from './readPicture';

/** A sure reading is said outright, an unsure one is left out. */
const SURE = 0.45;

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

/**
 * Three prompts that could have made a picture, from the surest to the fullest: medium first, then subject as far as it is
 * known, place, time, light, colours.
 */
export function promptsFor(reading: PictureReading, subject?: string): string[] {
  const medium = reading.medium.probability >= SURE ? reading.medium.is : undefined;
  const time = reading.time.probability >= 0.35 ? timeWords[reading.time.is] : undefined;
  const colours = reading.colours.filter((c) => c.weight > 0.06).map((c) => c.name);
  const start = medium ? `${medium}: ` : '';
  const who = subject ? `${subject} ` : '';
  const palette = colours.length ? `, ${listOf(colours.slice(0, 3))}` : '';
  const light = { dark: ', dark', dim: ', dim light', even: '', bright: ', bright light' }[reading.light];
  const scenes = reading.places.filter((p, k) => k === 0 || p.probability > 0.08);
  const prompt = (place: PlaceName, ending: string) =>
    `${start}${who}${placeWords(place)}${time ? ` ${time}` : ''}${ending}`;
  const full = `${palette}${light}${reading.contrast === 'strong' ? ', strong contrast' : ''}`;
  const out = [prompt(scenes[0].is, ''), prompt(scenes[0].is, full), prompt((scenes[1] ?? scenes[0]).is, palette)];
  if (out[2] === out[1])
    out[2] = `${start}${who}${colours.length ? `in ${listOf(colours.slice(0, 3))}` : placeWords(scenes[0].is)}`;
  return out;
}

/** The words that a picture is found by. */
export function wordsOf(reading: PictureReading): string {
  const words = [
    ...(reading.medium.probability >= SURE ? [reading.medium.is] : []),
    ...reading.places.filter((p) => p.probability > 0.3).map((p) => p.is),
    ...(reading.time.probability > 0.4 ? [reading.time.is] : []),
    reading.light,
    reading.warmth,
    ...reading.colours.filter((c) => c.weight > 0.05).map((c) => c.name),
  ];
  return [...new Set(words)].join(' ');
}

/** A sentence that says what a picture looks like, for those who cannot see it. */
export function altTextOf(title: string, reading: PictureReading): string {
  const colours = listOf(reading.colours.slice(0, 3).map((c) => c.name));
  const medium = reading.medium.probability >= SURE ? `, like ${reading.medium.is}` : '';
  return `${title}${medium}${colours ? `; ${colours}` : ''}`;
}
