import {
  answerOf,
  CHROMA_GAIN,
  findPlainBackground,
  oddsOf,
  smoothstep,
  unpackNetwork,
  type Lab,
  type Network,
  type Picture,
  type Trait,
  type TraitName,
  type TraitSheet,
} from '@urbild/core';
import { colourful } from './colourful';
import { colourGap, commonColour, coloursIn, evened, faceFeatures, type FaceFeatures } from './features';
import type { FaceFrame } from './frame';
import { CAUTION, FACE_NUMBERS, fromSpreads, lengthOf, type SeenStyle } from './kinds';
import { TRAIT_WEIGHTS } from './weights.generated';

/** What was read of whoever a picture shows. */
export interface ReadTraits {
  readonly traits: TraitSheet;
  /** Part of the face that something covers, 0..1; absent without a face. */
  readonly covered?: number;
}

type Read = keyof typeof TRAIT_WEIGHTS;

let learnt: Record<Read, Network> | undefined;
const models = () =>
  (learnt ??= {
    style: unpackNetwork(TRAIT_WEIGHTS.style),
    hat: unpackNetwork(TRAIT_WEIGHTS.hat),
    beard: unpackNetwork(TRAIT_WEIGHTS.beard),
    glasses: unpackNetwork(TRAIT_WEIGHTS.glasses),
    numbers: unpackNetwork(TRAIT_WEIGHTS.numbers),
  });

/** What each reader looks at. */
const INPUT: Readonly<Record<Read, (f: FaceFeatures) => Float32Array>> = {
  style: (f) => f.map,
  hat: (f) => f.map,
  beard: ({ map, face }) => Float32Array.from([...map, ...face]),
  glasses: (f) => f.face,
  numbers: (f) => f.face,
};

/**
 * What was painted, of what is seen: light, air and marks lift the darks, dull the lights and take chroma. Lines between those that
 * fit 110 people in six of our painter's media best and those that fit gouache best: lightness = `at` + `by` * seen, chroma =
 * `chroma` * seen.
 */
const PAINTED = {
  skin: { at: -0.1, by: 1.12, chroma: 1 },
  hair: { at: -0.2, by: 1.2, chroma: 1.07 },
  cloth: { at: -0.106, by: 1.024, chroma: 1.2 },
} as const;

/** The colour of something itself, from how it looks in its light. */
function ownColour([L, a, b]: Lab, { at, by, chroma }: (typeof PAINTED)[keyof typeof PAINTED]): Lab {
  return [Math.min(0.98, Math.max(0.02, at + by * L)), chroma * a, chroma * b];
}

/** Upper clothes: shoulders and breast below the chin, away from plaits that hang down in the middle. */
const UPPER: readonly [number, number][] = [2.1, 2.4, 2.8, 3.2].flatMap((b) =>
  [-0.8, -0.5, -0.2, 0.2, 0.5, 0.8].map((a): [number, number] => [a, b]),
);
const LOWER: readonly [number, number][] = [6.2, 6.8, 7.4].flatMap((b) =>
  [-0.5, -0.2, 0.2, 0.5].map((a): [number, number] => [a, b]),
);
const EYES: readonly [number, number][] = [-0.41, 0.41].flatMap((a) =>
  [-0.03, 0, 0.03].map((b): [number, number] => [a, b]),
);
const LIPS: readonly [number, number][] = [-0.12, 0, 0.12].map((a): [number, number] => [a, 0.66]);
/** Where a face should show skin. */
const FACE: readonly [number, number][] = [0.2, 0.35, 0.5].flatMap((b) =>
  [-0.45, -0.3, 0, 0.3, 0.45].map((a): [number, number] => [a, b]),
);

/**
 * Reads the traits of whoever a picture shows. With the frame of a face: colours by medians around it, hair, headwear, beard,
 * glasses and the numbers of the face by what was learnt. Without: only the colours of the subject before a plain background.
 * `exact` says that the frame is known, not found: nothing is sought around it.
 */
