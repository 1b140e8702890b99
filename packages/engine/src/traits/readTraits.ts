import {
  answerOf,
  CHROMA_GAIN,
  findPlainBackground,
  oddsOf,
  type Lab,
  type Picture,
  type Trait,
  type TraitName,
  type TraitSheet,
} from '@urbild/core';
import { alphaAt, matteOf, type Matte, type SegmentedPart } from '../understand/matte/matte';
import { clothTraits } from './clothTraits';
import { colourful } from './colourful';
import { faceColours } from './faceColours';
import { colourGap, commonColour, coloursIn, evened, faceFeatures, skinOverBeard, type FaceFeatures } from './features';
import type { FaceFrame } from './frame';
import { hairSeen } from './hairSeen';
import { headField } from './headField';
import type { HeadSeen } from './headPicture';
import { CAUTION, FACE_NUMBERS, fromSpreads, type SeenStyle } from './kinds';
import { lightStats } from './light';
import { lightAround, sightOf, type Looked } from './looked';
import { models, type Choice } from './models';
import { meshShape } from './meshShape';
import { wornHair } from './wornHair';

/** What was read of whoever a picture shows. */
export interface ReadTraits {
  readonly traits: TraitSheet;
  /** Part of the face that something covers, 0..1; absent without a face. */
  readonly covered?: number;
  /** What was taken for skin, hair and clothes; absent where figure and ground were not told apart. */
  readonly head?: HeadSeen;
  /** Who was taken for figure; absent where nothing was told apart. */
  readonly matte?: Matte;
}

/**
 * How far the contours that the mesh sees in one picture are those of the person: in the families of people about as much of what it sees
 * comes from the person as from the picture. In drawings of one ink it sees its own usual face.
 */
const FORM = 0.45;

/** From here on a beard is sure enough to look for the skin above it. */
const SURE_BEARD = 0.8;

/** What each reader looks at. */
const INPUT: Readonly<Record<Choice | 'numbers', (f: FaceFeatures) => Float32Array>> = {
  style: (f) => f.map,
  hat: (f) => f.map,
  beard: ({ map, face }) => Float32Array.from([...map, ...face]),
  glasses: (f) => f.face,
  numbers: (f) => f.face,
};

/** Where a face should show skin. */
const FACE: readonly [number, number][] = [0.2, 0.35, 0.5].flatMap((b) =>
  [-0.45, -0.3, 0, 0.3, 0.45].map((a): [number, number] => [a, b]),
);

/** How a picture is read. */
export interface ReadHow {
  /** The frame is known, not found, and everything around it too: nothing is sought beside it, and no ground is told from the figure. */
  readonly exact?: boolean;
  /** What a segmentation model says of the part around the face. */
  readonly part?: SegmentedPart;
  /** Points of the face mesh, parts of width and height: what tells the form of the face. */
  readonly mesh?: readonly (readonly [number, number])[];
  /** Who is figure and what is ground, as a person painted it; goes before what is found. */
  readonly matte?: Matte;
  /** How colourful the whole picture is, 0..1, where that is known or only a piece of it is read; measured without it. */
  readonly tinted?: number;
}

/**
 * Reads the traits of whoever a picture shows. With the frame of a face: first what is figure and what is ground, then, of the figure
 * alone, hair, headwear, beard, glasses and the numbers of the face by what was learnt, and colours by medians. Without: only the colour
 * of the subject where it can be told from its ground.
 */
export function readTraits(
  picture: Picture,
  frame?: FaceFrame,
  { exact = false, part, mesh, matte: painted, tinted = colourful(picture) }: ReadHow = {},
): ReadTraits {
  if (!frame) return { traits: bodyColours(picture, painted) };
  const even = evened(picture, frame);
  const matte = exact ? undefined : (painted ?? matteOf(picture, frame, part));
  // what our own painter drew is read without it
  const light = exact ? [] : lightStats(picture);
  const { traits, ...seen } = readFace({ picture: even, source: picture, mesh, frame, exact, matte, tinted, light });
  const shape = mesh && meshShape(mesh, frame.yaw, picture);
  return {
    traits: shape ? { ...traits, 'face shape': { shape, confidence: FORM * tinted } } : traits,
    ...seen,
    ...(matte ? { matte } : {}),
  };
}

