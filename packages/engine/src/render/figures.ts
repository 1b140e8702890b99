import {
  CHROMA_GAIN,
  fuseTraits,
  identityArrival,
  identityEvidence,
  inOtherClothes,
  median,
  nameOf,
  partsOf,
  poseDistance,
  poseOf,
  smoothstep,
  traitsOfParts,
  type Entity,
  type JointName,
  type Joints,
  type JudgedChannel,
  type OtherChannel,
  type Picture,
  type TraitSheet,
} from '@urbild/core';
import type { FigureRecord } from '../painter/scene/figureRecord';
import type { RequestInfluence } from '../contract/request';
import type { RenderedFigure } from '../contract/result';
import { asDrawn } from '../gives/imagined';
import { colourful, thinned } from '../traits/colourful';
import { faceOfRecord, type FaceFrame } from '../traits/frame';
import { pieceAround } from '../traits/pieceAround';
import { readTraits } from '../traits/readTraits';
import { REGION } from '../painter/scene/region';
import { withoutCast } from './lookCast';
import type { Pass } from './pass';

const JOINT: Readonly<Record<string, string>> = {
  shoulder: 'Shoulder',
  elbow: 'Elbow',
  hand: 'Wrist',
  hip: 'Hip',
  knee: 'Knee',
  foot: 'Ankle',
};

/** The far side is drawn on the right of an unmirrored figure: the figure's own left. */
function jointsOf({ joints, landmarks, yaw }: FigureRecord, w: number, h: number): Joints {
  const out: Partial<Record<JointName, readonly [number, number]>> = {};
  const far = yaw < 0 ? 'right' : 'left';
  const near = yaw < 0 ? 'left' : 'right';
  for (const [name, [x, y]] of Object.entries(joints)) {
    const [side, joint] = name.split(' ');
    const part = JOINT[joint];
    if (part) out[`${side === 'far' ? far : near}${part}` as JointName] = [x / w, y / h];
  }
  if (landmarks.nose) out.nose = [landmarks.nose[0] / w, landmarks.nose[1] / h];
  return out;
}

/** The least height of a head that tells anything, and the one from which on everything can be told, px. */
const LEGIBLE = 14;
const CLEAR = 56;

/** Traits as sure as a head of that height lets them be: colours are seen from afar, forms are not. */
const seenFrom = (sheet: TraitSheet, head: number): TraitSheet => {
  const clear = smoothstep(LEGIBLE - 4, CLEAR, head);
  return Object.fromEntries(
    Object.entries(sheet).map(([name, trait]) => [
      name,
      trait.colour ? trait : { ...trait, confidence: trait.confidence * clear },
    ]),
  );
};

/** So many pixels of a creature tell its colour. */
const ENOUGH = 40;

/** So many pixels of it are looked at, at the most. */
const MANY = 2000;

/** What is looked at of a figure: the part of the picture that shows it, and what that tells of it in a picture of so much colour, 0..1. */
interface Shown {
  readonly picture: Picture;
  readonly read: (picture: Picture, tinted: number) => TraitSheet;
}

/** A creature: pixels of it, in a row, of which the middle colour is told. Undefined where too few are seen. */
function shownCreature(
  { box }: FigureRecord,
  labels: Uint8Array,
  { width, height, planes }: Picture,
): Shown | undefined {
  const [left, top] = [Math.max(0, Math.floor(box[0])), Math.max(0, Math.floor(box[1]))];
  const own: number[] = [];
  for (let y = top; y < Math.min(height, box[3]); y++)
    for (let x = left; x < Math.min(width, box[2]); x++)
      if (labels[y * width + x] === REGION.animal) own.push(y * width + x);
  if (own.length < ENOUGH) return undefined;
  const step = Math.ceil(own.length / MANY);
  const looked = own.filter((_, k) => k % step === 0);
  const row = planes.map((plane) => Float32Array.from(looked, (i) => plane[i]));
  return {
    picture: { width: looked.length, height: 1, planes: row as unknown as Picture['planes'] },
    read: (seen) => {
      const at = (k: number) => median(Array.from(seen.planes[k])) / (k ? CHROMA_GAIN : 1);
      return { body: { colour: [at(0), at(1), at(2)], confidence: 0.8 } };
    },
  };
}

/** A person with a face that is large enough to tell anything; else undefined. */
function shownPerson({ head }: FigureRecord, face: FaceFrame | undefined, picture: Picture): Shown | undefined {
  if (!face || head < LEGIBLE) return undefined;
  const there = pieceAround(picture, face);
  return {
    picture: there.picture,
    read: (seen, tinted) => seenFrom(readTraits(seen, there.face, { exact: true, tinted }).traits, head),
  };
}

/** A pass as far as it tells who is in its picture. */
type Staged = Pick<Pass, 'figures' | 'brief' | 'labels' | 'cast'>;

/**
 * The people and creatures of a stage, with the traits that the finished picture shows of them, as they look and without what a look did to
 * all colours alike.
 */
