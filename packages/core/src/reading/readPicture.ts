import type { Horizon } from '../describe/horizon';
import type { Swatch } from '../describe/palette';
import type { Medium, PlaceName, Time } from '../prompt/brief';
import { classify, scoresOf, unpackClassifier, type Classifier, type Guess } from './classifier';
import { colourName } from './colourNames';
import { WEIGHTS } from './weights.generated';

/** A colour of a picture by name, with the part of the picture that it covers. */
export interface NamedSwatch {
  readonly name: string;
  readonly weight: number;
}

/** What a picture is, as far as it can be told: nearest medium, places and time of day of our painter, light, colours. */
export interface PictureReading {
  readonly medium: Guess<Medium>;
  readonly places: readonly Guess<PlaceName>[];
  readonly time: Guess<Time>;
  readonly light: 'dark' | 'dim' | 'even' | 'bright';
  readonly contrast: 'soft' | 'strong';
  readonly warmth: 'warm' | 'cool' | 'neutral';
  readonly colours: readonly NamedSwatch[];
  /** Where the horizon lies; absent when there seems to be none. */
  readonly horizon?: 'low' | 'in the middle' | 'high';
}

/** What a reading is made from. */
export interface Readable {
  readonly strokes: Float32Array;
  readonly likeness: Float32Array;
  readonly horizon: Horizon;
  readonly swatches: readonly Swatch[];
}

/**
 * The manner of a picture as 13 numbers: how much it speaks for each of the painter's media, from the learnt scores. Pictures of
 * one manner lie close whatever they show, those of manners that the painter does not have as well.
 */
export function mannerOf(strokes: Float32Array): Float32Array {
  const scores = scoresOf(known().medium, strokes);
  const top = Math.max(...scores);
  const parts = scores.map((s) => Math.exp((s - top) / 1.5));
  const all = parts.reduce((a, b) => a + b, 0);
  return Float32Array.from(parts, (p) => Math.sqrt(p / all));
}

let classifiers: Record<'medium' | 'place' | 'time', Classifier> | undefined;

const known = () =>
  (classifiers ??= {
    medium: unpackClassifier(WEIGHTS.medium),
    place: unpackClassifier(WEIGHTS.place),
    time: unpackClassifier(WEIGHTS.time),
  });

/** Reads a picture from its descriptors; the classifiers were learnt on our painter's own scenes. */
export function readPicture({ strokes, likeness, horizon, swatches }: Readable): PictureReading {
  const rounded = <T extends string>(g: Guess) => ({
    is: g.is as T,
    probability: Math.round(g.probability * 1000) / 1000,
  });
  const mean = (at: (s: Swatch) => number) => swatches.reduce((sum, s) => sum + s.weight * at(s), 0);
  const lightness = mean((s) => s.lab[0]);
  const spread = Math.sqrt(mean((s) => (s.lab[0] - lightness) ** 2));
  const warm = mean((s) => s.lab[1] + s.lab[2]);
  const colours: NamedSwatch[] = [];
  for (const { lab, weight } of swatches) {
    const name = colourName(lab);
    const same = colours.findIndex((c) => c.name === name);
    if (same >= 0) colours[same] = { name, weight: colours[same].weight + weight };
    else colours.push({ name, weight });
  }
  return {
    medium: rounded<Medium>(classify(known().medium, strokes)[0]),
    places: classify(known().place, likeness)
      .slice(0, 3)
      .map((g) => rounded<PlaceName>(g)),
    time: rounded<Time>(classify(known().time, Float32Array.from([...strokes, ...likeness]))[0]),
    light: lightness < 0.32 ? 'dark' : lightness < 0.5 ? 'dim' : lightness < 0.78 ? 'even' : 'bright',
    contrast: spread > 0.19 ? 'strong' : 'soft',
    warmth: warm > 0.035 ? 'warm' : warm < -0.02 ? 'cool' : 'neutral',
    colours: colours
      .sort((a, b) => b.weight - a.weight)
      .map((c) => ({ ...c, weight: Math.round(c.weight * 1000) / 1000 })),
    ...(horizon.confidence > 0.35
      ? {
          horizon:
            horizon.at < 0.4 ? ('high' as const) : horizon.at > 0.62 ? ('low' as const) : ('in the middle' as const),
        }
      : {}),
  };
}