function readFace(looked: Looked): ReadTraits {
  const { picture, frame } = looked;
  const { features: found, at, odds, numbers } = lookAround(looked);
  const traits: Partial<Record<TraitName, Trait>> = {};
  // a turned face keeps its colours longer than its forms
  const sight = sightOf(frame) ** 2 * lightAround(found.background);
  const likeliest = (of: Choice) => {
    const k = odds[of].indexOf(Math.max(...odds[of]));
    return { is: models()[of].names[k], probability: odds[of][k] };
  };
  // a beard that reaches high is taken for skin
  const bearded = !looked.exact && odds.beard[models().beard.names.indexOf('yes')] > SURE_BEARD;
  const features = bearded ? { ...found, skin: skinOverBeard(picture, at) } : found;
  const worn = likeliest('hat');
  const hat = worn.is !== 'none';
  const field = looked.matte && headField(picture, at, looked.matte);
  const hair = field && hairSeen(field, features.skin, hat);
  const { style, styleSure, length, lengthSure } = wornHair(
    models().style.names as readonly SeenStyle[],
    odds.style,
    hair,
  );
  traits['hair style'] = { choice: style, confidence: styleSure * sight };
  traits['hair length'] = { choice: length, confidence: lengthSure * sight };
  traits.headwear = { choice: worn.is, confidence: worn.probability * sight };
  for (const name of ['beard', 'glasses'] as const) {
    const guess = likeliest(name);
    traits[name] = { choice: guess.is, confidence: guess.probability * sight };
  }
  numbers.forEach((number, k) => {
    traits[FACE_NUMBERS[k]] = { number, confidence: 0.5 * sight };
  });
  Object.assign(traits, faceColours(looked, features, { field, hair, bald: style === 'bald', hat }));
  if (field && hair) Object.assign(traits, clothTraits(looked, { at, field, parts: hair.parts, beside: features }));
  return {
    traits,
    covered: coveredPart(picture, frame, features.skin),
    ...(hair ? { head: { frame: at, parts: hair.parts } } : {}),
  };
}

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
  readonly at: FaceFrame;
  /** Odds of every choice, over all places. */
  readonly odds: Readonly<Record<Choice, Float32Array>>;
  readonly numbers: readonly number[];
}

/** A found face is never quite where the true one is: it is looked at in some frames near it, and what they say is added up. */
function lookAround({ picture, frame: { eyes, chin, yaw }, exact, matte }: Looked): Seen {
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
  const seen = frames.map((frame) => faceFeatures(picture, frame, matte));
  const mean = (rows: readonly Float32Array[]) =>
    rows[0].map((_, k) => rows.reduce((sum, row) => sum + row[k], 0) / rows.length);
  const said = (of: Choice | 'numbers') => seen.map((features) => answerOf(networks[of], INPUT[of](features)));
  const odds = {
    style: said('style').map(oddsOf),
    hat: said('hat').map(oddsOf),
    beard: said('beard').map(oddsOf),
    glasses: said('glasses').map(oddsOf),
  };
  const sureness = frames.map(
    (_, k) => Math.max(...odds.style[k]) * Math.max(...odds.beard[k]) * Math.max(...odds.glasses[k]) * (k ? 0.9 : 1),
  );
  const best = sureness.indexOf(Math.max(...sureness));
  return {
    features: seen[best],
    at: frames[best],
    odds: { style: mean(odds.style), hat: mean(odds.hat), beard: mean(odds.beard), glasses: mean(odds.glasses) },
    numbers: fromSpreads(mean(said('numbers')).map((v) => CAUTION * v)),
  };
}

/** The part of the middle of a face that is not of the colour of its skin. */
function coveredPart(picture: Picture, frame: FaceFrame, skin: Lab): number {
  const seen = coloursIn(picture, frame, FACE).filter((c): c is Lab => c !== undefined);
  return seen.length ? seen.filter((c) => colourGap(c, skin) > 0.14).length / seen.length : 1;
}

/** Who is ground where nobody knows a face: what was painted so, else a plain background; nothing where neither tells. */
function groundOf(
  picture: Picture,
  painted: Matte | undefined,
): { isGround: (u: number, v: number) => boolean } | undefined {
  if (painted) return { isGround: (u, v) => alphaAt(painted, u, v) < 0.5 };
  const { mask, width, height, share } = findPlainBackground(picture);
  if (share < 0.25 || share > 0.97) return undefined;
  return { isGround: (u, v) => mask[Math.floor(v * height) * width + Math.floor(u * width)] > 0 };
}

/** Every so many pixels are looked at for the colour of a body. */
const EVERY = 3;

/** The main colour of a creature or thing that can be told from its ground. */
function bodyColours(picture: Picture, painted?: Matte): TraitSheet {
  const ground = groundOf(picture, painted);
  if (!ground) return {};
  const { width, height, planes } = picture;
  const [L, A, B] = planes;
  const colours: Lab[] = [];
  for (let i = 0; i < L.length; i += EVERY) {
    const [u, v] = [((i % width) + 0.5) / width, (Math.floor(i / width) + 0.5) / height];
    if (!ground.isGround(u, v)) colours.push([L[i], A[i] / CHROMA_GAIN, B[i] / CHROMA_GAIN]);
  }
  const some = colours.filter((_, k) => k % Math.ceil(colours.length / 400) === 0);
  return some.length ? { body: { colour: commonColour(some), confidence: painted ? 0.7 : 0.5 } } : {};
}
