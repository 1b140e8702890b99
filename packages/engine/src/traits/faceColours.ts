import { answerOf, type Lab, type Picture, type Trait, type TraitName, type TraitSheet } from '@urbild/core';
import { clothSeen, type ClothSeen } from './clothSeen';
import { colourGap, commonColour, coloursIn, type FaceFeatures } from './features';
import { eyeSeen } from './eyeSeen';
import type { FaceFrame } from './frame';
import type { HairSeen } from './hairSeen';
import type { HeadField } from './headField';
import { lightAround, sightOf, type Looked } from './looked';
import { models } from './models';
import { colourInput, type SeenBeside } from './ownColour';

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

/**
 * What was painted, of what is seen, in pictures of our own painter: light, air and marks lift the darks, dull the lights and take chroma.
 * Lines between those that fit 110 people in six of its media best and those that fit gouache best: lightness = `at` + `by` * seen,
 * chroma = `chroma` * seen.
 */
const PAINTED = {
  skin: { at: -0.1, by: 1.12, chroma: 1 },
  hair: { at: -0.2, by: 1.2, chroma: 1.07 },
  upper: { at: -0.106, by: 1.024, chroma: 1.2 },
} as const;
const paintable = (L: number) => Math.min(0.98, Math.max(0.02, L));

/**
 * A colour itself, of how it looks in its light. What our painter drew is told by what is known of it; elsewhere skin and clothes by what
 * was learnt from pictures of many kinds, and hair as it looks: of a technique that was left out of the learning that came nearest.
 */
export function ownColour(of: keyof typeof PAINTED, seen: Lab, { exact, light }: Looked, beside: SeenBeside): Lab {
  if (exact) {
    const { at, by, chroma } = PAINTED[of];
    return [paintable(at + by * seen[0]), chroma * seen[1], chroma * seen[2]];
  }
  if (of === 'hair') return seen;
  const by = answerOf(models()[of], colourInput(seen, beside, light));
  return [paintable(seen[0] + by[0]), seen[1] + by[1], seen[2] + by[2]];
}

/** What was found around a face before its colours are told. */
interface Around {
  /** Both absent where figure and ground are not told apart. */
  readonly field?: HeadField;
  readonly hair?: HairSeen;
  readonly bald: boolean;
  /** A hat or a cap hides the crown. */
  readonly hat: boolean;
}

/** The colours of a face, its hair and what is worn. */
export function faceColours(looked: Looked, features: FaceFeatures, { field, hair, bald, hat }: Around): TraitSheet {
  const { picture, frame, tinted } = looked;
  const { skin, crown, side, background } = features;
  const out: Partial<Record<TraitName, Trait>> = {};
  const sight = sightOf(frame) * tinted * lightAround(background);
  const own = (of: keyof typeof PAINTED, seen: Lab) => ownColour(of, seen, looked, features);
  out.skin = { colour: own('skin', skin), confidence: 0.85 * sight };
  if (!bald && hair?.colour)
    out.hair = { colour: own('hair', hair.colour), confidence: sight * Math.min(0.9, 0.2 + 0.7 * hair.clear) };
  if (!bald && !hair) {
    // under a hat only the hair beside the face can be seen
    const shown = hat ? side : crown;
    // what has the colour of the ground behind is most likely that ground, above all beside a turned head
    const clear = Math.min(colourGap(shown, skin), colourGap(shown, background)) / 0.1;
    out.hair = { colour: own('hair', shown), confidence: sight * Math.min(0.85, 0.1 + 0.75 * clear) };
  }
  if (hat) out.hat = { colour: crown, confidence: 0.7 * tinted };
  const cloth = (seen: ClothSeen | undefined, name: 'upper' | 'lower', confidence: number) => {
    if (seen) out[name] = { colour: own('upper', seen.colour), confidence: confidence * seen.part * tinted };
  };
  cloth(field ? clothSeen(field, skin, hair!.parts) : clothAt(picture, frame, UPPER), 'upper', 0.9);
  cloth(clothAt(picture, frame, LOWER), 'lower', 0.6);
  const eyes = eyesOf(looked, skin);
  if (eyes) out.eyes = eyes;
  out.lips = { colour: commonColour(coloursIn(picture, frame, LIPS)), confidence: 0.35 * tinted };
  return out;
}

/** How far irises that the mesh shows are believed, and colours at the place of the eyes where there is no mesh. */
const IRIS = 0.65;
const AT_EYES = 0.25;

/** The colour of the eyes: of the irises where the mesh shows them, else the middle one of what lies there. */
function eyesOf({ picture, source, mesh, frame, tinted }: Looked, skin: Lab): Trait | undefined {
  const seen = mesh && eyeSeen(source, mesh, skin);
  if (seen) return { colour: seen.colour, confidence: IRIS * seen.clear * tinted * sightOf(frame) };
  const eyes = coloursIn(picture, frame, EYES).filter((c): c is Lab => c !== undefined);
  return eyes.length
    ? { colour: [...eyes].sort((a, b) => a[0] - b[0])[eyes.length >> 1], confidence: AT_EYES * tinted }
    : undefined;
}

/** Clothes at places where they are worn, of a figure that fills them; undefined where too many lie beyond the picture. */
function clothAt(
  picture: Picture,
  frame: FaceFrame,
  points: readonly (readonly [number, number])[],
): ClothSeen | undefined {
  const seen = coloursIn(picture, frame, points).filter((c): c is Lab => c !== undefined);
  if (seen.length < points.length * 0.6) return undefined;
  const colour = commonColour(seen);
  return { colour, part: seen.filter((c) => colourGap(c, colour) < 0.06).length / seen.length };
}
