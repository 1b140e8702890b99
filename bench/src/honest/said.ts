import { altTextOf, promptsFor, seenPeople, understand } from '@urbild/core';
import path from 'path';
import { captionedSheet, type Captioned } from './captioned';
import { foreignPictures, type Foreign } from './foreignPictures';
import type { Line } from './line';

/** Pictures of each of the sixteen families: 208 in all; of the first few the sentences are printed. */
const EACH = 13;
const PRINTED = 3;
const FIRST_SEED = 60;

/** What is said of a foreign picture: the sentence for those who cannot see it, and its prompts. */
function saidOf({ made, described, faces, seen, traits }: Foreign): { sentence: string; prompts: string[] } {
  const people = seenPeople({ faces, joints: seen.joints, traits });
  const plainGround = described.checks.some(({ id }) => id === 'plain background');
  return {
    sentence: altTextOf(made.name, described.reading, { seen: people, plainGround }),
    prompts: promptsFor(described.reading, people),
  };
}

/** Whether a sentence has a place or a time of day, of which no family shows any. */
const invents = (texts: readonly string[]): boolean =>
  texts.some((text) => understand(text).understood.some(({ means }) => /^(place|time): /.test(means)));

/** Checks of foreign pictures as a table, and what is said of them: nothing serious is wrong with any, and none shows a place that we know. */
export async function saidOfForeign(print: (text: string) => void, keep?: string): Promise<Line[]> {
  const tables = new Map<string, Map<string, number>>();
  let [all, serious, invented, wrongPeople] = [0, 0, 0, 0];
  const shown: Captioned[] = [];
  for await (const foreign of foreignPictures(EACH, FIRST_SEED)) {
    const { family, made, described } = foreign;
    const nth = all++ % EACH;
    const table = tables.get(family.name) ?? new Map<string, number>();
    tables.set(family.name, table);
    for (const { id, severity } of described.checks) {
      const name = severity === 'serious' ? `${id}, serious` : id;
      table.set(name, (table.get(name) ?? 0) + 1);
      if (severity === 'serious') serious++;
    }
    const { sentence, prompts } = saidOf(foreign);
    if (invents([sentence.slice(made.name.length), ...prompts])) invented++;
    if (seenPeople({ ...foreign, joints: foreign.seen.joints }).people > made.truth.people) wrongPeople++;
    if (nth >= PRINTED) continue;
    print(`  ${sentence}${prompts.length ? ` | ${prompts.at(-1)}` : ''}`);
    shown.push({ made, caption: sentence });
  }
  if (keep) await captionedSheet(shown, path.join(keep, 'said.png'));
  for (const [name, table] of tables)
    print(`  ${name}: ${[...table].map(([check, n]) => `${check} ${n}`).join(', ') || 'nothing wrong'} of ${EACH}`);
  return [
    { what: `serious faults that ${all} sound pictures are said to have`, figure: serious, most: 0 },
    { what: `pictures of ${all} with a place or a time that is invented`, figure: invented, most: 0 },
    {
      what: `pictures of ${all} with more people told than there are`,
      figure: wrongPeople,
      most: Math.floor(all * 0.02),
    },
  ];
}
