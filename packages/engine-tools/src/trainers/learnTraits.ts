import { learnNetwork, type Lesson, type Network, type NetworkLearning } from '@urbild/core';
import {
  colourInput,
  FACE_NUMBERS,
  inSpreads,
  mirrorMap,
  SEEN_HATS,
  SEEN_PATTERNS,
  SEEN_STYLES,
  type ColourReader,
} from '@urbild/engine/tools';
import type { TraitSample } from './sample';

/** Faces differ little and pictures much: few units, a good part of what is seen left out each time. */
const CHOICES: NetworkLearning = { hidden: 32, rounds: 9, rate: 0.002, decay: 0.02, drop: 0.25 };
const NUMBERS: NetworkLearning = { hidden: 32, rounds: 12, rate: 0.002, decay: 0.05, drop: 0.3 };
const PATTERNS: NetworkLearning = { hidden: 16, rounds: 40, rate: 0.003, decay: 0.01, drop: 0.1 };
const COLOURS: NetworkLearning = { hidden: 12, rounds: 40, rate: 0.004, decay: 0.01 };

const both = ({ map, face }: Pick<TraitSample, 'map' | 'face'>) => Float32Array.from([...map, ...face]);
const map = (s: TraitSample) => Float32Array.from(s.map);
const face = (s: TraitSample) => Float32Array.from(s.face);
/** What is told by choosing: classes, what is looked at, what is true (none of the classes where nobody knows), how it is learnt. */
export const TASKS = {
  style: { classes: SEEN_STYLES, of: map, is: (s: TraitSample) => s.truth.style, how: CHOICES },
  hat: { classes: SEEN_HATS, of: map, is: (s: TraitSample) => s.truth.headwear, how: CHOICES },
  beard: { classes: ['no', 'yes'], of: both, is: (s: TraitSample) => s.truth.beard, how: CHOICES },
  glasses: { classes: ['no', 'yes'], of: face, is: (s: TraitSample) => s.truth.glasses, how: CHOICES },
  pattern: {
    classes: SEEN_PATTERNS,
    of: (s: Pick<TraitSample, 'cloth'>) => Float32Array.from(s.cloth ?? []),
    is: (s: TraitSample) => (s.cloth && s.truth.pattern) ?? '',
    how: PATTERNS,
  },
} as const;
export type Task = (typeof TASKS)[keyof typeof TASKS];

/** The samples that tell something for a task. */
export const known = (samples: readonly TraitSample[], { classes, is }: Task) =>
  samples.filter((s) => (classes as readonly string[]).includes(is(s)));

/** Learns to choose. */
export function learnChoices(samples: readonly TraitSample[], task: Task): Network {
  const lessons = known(samples, task).flatMap((s): Lesson[] =>
    [s, { ...s, map: [...mirrorMap(Float32Array.from(s.map))] }].map((one) => ({
      features: task.of(one),
      wanted: task.classes.map((c) => (c === task.is(s) ? 1 : 0)),
    })),
  );
  return learnNetwork(lessons, task.classes, 'choices', task.how);
}

/** Lessons for a colour: what is added to how it looks, so that it is as it is. */
export const colourLessons = (samples: readonly TraitSample[], which: ColourReader): Lesson[] =>
  samples.flatMap((s) => {
    const [seen, truth] = [s.seen[which], s.truth[which]];
    if (!seen || !truth) return [];
    return [{ features: colourInput(seen, s.seen, s.light), wanted: truth.map((v, k) => v - seen[k]) }];
  });
/** Learns a colour itself of how it looks. */
export const learnColour = (samples: readonly TraitSample[], which: ColourReader) =>
  learnNetwork(colourLessons(samples, which), ['L', 'a', 'b'], 'numbers', COLOURS);

/** Learns the numbers of a face. */
export function learnNumbers(samples: readonly TraitSample[]): Network {
  const numbered = samples.filter((s) => s.truth.numbers);
  const lessons = numbered.map((s) => ({ features: face(s), wanted: inSpreads(s.truth.numbers!) }));
  return learnNetwork(lessons, FACE_NUMBERS, 'numbers', NUMBERS);
}
