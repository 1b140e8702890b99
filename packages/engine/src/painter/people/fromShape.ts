import { clamp, lerp, MEAN_FACE, ownPart, type FaceShape } from '@urbild/core';
import type { Person } from './person';

/** The line of the eyes and the tip of the chin on a painted head, in head heights from its middle. */
const EYES = 0.035;
const CHIN = 0.5;
const LENGTH = CHIN - EYES;
/** The most that any measure of a face is moved from the usual one, as a part of it. */
const MOST = 0.35;
/** How much of what makes a face long or broad is given to its length, the rest to its width. */
const LONG = 0.5;

/** Measures of a face that do not depend on how large it is in a picture: what is wide against its width, what is high against its length. */
interface Measures {
  readonly long: number;
  /** Half widths below the cheeks, and how far down each lies, 0 the eyes .. 1 the chin. */
  readonly jaw: readonly (readonly [down: number, width: number])[];
  readonly apart: number;
  readonly eyeWidth: number;
  readonly eyeOpen: number;
  readonly tilt: number;
  readonly browHeight: number;
  readonly browSlope: number;
  readonly noseLength: number;
  readonly noseWidth: number;
  readonly mouthHeight: number;
  readonly mouthWidth: number;
  readonly fullness: number;
}

function measuresOf({ outline, brow, eye, nose, lips }: FaceShape): Measures {
  const width = (outline[0][0] + outline[1][0] + outline[2][0]) / 3;
  const length = outline[7][1];
  const eyeWidth = eye[4][0] - eye[0][0];
  return {
    long: length / width,
    jaw: outline.slice(3, 7).map(([x, y]) => [y / length, x / width]),
    apart: 1 / width,
    eyeWidth: eyeWidth / width,
    eyeOpen: (eye[6][1] - eye[2][1]) / eyeWidth,
    tilt: (eye[0][1] - eye[4][1]) / eyeWidth,
    browHeight: brow.reduce((s, [, y]) => s + y, 0) / brow.length / length,
    browSlope: (brow[0][1] + brow[7][1] - brow[3][1] - brow[4][1]) / 2 / length,
    noseLength: nose[2][1] / length,
    noseWidth: nose[1][0] / width,
    mouthHeight: lips[4][1] / length,
    mouthWidth: lips[2][0] / width,
    fullness: (lips[3][1] - lips[0][1]) / length,
  };
}

const MEAN = measuresOf(MEAN_FACE);
type Single = Exclude<keyof Measures, 'jaw'>;

/** The face of nobody: what a face of one's own begins from. */
const NEUTRAL = { width: 1, length: 1, jaw: 0.48, cheek: 0.5, chin: 0.5, size: 1, nose: 1, fullness: 0.75 } as const;

/** One face that acts on somebody, with its part of all that do. */
export interface ShapePull {
  readonly shape: FaceShape;
  /** 0..1; those of all and what is left to the words sum to 1. */
  readonly share: number;
  /** How surely it was measured, 0..1: what is unsure is nearer to the usual face. */
  readonly sure: number;
}

/**
 * Somebody with a face of their own. What the words made up of the face goes to the usual one as far as faces act; what they have of their
 * own is added to that: as measured at a pull of 1, slightly overdrawn above (see {@link ownPart}).
 */
export function withShape(person: Person, pulls: readonly ShapePull[], over: number): Person {
  const total = clamp(pulls.reduce((s, p) => s + p.share, 0));
  if (total <= 0) return person;
  const drawn = ownPart(over > 1 ? over : total) / total;
  const faces = pulls.map((p) => ({ own: measuresOf(p.shape), part: p.share * p.sure * drawn }));
  /** How much larger a measure is than the usual one, as a factor. */
  const times = (of: Single): number => {
    const log = faces.reduce((s, { own, part }) => s + part * Math.log(Math.max(0.05, own[of] / MEAN[of])), 0);
    return Math.exp(clamp(log, -MOST, MOST));
  };
  /** How far a measure is from the usual one. */
  const off = (of: Single): number => faces.reduce((s, { own, part }) => s + part * (own[of] - MEAN[of]), 0);
  const to = (own: number, usual: number) => lerp(own, usual, total);
  const { face, eyes, brow, nose, mouth } = person;
  const long = times('long');
  return {
    ...person,
    face: {
      width: to(face.width, NEUTRAL.width) * long ** (LONG - 1),
      length: to(face.length, NEUTRAL.length) * long ** LONG,
      jaw: to(face.jaw, NEUTRAL.jaw),
      cheek: to(face.cheek, NEUTRAL.cheek),
      chin: to(face.chin, NEUTRAL.chin),
      outline: jawOf(faces),
    },
    eyes: {
      ...eyes,
      size: to(eyes.size, NEUTRAL.size) * times('eyeWidth'),
      spacing: to(eyes.spacing, 1) * times('apart'),
      tilt: to(eyes.tilt, 0) + clamp(off('tilt') / 1.2, -0.3, 0.3),
      open: times('eyeOpen'),
    },
    brow: {
      ...brow,
      angle: to(brow.angle, 0) + clamp((LENGTH * off('browSlope')) / 0.56, -0.12, 0.12),
      lift: clamp(-LENGTH * off('browHeight'), -0.03, 0.03),
    },
    nose: {
      ...nose,
      width: to(nose.width, 1) * times('noseWidth'),
      length: to(nose.length, NEUTRAL.nose),
      reach: clamp(times('noseLength'), 0.8, 1.2),
    },
    mouth: {
      ...mouth,
      width: to(mouth.width, 1) * times('mouthWidth'),
      fullness: to(mouth.fullness, NEUTRAL.fullness) * times('fullness'),
      drop: clamp(LENGTH * off('mouthHeight'), -0.035, 0.035),
    },
  };
}

/** Factors of the half width below the cheeks, at heights of a head. */
function jawOf(faces: readonly { readonly own: Measures; readonly part: number }[]): Person['face']['outline'] {
  return MEAN.jaw.map(([down, width], k) => {
    const log = faces.reduce((s, { own, part }) => s + part * Math.log(widthAt(own, down) / width), 0);
    return [EYES + LENGTH * MEAN.jaw[k][0], Math.exp(clamp(log, -MOST, MOST))];
  });
}

/** The half width of a face so far down, between the points that are known of it. */
function widthAt({ jaw }: Measures, down: number): number {
  const knots: readonly (readonly [number, number])[] = [[0.3, 1], ...jaw, [1, 0.05]];
  const k = Math.max(
    1,
    knots.findIndex(([y]) => y >= down),
  );
  const [[y0, x0], [y1, x1]] = [knots[k - 1], knots[k]];
  return Math.max(0.05, lerp(x0, x1, clamp((down - y0) / Math.max(1e-6, y1 - y0))));
}
