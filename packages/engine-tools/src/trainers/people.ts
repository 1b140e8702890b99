import { peopleOf, pictureFromRgba, understand, type Medium, type Picture, type Random } from '@urbild/core';
import { faceOfRecord, paintStage, personFrom, REGION, type FaceFrame, type Person } from '@urbild/engine/tools';

/** A painted person with what is true of it. For learning and for tests, never as input of a reading. */
export interface PaintedPerson {
  readonly picture: Picture;
  readonly rgba: Uint8ClampedArray;
  readonly person: Person;
  /** 1 where a pixel is somebody, from the painter's own labels. */
  readonly figure: Uint8Array;
  /** Where its face really lies; undefined when it is turned away. */
  readonly frame?: FaceFrame;
}

const BODY: ReadonlySet<number> = new Set([
  ...[REGION.skin, REGION.hair, REGION.garment, REGION.eye],
  ...[REGION.legwear, REGION.footwear, REGION.headwear],
]);

const HAIR = [
  'a plait',
  'two plaits',
  'a ponytail',
  'short hair',
  'a bob',
  'curls',
  'a bun',
  'long hair',
  'wavy hair',
  'tousled hair',
  'bald',
];

/** The words for somebody that nobody has seen. */
export function describeSomebody(r: Random): string {
  const style = r.pick(HAIR);
  const who = r.pick(['girl', 'woman', 'old woman', 'boy', 'man', 'old man', 'young woman', 'young man']);
  const colour = r.pick(['blond ', 'red ', 'brown ', 'black ', 'grey ', 'white ', '']);
  const hat = r.chance(0.22) ? ` and a ${r.pick(['straw hat', 'beret', 'knit cap', 'flat cap', 'hat'])}` : '';
  const beard = / ?\bman$/.test(who) && r.chance(0.4) ? ' and a beard' : '';
  const glasses = r.chance(0.25) ? ' and glasses' : '';
  const skin = r.pick(['', '', ' dark-skinned', ' pale', ' brown-skinned']);
  if (style === 'bald') return `a bald${skin} ${who}${beard}${glasses}`;
  const hair = style.endsWith('hair') ? style.replace('hair', `${colour}hair`) : `${colour}hair in ${style}`;
  return `a${skin} ${who} with ${hair}${hat}${beard}${glasses}`;
}

/** Paints somebody; `variant` makes another person of the same description. Undefined when the words name nobody. */
export function paintPersonFrom(
  words: string,
  medium: Medium,
  seed: number,
  variant: number | undefined,
  width = 360,
  height = 450,
): PaintedPerson | undefined {
  const read = understand(words);
  const brief = {
    ...read,
    entities: read.entities.map((e) =>
      e.kind === 'person' && !e.cast && variant !== undefined ? { ...e, variant } : e,
    ),
  };
  const [said] = peopleOf(brief);
  if (!said) return undefined;
  const stage = paintStage(brief, { width, height, seed, medium });
  const marks = stage.figures.find((f) => f.kind === 'person');
  return {
    picture: pictureFromRgba(stage.rgba, width, height),
    rgba: stage.rgba,
    person: personFrom(said),
    figure: stage.labels.map((label) => (BODY.has(label) ? 1 : 0)),
    frame: marks && faceOfRecord(marks, width, height),
  };
}
