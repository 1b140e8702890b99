/** What is read of pictures and of prompts, kept in short, so that a change of structure cannot change a reading unseen. */
import {
  agreementOf,
  checkReference,
  coherenceOf,
  describe,
  describeLikeness,
  describeStrokes,
  distancesToPeople,
  encodeDescriptors,
  findHorizon,
  findPlainBackground,
  fuseTraits,
  identityEvidence,
  layoutLikeness,
  mannerOf,
  measureArrival,
  motifDistance,
  perceptualHash,
  pictureFromRgba,
  planColours,
  promptsFor,
  readPicture,
  resample,
  resampleToLongSide,
  richer,
  salientBox,
  splitCollage,
  STRANGERS,
  strokeChange,
  styleVector,
  swatchesOf,
  tellingOf,
  traitDistance,
  unaskedIn,
  facing,
  nearer,
  understand,
  wordsOf,
  type Medium,
  type Picture,
} from '@urbild/core';
import {
  arrangementArrival,
  frameOfBox,
  horizonIn,
  paintStage,
  readPicture as seenPicture,
  readTraits,
  seenAreas,
  strangerPictures,
} from '@urbild/engine';
import { subjectHold } from '@urbild/engine/tools';
import { foreignReferences } from '../foreign';
import { FAMILIES, PEOPLE_FAMILIES } from '../foreign/families';
import { digestOf } from './digest';
import { headPartsOf, partsOf, tableDigests } from './parts';

const pictureOf = ({ rgba, width, height }: { rgba: Uint8ClampedArray; width: number; height: number }): Picture =>
  pictureFromRgba(rgba, width, height);

/** One who is in every family, and every picture of it differs by its seed. */
const WISH = { who: 5, seed: 3 };
/** The longer side that they are read at, px. */
const SIDE = 288;
const small = (picture: Picture) => resampleToLongSide(picture, SIDE);

/** Pictures of foreign hands by name: twelve references and one of each family. */
export const READ_PICTURES: ReadonlyMap<string, Picture> = new Map([
  ...foreignReferences().map((r) => [r.picture.name, small(pictureOf(r.picture))] as const),
  ...FAMILIES.map((f) => [f.name, small(pictureOf(f.make(WISH)))] as const),
]);

/** Asked of each picture once, whatever needs it. */
function once<T>(of: (picture: Picture) => T): (picture: Picture) => T {
  const known = new WeakMap<Picture, { readonly is: T }>();
  return (picture) => {
    if (!known.has(picture)) known.set(picture, { is: of(picture) });
    return known.get(picture)!.is;
  };
}
const described = once(describe);
const strokesOf = once(describeStrokes);

/** Everything that is read of one picture by itself. */
export function readingsOf(picture: Picture): Record<string, string> {
  const descriptors = described(picture);
  const strokes = strokesOf(picture);
  const likeness = describeLikeness(picture);
  const horizon = findHorizon(picture);
  const swatches = swatchesOf(picture);
  const reading = readPicture({ strokes, likeness, horizon, swatches });
  const seen = seenPicture(picture);
  const { width, height } = picture;
  const of = {
    descriptors: encodeDescriptors(descriptors),
    hash: perceptualHash(picture),
    style: [styleVector(descriptors), mannerOf(strokes)],
    strokes,
    likeness,
    plan: planColours(picture),
    ground: findPlainBackground(picture),
    focus: [salientBox(picture), splitCollage(picture)],
    checks: (['style', 'face'] as const).map((kind) =>
      checkReference({ picture, width, height, kind, transparent: 0.1, double: 'another' }),
    ),
    reading: [reading, horizon, swatches, promptsFor(reading), wordsOf(reading)],
    lines: [seen.drawnBy, seen.making, seen.strokes, seen.figures],
    areas: [seen.labels, seen.forms, seen.kinds, horizonIn(seen), seenAreas(seen, 12)],
    body: readTraits(picture).traits,
  };
  return Object.fromEntries(Object.entries(of).map(([name, value]) => [name, digestOf(value)]));
}

/** What is read of somebody of a family whose face is known to lie in a box. */
export function personOf(family: (typeof PEOPLE_FAMILIES)[number]): Record<string, string> {
  const picture = small(pictureOf(family.make({ who: 31_004, seed: 2 })));
  const frame = frameOfBox({ left: 0.3, top: 0.25, right: 0.7, bottom: 0.65 });
  return {
    told: digestOf(readTraits(picture, frame)),
    exact: digestOf(readTraits(picture, frame, { exact: true })),
    ...headPartsOf(picture),
  };
}

/** The picture of a name and what parts of the engine measure of it, beside the next one at its size. */
export function measuredOf(name: string): Record<string, string> {
  const names = [...READ_PICTURES.keys()];
  const [picture, other] = [0, 1].map((k) => READ_PICTURES.get(names[(names.indexOf(name) + k) % names.length])!);
  return partsOf(name, picture, resample(other, picture.width, picture.height));
}

