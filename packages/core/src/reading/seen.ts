import { areaOf, type FoundFace } from '../checks/faces';
import type { Lab } from '../colour/oklab';
import { median } from '../maths/scalar';
import type { TraitSheet } from '../traits/types';

/** A joint as it was found: parts of width and height, and how sure it is, 0..1. */
export interface FoundJoint {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly score: number;
}

/** What was found in a picture by looking at it. */
export interface Looked {
  readonly faces: readonly FoundFace[];
  readonly joints: readonly FoundJoint[];
  /** Of the main person. */
  readonly traits?: TraitSheet;
}

/** What of the people in a picture is sure enough to be said. */
export interface SeenPeople {
  readonly people: number;
  /** How near the main person is. */
  readonly near?: 'portrait' | 'half figure';
  /** Colour of the hair, one of the words that prompts know. */
  readonly hair?: string;
  readonly hairLength?: 'long' | 'short';
  /** Colour of what is worn above. */
  readonly clothes?: Lab;
  readonly posture?: 'standing' | 'sitting';
}

/**
 * How sure a trait has to be before it is said: colours of hair are misread where other things lie behind the head. Beards and glasses are
 * not said at all: they are found in foreign pictures that have none.
 */
const SAID = { hair: 0.8, hairLength: 0.7, clothes: 0.75 } as const;
/** Parts of the picture's height that a face has in a portrait and in a half figure, and the least that counts as somebody. */
const NEAR = { portrait: 0.38, 'half figure': 0.16, somebody: 0.04 } as const;
/** So many joints over this part of the height, half of them so sure, are a body without a face: roofs and trees have joints, too. */
const BODY = { joints: 10, span: 0.4, score: 0.3, median: 0.5 } as const;

/** Usual colours of hair, OKLab. */
const HAIR: Readonly<Record<string, Lab>> = {
  black: [0.2, 0.005, 0.005],
  brown: [0.38, 0.03, 0.045],
  red: [0.5, 0.1, 0.09],
  blond: [0.78, 0.015, 0.09],
  grey: [0.62, 0, 0.005],
  white: [0.9, 0, 0.01],
};
/** Farther than this from all of them no word is right. */
const NO_HAIR = 0.17;

/** The word for a colour of hair; undefined where none is right. */
export function hairWord(lab: Lab): string | undefined {
  const [word, distance] = Object.entries(HAIR)
    .map(
      ([name, at]) =>
        [name, Math.hypot(0.8 * (at[0] - lab[0]), 1.6 * (at[1] - lab[1]), 1.6 * (at[2] - lab[2]))] as const,
    )
    .sort((a, b) => a[1] - b[1])[0];
  return distance < NO_HAIR ? word : undefined;
}

/** Whether somebody stands or sits, by hips, knees and ankles under the shoulders; undefined where it cannot be told. */
export function postureOf(joints: readonly FoundJoint[]): 'standing' | 'sitting' | undefined {
  const height = (side: string): number | undefined => {
    const found = ['left', 'right'].flatMap(
      (s) => joints.find((j) => j.name === `${s}${side}` && j.score >= BODY.score)?.y ?? [],
    );
    return found.length ? found.reduce((a, b) => a + b, 0) / found.length : undefined;
  };
  const [shoulders, hips, knees, ankles] = ['Shoulder', 'Hip', 'Knee', 'Ankle'].map(height);
  if (shoulders === undefined || hips === undefined || knees === undefined || ankles === undefined) return undefined;
  const torso = hips - shoulders;
  if (torso < 0.08) return undefined;
  const [thighs, shins] = [(knees - hips) / torso, (ankles - knees) / torso];
  if (thighs > 0.6 && shins > 0.5) return 'standing';
  return thighs < 0.3 && thighs > -0.2 && shins > 0.4 ? 'sitting' : undefined;
}

/** What can be said of the people in a picture: only what is sure. */
export function seenPeople({ faces, joints, traits = {} }: Looked): SeenPeople {
  const heads = faces.filter((f) => f.box.bottom - f.box.top >= NEAR.somebody);
  const sureJoints = joints.filter((j) => j.score >= BODY.score);
  const ys = sureJoints.map((j) => j.y);
  const body =
    ys.length >= BODY.joints &&
    median(sureJoints.map((j) => j.score)) >= BODY.median &&
    Math.max(...ys) - Math.min(...ys) >= BODY.span;
  if (!heads.length) return body ? { people: 1, posture: postureOf(joints) } : { people: 0 };
  const main = [...heads].sort((a, b) => areaOf(b.box) - areaOf(a.box))[0];
  const face = main.box.bottom - main.box.top;
  const near = face >= NEAR.portrait ? 'portrait' : face >= NEAR['half figure'] ? 'half figure' : undefined;
  const sure = <N extends keyof TraitSheet>(name: N, least: number) => {
    const trait = traits[name];
    return trait && trait.confidence >= least ? trait : undefined;
  };
  const hair = sure('hair', SAID.hair)?.colour;
  const length = sure('hair length', SAID.hairLength)?.choice;
  return {
    people: heads.length,
    near,
    hair: hair && hairWord(hair),
    hairLength: length === 'long' || length === 'short' ? length : undefined,
    clothes: sure('upper', SAID.clothes)?.colour,
    posture: heads.length === 1 && !near ? postureOf(joints) : undefined,
  };
}
