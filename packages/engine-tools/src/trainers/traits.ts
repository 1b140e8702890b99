/**
 * npm run train-traits -- --samples a.jsonl,b.jsonl [--only-tell | --only-learn]: learns to read hair, headwear, beard, glasses, the numbers of a face and
 * the own colours of skin, hair and clothes from looks that `npm run collect-people` made. First every family is left out once and told how
 * often the others read it right; then all but those that are held out are learnt from, and weights.generated.ts is written.
 */
import { packNetwork, type PackedNetwork } from '@urbild/core';
import { CAUTION, COLOUR_READERS } from '@urbild/engine/tools';
import { readFileSync, writeFileSync } from 'fs';
import path from 'path';
import { parseArgs } from 'util';
import { PEOPLE_FAMILIES } from '../foreign/families';
import { calibration, leaveOut, leftOutTable, type LeftOut } from './leftOut';
import { learnChoices, learnColour, learnNumbers, TASKS } from './learnTraits';
import type { TraitSample } from './sample';

function samplesIn(files: string): TraitSample[] {
  return files.split(',').flatMap((file) =>
    readFileSync(path.resolve(process.env.INIT_CWD ?? process.cwd(), file), 'utf8')
      .split('\n')
      .filter(Boolean)
      .map((line) => JSON.parse(line) as TraitSample),
  );
}

/** Every family read by what is learnt from all others; of our painter a fifth of the people, for its people are read by what is learnt from it. */
function familiesLeftOut(samples: readonly TraitSample[]): LeftOut[] {
  return [...new Set(samples.map((s) => s.family))].map((family) => {
    const isOut = (s: TraitSample) => s.family === family && (family !== 'painter' || s.who % 5 === 0);
    const [unseen, from] = [samples.filter(isOut), samples.filter((s) => !isOut(s))];
    const left = leaveOut(family === 'painter' ? 'a fifth of the painter' : family, unseen, from);
    console.log(leftOutTable([left]).split('\n').at(-1));
    return left;
  });
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
  if (!values['only-learn']) {
    const told = familiesLeftOut(samples);
    console.log(`${leftOutTable(told)}\n\n${calibration(told)}`);
  }
  if (values['only-tell']) return;
  // families that are held out are only told of
  const held = new Set(PEOPLE_FAMILIES.filter((f) => f.heldOut).map((f) => f.name));
  const learnt = samples.filter((s) => !held.has(s.family));
  const packed: Record<string, PackedNetwork> = {};
  for (const [name, task] of Object.entries(TASKS)) packed[name] = packNetwork(learnChoices(learnt, task));
  packed.numbers = packNetwork(learnNumbers(learnt));
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