export function figuresOf({ figures, brief, labels, cast }: Staged, picture: Picture): RenderedFigure[] {
  if (!figures.length) return [];
  const { width: w, height: h } = picture;
  const few = thinned(picture);
  const tinted = colourful(few);
  const plain = cast ? { cast, tinted: colourful(withoutCast(few, cast)) } : undefined;
  return figures.map((f) => {
    const entity: Entity | undefined = brief.entities[f.entity];
    const outfit = entity && entity.kind !== 'thing' ? entity.outfit : undefined;
    const face = f.kind === 'person' ? faceOfRecord(f, w, h) : undefined;
    const shown = f.kind === 'person' ? shownPerson(f, face, picture) : shownCreature(f, labels, picture);
    return {
      kind: f.kind,
      name: entity && nameOf(entity),
      ...(outfit ? { outfit } : {}),
      box: [f.box[0] / w, f.box[1] / h, f.box[2] / w, f.box[3] / h],
      face,
      joints: jointsOf(f, w, h),
      traits: shown?.read(shown.picture, tinted) ?? {},
      ...(plain ? { unlooked: shown?.read(withoutCast(shown.picture, plain.cast), plain.tinted) ?? {} } : {}),
    };
  });
}

/** The figure that an influence is about: the one with its subject's name, else the first person. */
export const figureFor = (
  figures: readonly RenderedFigure[],
  { subject }: Pick<RequestInfluence, 'subject'>,
): RenderedFigure | undefined =>
  figures.find((f) => subject !== undefined && f.name === subject) ??
  figures.find((f) => f.kind === 'person') ??
  figures[0];

const NO_FIGURE = 'Nobody is in the picture who could have it.';
const NO_JOINTS = 'No body was found in the reference: mark its joints in the library.';
const NO_TRAITS = 'Nothing was read of this person yet: look at the pictures of the sheet in the library.';
const TOO_SMALL = 'The head is too small or turned away: a half figure or a portrait can be told.';

/** What it takes to tell whether a pose and an identity have arrived. */
export interface FigureQuestion {
  readonly influence: RequestInfluence;
  /** Who is in the take, and who in the same picture without influences. */
  readonly take: readonly RenderedFigure[];
  readonly control: readonly RenderedFigure[];
  /** What is known of whoever the influence shows. */
  readonly sheet?: TraitSheet;
  /** What is known of other people who could be taken for them. */
  readonly people?: readonly TraitSheet[];
  /** Width by height. */
  readonly aspect: { readonly picture: number; readonly reference: number };
}

/**
 * How far a take and its control are from the pose that an influence gives, and how surely its identity is told from everybody else's; or
 * why that cannot be told.
 */
export function figureDistances({
  influence,
  take,
  control,
  sheet,
  people = [],
  aspect,
}: FigureQuestion): Partial<Record<'pose' | 'identity', OtherChannel | JudgedChannel | string>> {
  const [a, b] = [figureFor(take, influence), figureFor(control, influence)];
  if (!a || !b) return { pose: NO_FIGURE, identity: NO_FIGURE };
  const out: Partial<Record<'pose' | 'identity', OtherChannel | JudgedChannel | string>> = {};
  const parts = partsOf(influence);
  if (sheet && parts.length) {
    const of = (one: TraitSheet) => traitsOfParts(one, parts);
    const drawn = asDrawn(influence, sheet);
    const known = a.outfit && influence.gives !== 'outfit' ? inOtherClothes(drawn, a.outfit.traits) : drawn;
    const [seen, own] = [of(a.unlooked ?? a.traits), of(known)];
    const arrival = identityArrival(seen, own, people.map(of));
    out.identity = arrival
      ? { value: arrival.value, part: areaOf(a.box), evidence: identityEvidence(seen, own) }
      : TOO_SMALL;
  } else if (parts.length) out.identity = NO_TRAITS;
  const joints = influence.pictures.find((p) => p.joints)?.joints;
  const pose = joints && poseOf(joints, aspect.reference);
  const [p, q] = [poseOf(a.joints, aspect.picture), poseOf(b.joints, aspect.picture)];
  if (pose && p && q) {
    const [x, y] = [poseDistance(p, pose), poseDistance(q, pose)];
    if (x !== undefined && y !== undefined) out.pose = { take: x, control: y, part: areaOf(a.box) };
  } else if (!pose) out.pose = NO_JOINTS;
  return out;
}

/** What is known of whoever an influence shows, from what the request tells; undefined when it tells nothing. */
export function toldSheet({ traits, pictures }: RequestInfluence): TraitSheet | undefined {
  if (traits) return traits;
  const sheets = pictures.flatMap((p) => p.traits ?? []);
  return sheets.length ? fuseTraits(sheets) : undefined;
}

/** The part of a picture that a box takes, 0..1. */
const areaOf = ([left, top, right, bottom]: RenderedFigure['box']): number =>
  Math.max(0, right - left) * Math.max(0, bottom - top);