export function readTraits(picture: Picture, frame?: FaceFrame, exact = false): ReadTraits {
  if (!frame) return { traits: bodyColours(picture) };
  return readFace(evened(picture, frame), frame, exact, colourful(picture));
}

function readFace(picture: Picture, frame: FaceFrame, exact: boolean, tinted: number): ReadTraits {
  const { features, odds, numbers } = lookAround(picture, frame, exact);
  const traits: Partial<Record<TraitName, Trait>> = {};
  // a turned face keeps its colours longer than its forms
  const sight = sightOf(frame) ** 2 * lightAround(features.background);
  const likeliest = (of: Exclude<Read, 'numbers'>) => {
    const k = odds[of].indexOf(Math.max(...odds[of]));
    return { is: models()[of].names[k], probability: odds[of][k] };
  };
  const hair = likeliest('style');
  const worn = likeliest('hat');
  traits['hair style'] = { choice: hair.is, confidence: hair.probability * sight };
  traits['hair length'] = { choice: lengthOf(hair.is as SeenStyle), confidence: Math.sqrt(hair.probability) * sight };
  traits.headwear = { choice: worn.is, confidence: worn.probability * sight };
  for (const name of ['beard', 'glasses'] as const) {
    const guess = likeliest(name);
    traits[name] = { choice: guess.is, confidence: guess.probability * sight };
  }
  numbers.forEach((number, k) => {
    traits[FACE_NUMBERS[k]] = { number, confidence: 0.5 * sight };
  });
  Object.assign(traits, faceColours(picture, frame, features, hair.is === 'bald', worn.is !== 'none', tinted));
  return { traits, covered: coveredPart(picture, frame, features.skin) };
}

/** The lightness around a head from which on it is no night any more, and up to which it is: OKLab. */
const NIGHT: readonly [number, number] = [0.34, 0.6];

/** Before a dark ground it may be night, which has colours of its own and hides forms: what is read is half believed. */
const lightAround = ([L]: Lab): number => 0.5 + 0.5 * smoothstep(...NIGHT, L);

/** A turned face shows less of what was learnt from faces seen from the front. */
const sightOf = ({ yaw }: FaceFrame): number => Math.max(0.25, Math.cos((Math.min(70, Math.abs(yaw)) * Math.PI) / 180));

/** Where else the face may lie, in distances from eyes to chin, and how long that distance may be. */
const SHIFTS: readonly [number, number][] = [
  [0, 0],
  [-0.07, 0],
  [0.07, 0],
  [0, -0.06],
  [0, 0.06],
];
const LENGTHS = [1, 0.9, 1.1];

/** What is seen of a face in all places where it may lie. */
interface Seen {
  /** Of the place that the readers are surest about: where colours are taken. */
  readonly features: FaceFeatures;
  /** Odds of every choice, over all places. */
  readonly odds: Readonly<Record<Exclude<Read, 'numbers'>, Float32Array>>;
  readonly numbers: readonly number[];
}

/** A found face is never quite where the true one is: it is looked at in some frames near it, and what they say is added up. */
function lookAround(picture: Picture, { eyes, chin, yaw }: FaceFrame, exact: boolean): Seen {
  const networks = models();
  const dx = chin[0] - eyes[0];
  const dy = chin[1] - eyes[1];
  const aspect = picture.width / picture.height;
  const frames = (exact ? [1] : LENGTHS).flatMap((length) =>
    (exact ? [SHIFTS[0]] : SHIFTS).map(([a, b]): FaceFrame => {
      const x = eyes[0] + (dy / aspect) * a + dx * b;
      const y = eyes[1] - dx * aspect * a + dy * b;
      return { eyes: [x, y], chin: [x + dx * length, y + dy * length], yaw };
    }),
  );
  const seen = frames.map((frame) => faceFeatures(picture, frame));
  const mean = (rows: readonly Float32Array[]) =>
    rows[0].map((_, k) => rows.reduce((sum, row) => sum + row[k], 0) / rows.length);
  const said = (of: Read) => seen.map((features) => answerOf(networks[of], INPUT[of](features)));
  const odds = {
    style: said('style').map(oddsOf),
    hat: said('hat').map(oddsOf),
    beard: said('beard').map(oddsOf),
    glasses: said('glasses').map(oddsOf),
  };
  const sureness = frames.map(
    (_, k) => Math.max(...odds.style[k]) * Math.max(...odds.beard[k]) * Math.max(...odds.glasses[k]) * (k ? 0.9 : 1),
  );
  return {
    features: seen[sureness.indexOf(Math.max(...sureness))],
    odds: { style: mean(odds.style), hat: mean(odds.hat), beard: mean(odds.beard), glasses: mean(odds.glasses) },
    numbers: fromSpreads(mean(said('numbers')).map((v) => CAUTION * v)),
  };
}

