/**
 * npm run train-traits -- --samples a.jsonl,b.jsonl [--only-tell | --only-learn]: learns to read hair, headwear, beard, glasses, the numbers of a face and
 * the own colours of skin, hair and clothes from looks that `npm run collect-people` made. First every family is left out once and told how
 * often the others read it right; then all but those that are held out are learnt from, and weights.generated.ts is written.
 */
import {
  answerOf,
  learnNetwork,
  median,
  oddsOf,
  packNetwork,
  type Lab,
  type Lesson,
  type Network,
  type NetworkLearning,
  type PackedNetwork,
} from '@urbild/core';
import { readFileSync, writeFileSync } from 'fs';
import path from 'path';
import { parseArgs } from 'util';
import {
  CAUTION,
  COLOUR_READERS,
  colourInput,
  FACE_NUMBERS,
  inSpreads,
  mirrorMap,
  SEEN_HATS,
  SEEN_STYLES,
  type ColourReader,
} from '@urbild/engine/tools';
import { PEOPLE_FAMILIES } from '../foreign/families';
import type { TraitSample } from './sample';

/** Faces differ little and pictures much: few units, a good part of what is seen left out each time. */
const CHOICES: NetworkLearning = { hidden: 32, rounds: 9, rate: 0.002, decay: 0.02, drop: 0.25 };
const NUMBERS: NetworkLearning = { hidden: 32, rounds: 12, rate: 0.002, decay: 0.05, drop: 0.3 };
const COLOURS: NetworkLearning = { hidden: 12, rounds: 40, rate: 0.004, decay: 0.01 };

const both = ({ map, face }: Pick<TraitSample, 'map' | 'face'>) => Float32Array.from([...map, ...face]);
const map = (s: TraitSample) => Float32Array.from(s.map);
const face = (s: TraitSample) => Float32Array.from(s.face);
const TASKS = {
  style: { classes: SEEN_STYLES, of: map, is: (s: TraitSample) => s.truth.style },
  hat: { classes: SEEN_HATS, of: map, is: (s: TraitSample) => s.truth.headwear },
  beard: { classes: ['no', 'yes'], of: both, is: (s: TraitSample) => s.truth.beard },
  glasses: { classes: ['no', 'yes'], of: face, is: (s: TraitSample) => s.truth.glasses },
} as const;
type Task = (typeof TASKS)[keyof typeof TASKS];

const known = (samples: readonly TraitSample[], { classes, is }: Task) =>
  samples.filter((s) => (classes as readonly string[]).includes(is(s)));

function learnChoices(samples: readonly TraitSample[], task: Task): Network {
  const lessons = known(samples, task).flatMap((s): Lesson[] =>
    [s, { ...s, map: [...mirrorMap(Float32Array.from(s.map))] }].map((one) => ({
      features: task.of(one),
      wanted: task.classes.map((c) => (c === task.is(s) ? 1 : 0)),
    })),
  );
  return learnNetwork(lessons, task.classes, 'choices', CHOICES);
}

/** Lessons for a colour: what is added to how it looks, so that it is as it is. */
const colourLessons = (samples: readonly TraitSample[], which: ColourReader): Lesson[] =>
  samples.flatMap((s) => {
    const [seen, truth] = [s.seen[which], s.truth[which]];
    if (!seen || !truth) return [];
    return [{ features: colourInput(seen, s.seen, s.light), wanted: truth.map((v, k) => v - seen[k]) }];
  });
const learnColour = (samples: readonly TraitSample[], which: ColourReader) =>
  learnNetwork(colourLessons(samples, which), ['L', 'a', 'b'], 'numbers', COLOURS);

const gap = (a: Lab, b: Lab) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const percent = (n: number, of: number) => `${of ? Math.round((100 * n) / of) : '-'} %`;

