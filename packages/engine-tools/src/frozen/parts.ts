/** What parts of the engine measure on the way, before thresholds hide how much it was: a changed number changes them though no picture does. */
import { clonePicture, MEAN_FACE, type Picture } from '@urbild/core';
import { frameOfBox, PALETTES, readPicture, readTraits, shapeFaults } from '@urbild/engine';
import {
  changedOver,
  clothSeen,
  colourful,
  contourLines,
  detailMask,
  endsOf,
  environmentLike,
  evened,
  eyeSeen,
  faceFeatures,
  fillHoles,
  fillShape,
  flowStrokes,
  groupsOf,
  hairSeen,
  headField,
  holdForm,
  inksOf,
  lightSide,
  lightStats,
  linesOf,
  lookCast,
  matteOf,
  measureCloth,
  measured,
  middlesOf,
  mixLight,
  prepareReference,
  ranksOf,
  silhouette,
  stageMediumFor,
  superpixels,
  thinned,
  withoutCast,
  withoutPeople,
} from '@urbild/engine/tools';
import { digestOf } from './digest';

type Digests = Readonly<Record<string, string>>;
const digests = (of: Readonly<Record<string, unknown>>): Digests =>
  Object.fromEntries(Object.entries(of).map(([name, value]) => [name, digestOf(value)]));

/** What is measured of a picture as a look: lines, ends, surface, manner, inks and the medium it would be drawn in. */
function lookParts(name: string, picture: Picture): Record<string, unknown> {
  // what is kept of a content must not be that of its larger picture
  const reference = prepareReference(`${name}, to be measured`, picture, 200);
  const { swatches, tails, stroked } = measured(reference);
  const alone = [{ reference, share: 0.8 }];
  const { ridges, extremes, surface, regions, manner } = reference;
  return {
    reference: [ridges, extremes, surface, regions, manner],
    inks: [swatches(), tails(), stroked(), inksOf(alone), stageMediumFor(alone)],
  };
}

/** What is measured of the areas that were seen in a picture. */
function areaParts(picture: Picture): Record<string, unknown> {
  const seen = readPicture(picture);
  const { planes, width, height, forms } = seen;
  return {
    superpixels: superpixels(planes, width, height, { count: 200, compact: 9 }),
    flow: [0.3, 0.9].map((near) => flowStrokes(seen, near)),
    facts: [ranksOf(seen), middlesOf(seen), groupsOf(seen), linesOf(seen)],
    ends: forms.map((form, k) => form && endsOf(seen, k)),
    unpeopled: withoutPeople(seen, { left: 0.3, top: 0.2, right: 0.6, bottom: 0.9 }),
  };
}

/** A picture with so much of its colour, 0..1, left. */
const paler = ({ width, height, planes: [l, a, b] }: Picture, left: number): Picture => ({
  width,
  height,
  planes: [l, a.map((v) => v * left), b.map((v) => v * left)],
});

/** What is done to a picture as a stage, another one beside it. */
function stageParts(picture: Picture, other: Picture): Record<string, unknown> {
  const { width, height } = picture;
  const shape = silhouette(other, width, height);
  const disc = Float32Array.from({ length: width * height }, (_, i) =>
    Number(Math.hypot((i % width) / width - 0.5, Math.floor(i / width) / height - 0.5) < 0.2),
  );
  const light = [picture, other].map((p) => environmentLike(p, 'autumn'));
  const cast = lookCast(picture, other);
  const held = clonePicture(other);
  holdForm(held, picture, 0.7);
  return {
    detail: [detailMask(picture), contourLines(picture, 1.2)],
    shape: [shape, shapeFaults(other, width, height), fillShape(picture, shape, 0.6, false).planes],
    light: [lightSide(picture), light, mixLight(light[0], light[1], 0.4), lightStats(picture)],
    ground: [fillHoles(picture, disc).planes, changedOver(picture, other, picture, 0.5).planes],
    held: held.planes,
    cast: [cast, withoutCast(picture, cast).planes],
    // the paler, the nearer to one ink: steps in between, where the measure is neither 0 nor 1
    tint: [
      colourful(picture),
      ...[0.02, 0.05, 0.1, 0.2].map((k) => colourful(paler(picture, k))),
      thinned(picture).planes,
    ],
  };
}

/** What parts measure of a picture; `other` is one of the same size. */
export const partsOf = (name: string, picture: Picture, other: Picture): Digests =>
  digests({ ...lookParts(name, picture), ...areaParts(picture), ...stageParts(picture, other) });

/** Where the points of a face mesh would lie whose frame is that of {@link FACE_BOX}: no true face, but the same one every time. */
const MESH = Array.from({ length: 478 }, (_, k): [number, number] => [
  0.5 + 0.17 * Math.cos(2.4 * k) * (k / 478),
  0.42 + 0.2 * Math.sin(2.4 * k) * (k / 478),
]);
const FACE_BOX = { left: 0.3, top: 0.25, right: 0.7, bottom: 0.65 };

/** What parts measure of somebody's head whose face lies in a known box. */
export function headPartsOf(picture: Picture): Digests {
  const frame = frameOfBox(FACE_BOX);
  const even = evened(picture, frame);
  const matte = matteOf(picture, frame);
  const features = faceFeatures(even, frame, matte);
  const field = headField(even, frame, matte);
  const [hair, under] = [false, true].map((covered) => hairSeen(field, features.skin, covered));
  return digests({
    even: [even.planes, matte],
    features,
    field,
    hair: [hair, under],
    cloth: [clothSeen(field, features.skin, hair.parts), measureCloth(picture, frame, field, hair.parts)],
    eye: eyeSeen(picture, MESH, features.skin),
    meshed: readTraits(picture, { ...frame, yaw: 4 }, { mesh: MESH }),
  });
}

/** Tables that were made by measuring once. */
export const tableDigests = (): Digests => digests({ MEAN_FACE, PALETTES });