function faceColours(
  picture: Picture,
  frame: FaceFrame,
  { skin, crown, side, background }: FaceFeatures,
  bald: boolean,
  hat: boolean,
  tinted: number,
): TraitSheet {
  const out: Partial<Record<TraitName, Trait>> = {};
  const sight = sightOf(frame) * tinted * lightAround(background);
  out.skin = { colour: ownColour(skin, PAINTED.skin), confidence: 0.85 * sight };
  if (!bald) {
    // under a hat only the hair beside the face can be seen
    const shown = hat ? side : crown;
    // what has the colour of the ground behind is most likely that ground, above all beside a turned head
    const clear = Math.min(colourGap(shown, skin), colourGap(shown, background)) / 0.1;
    out.hair = { colour: ownColour(shown, PAINTED.hair), confidence: sight * Math.min(0.85, 0.1 + 0.75 * clear) };
  }
  if (hat) out.hat = { colour: crown, confidence: 0.7 * tinted };
  const cloth = (points: readonly [number, number][], name: 'upper' | 'lower', confidence: number) => {
    const seen = coloursIn(picture, frame, points).filter((c): c is Lab => c !== undefined);
    if (seen.length < points.length * 0.6) return;
    const colour = commonColour(seen);
    const part = seen.filter((c) => colourGap(c, colour) < 0.06).length / seen.length;
    out[name] = { colour: ownColour(colour, PAINTED.cloth), confidence: confidence * part * tinted };
  };
  cloth(UPPER, 'upper', 0.9);
  cloth(LOWER, 'lower', 0.6);
  const eyes = coloursIn(picture, frame, EYES).filter((c): c is Lab => c !== undefined);
  if (eyes.length)
    out.eyes = { colour: [...eyes].sort((a, b) => a[0] - b[0])[eyes.length >> 1], confidence: 0.25 * tinted };
  out.lips = { colour: commonColour(coloursIn(picture, frame, LIPS)), confidence: 0.35 * tinted };
  return out;
}

/** The part of the middle of a face that is not of the colour of its skin. */
function coveredPart(picture: Picture, frame: FaceFrame, skin: Lab): number {
  const seen = coloursIn(picture, frame, FACE).filter((c): c is Lab => c !== undefined);
  return seen.length ? seen.filter((c) => colourGap(c, skin) > 0.14).length / seen.length : 1;
}

/** The main colour of a creature or thing before a plain background. */
function bodyColours(picture: Picture): TraitSheet {
  const { mask, width, height, share } = findPlainBackground(picture);
  if (share < 0.25 || share > 0.97) return {};
  const colours: Lab[] = [];
  const [L, A, B] = picture.planes;
  for (let i = 0; i < mask.length; i += 3) {
    if (mask[i]) continue;
    const x = Math.floor(((i % width) / width) * picture.width);
    const y = Math.floor((((i / width) | 0) / height) * picture.height);
    const j = y * picture.width + x;
    colours.push([L[j], A[j] / CHROMA_GAIN, B[j] / CHROMA_GAIN]);
  }
  const some = colours.filter((_, k) => k % Math.ceil(colours.length / 400) === 0);
  return some.length ? { body: { colour: commonColour(some), confidence: 0.5 } } : {};
}
