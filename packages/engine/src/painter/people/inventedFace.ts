import { clamp, Random } from '@urbild/core';
import type { Person } from './person';

/** Heights of a head at which a jaw has a width of its own. */
const JAW = [0.3, 0.36, 0.42, 0.46] as const;

/** Somebody made up, with a face that is more than the usual one of their age and sex: the same number, the same face. */
export function withInventedFace(person: Person, seed: number): Person {
  const r = new Random(seed);
  const about = (spread: number) => 1 + clamp(r.normal(), -2, 2) * spread;
  const { face, eyes, brow, nose, mouth } = person;
  const long = about(0.035);
  const square = about(0.05);
  const point = about(0.06);
  return {
    ...person,
    face: {
      ...face,
      width: face.width / long,
      length: face.length * long,
      outline: JAW.map((y, k) => [y, square * (1 + (point - 1) * (k / (JAW.length - 1)))]),
    },
    eyes: { ...eyes, size: eyes.size * about(0.05), spacing: eyes.spacing * about(0.04), open: about(0.1) },
    brow: { ...brow, lift: 0.012 * r.bell(), thickness: brow.thickness * about(0.12) },
    nose: { ...nose, width: nose.width * about(0.1), reach: clamp(about(0.07), 0.85, 1.15) },
    mouth: {
      ...mouth,
      width: mouth.width * about(0.08),
      fullness: mouth.fullness * about(0.15),
      drop: 0.01 * r.bell(),
    },
  };
}