/** What sheets of people tell of each other: each family's somebody, read for sure, beside all the others. */
export function peopleCompared(): Record<string, string> {
  const frame = frameOfBox({ left: 0.3, top: 0.25, right: 0.7, bottom: 0.65 });
  const sheets = PEOPLE_FAMILIES.map(
    (family) => readTraits(small(pictureOf(family.make({ who: 31_004, seed: 2 }))), frame, { exact: true }).traits,
  );
  const pairs = sheets.flatMap((a, k) => sheets.slice(k + 1).map((b) => [a, b] as const));
  const of = {
    apart: pairs.map(([a, b]) => [traitDistance(a, b), tellingOf(a, b)]),
    ranked: sheets.map((seen) => distancesToPeople(seen, sheets, STRANGERS)),
    evidence: pairs.map(([a, b]) => identityEvidence(a, b)),
    fused: [fuseTraits(sheets), agreementOf(sheets)],
  };
  return Object.fromEntries(Object.entries(of).map(([name, value]) => [name, digestOf(value)]));
}

/** What two pictures tell of each other: the second as the control of the first, a third as what should arrive. */
export function comparedBy(names: readonly [string, string, string]): Record<string, string> {
  const [take, own, reference] = names.map((name) => READ_PICTURES.get(name)!);
  const control = resample(own, take.width, take.height);
  const [a, b, c] = [take, control, reference].map(described);
  const sky = new Float32Array(take.width * take.height).fill(1, 0, (take.width * take.height) >> 1);
  const of = {
    arrival: (['everything', 'look', 'palette', 'layout'] as const).map((gives) =>
      measureArrival({ gives, take: a, control: b, reference: c, strangers: strangerPictures() }),
    ),
    arrangement: arrangementArrival(seenPicture(reference), take, control),
    unasked: unaskedIn({ take, control, sky }),
    motif: motifDistance(take, control),
    layout: layoutLikeness(a.layout, b.layout),
    change: strokeChange(take, control, { x: 0, y: 0, width: 1, height: 1 }),
    coherence: coherenceOf(
      [take, control, reference].map((p) => ({ manner: mannerOf(strokesOf(p)), palette: described(p).palette })),
    ),
  };
  return Object.fromEntries(Object.entries(of).map(([name, value]) => [name, digestOf(value)]));
}

const HELD_SIZE = { width: 384, height: 288, seed: 7 };
/** Scenes whose figures are held in another medium against the usual one. */
const HELD = [
  'portrait of a girl in the meadow',
  'half figure of an old man and a woman, pier',
  'a fox in the forest',
  'a fisherman far away on the beach',
];

/** How well figures of the painter's own scenes can be seen in other media. */
export const heldIn = (): Record<string, string> =>
  Object.fromEntries(
    HELD.map((prompt) => {
      const painted = (medium?: Medium) => paintStage(understand(prompt), { ...HELD_SIZE, medium });
      const { seen, labels, ...control } = painted();
      const takes = (['pastel', 'charcoal', 'cyanotype'] as const).map(painted);
      return [prompt, digestOf(takes.map((t) => subjectHold(seen, labels, pictureOf(control), pictureOf(t))))];
    }),
  );

/** What is understood of a prompt, and what is offered for it. */
export const briefOf = (prompt: string): string =>
  digestOf([understand(prompt, 'boats'), richer(prompt), nearer(prompt), facing(prompt)]);

/** Everything that is kept of readings, as it stands in frozen.json. */
export interface Readings {
  readonly read: Readonly<Record<string, Readonly<Record<string, string>>>>;
  readonly measured: Readonly<Record<string, Readonly<Record<string, string>>>>;
  readonly sheets: Readonly<Record<string, string>>;
  readonly tables: Readonly<Record<string, string>>;
  readonly people: Readonly<Record<string, Readonly<Record<string, string>>>>;
  readonly compared: Readonly<Record<string, Readonly<Record<string, string>>>>;
  readonly held: Readonly<Record<string, string>>;
  readonly briefs: Readonly<Record<string, string>>;
}

/** Names of three pictures each that are compared: every third one with the two after it. */
export const COMPARED: readonly (readonly [string, string, string])[] = [...READ_PICTURES.keys()]
  .map((name, k, all) => [name, all[(k + 1) % all.length], all[(k + 2) % all.length]] as const)
  .filter((_, k) => k % 3 === 0);

const take = <T>(names: readonly string[], of: (name: string, k: number) => T): Record<string, T> =>
  Object.fromEntries(names.map((name, k) => [name, of(name, k)]));

/** Reads everything, for keeping. */
export const readAll = (prompts: readonly string[]): Readings => ({
  read: take([...READ_PICTURES.keys()], (name) => readingsOf(READ_PICTURES.get(name)!)),
  measured: take([...READ_PICTURES.keys()], measuredOf),
  sheets: peopleCompared(),
  tables: tableDigests(),
  held: heldIn(),
  people: take(
    PEOPLE_FAMILIES.map((f) => f.name),
    (_, k) => personOf(PEOPLE_FAMILIES[k]),
  ),
  compared: take(
    COMPARED.map(([name]) => name),
    (_, k) => comparedBy(COMPARED[k]),
  ),
  briefs: take(prompts, briefOf),
});