/** What is read of the people of one family by what was learnt from others. */
function tell(name: string, unseen: readonly TraitSample[], from: readonly TraitSample[]): void {
  const told = Object.entries(TASKS).map(([what, task]) => {
    const network = learnChoices(from, task);
    const own = known(unseen, task);
    const said = own.map((s) => {
      const odds = oddsOf(answerOf(network, task.of(s)));
      const k = odds.indexOf(Math.max(...odds));
      return { right: task.classes[k] === task.is(s), sure: odds[k], is: task.classes[k], wanted: task.is(s) };
    });
    const sure = said.filter((s) => s.sure >= 0.9);
    const any = what === 'hat' ? said.filter((s) => (s.is === 'none') === (s.wanted === 'none')).length : 0;
    return `${what} ${percent(said.filter((s) => s.right).length, said.length)}${what === 'hat' ? ` (any or none ${percent(any, said.length)})` : ''}, of the ${sure.length} sure ones ${percent(sure.filter((s) => s.right).length, sure.length)}`;
  });
  const colours = COLOUR_READERS.flatMap((which) => {
    const lessons = colourLessons(unseen, which);
    if (!lessons.length) return [];
    const network = learnColour(from, which);
    const off = unseen.flatMap((s) => {
      const [seen, truth] = [s.seen[which], s.truth[which]];
      if (!seen || !truth) return [];
      const by = answerOf(network, colourInput(seen, s.seen, s.light));
      return [[gap(seen, truth), gap(seen.map((v, k) => v + by[k]) as unknown as Lab, truth)] as const];
    });
    return [`${which} ${median(off.map((o) => o[0])).toFixed(3)} -> ${median(off.map((o) => o[1])).toFixed(3)}`];
  });
  console.log(`${name} (${unseen.length} looks): ${[...told, ...colours].join('; ')}`);
}

function samplesIn(files: string): TraitSample[] {
  return files.split(',').flatMap((file) =>
    readFileSync(path.resolve(process.env.INIT_CWD ?? process.cwd(), file), 'utf8')
      .split('\n')
      .filter(Boolean)
      .map((line) => JSON.parse(line) as TraitSample),
  );
}

function main(): void {
  const { values } = parseArgs({
    options: { samples: { type: 'string' }, 'only-tell': { type: 'boolean' }, 'only-learn': { type: 'boolean' } },
  });
  if (!values.samples) {
    console.error('--samples (files of npm run collect-people, with commas between them) is needed.');
    process.exit(2);
  }
  const samples = samplesIn(values.samples);
  const families = values['only-learn'] ? [] : [...new Set(samples.map((s) => s.family))];
  for (const family of families)
    // of our painter a fifth of the people is left out, not all: its people are read by what is learnt from it
    if (family === 'painter')
      tell(
        'a fifth of the painter',
        samples.filter((s) => s.family === family && s.who % 5 === 0),
        samples.filter((s) => s.family !== family || s.who % 5 !== 0),
      );
    else
      tell(
        family,
        samples.filter((s) => s.family === family),
        samples.filter((s) => s.family !== family),
      );
  if (values['only-tell']) return;
  // families that are held out are only told of
  const held = new Set(PEOPLE_FAMILIES.filter((f) => f.heldOut).map((f) => f.name));
  const learnt = samples.filter((s) => !held.has(s.family));
  const packed: Record<string, PackedNetwork> = {};
  for (const [name, task] of Object.entries(TASKS)) packed[name] = packNetwork(learnChoices(learnt, task));
  const numbered = learnt.filter((s) => s.truth.numbers);
  const lessons = numbered.map((s) => ({ features: face(s), wanted: inSpreads(s.truth.numbers!) }));
  packed.numbers = packNetwork(learnNetwork(lessons, FACE_NUMBERS, 'numbers', NUMBERS));
  for (const which of COLOUR_READERS) packed[which] = packNetwork(learnColour(learnt, which));
  console.log(`numbers are believed to ${CAUTION}`);
  writeFileSync(
    path.join(__dirname, '../../../engine/src/traits/weights.generated.ts'),
    `/** Written by npm run train-traits. Do not edit. */\nimport type { PackedNetwork } from '@urbild/core';\n\nexport const TRAIT_WEIGHTS: Readonly<Record<${Object.keys(
      packed,
    )
      .map((name) => `'${name}'`)
      .join(' | ')}, PackedNetwork>> = ${JSON.stringify(packed)};\n`,
  );
}
main();
