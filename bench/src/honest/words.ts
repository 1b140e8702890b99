import { understand } from '@urbild/core';
import { paintStage, peopleBeyond, witnessed } from '@urbild/engine/tools';
import type { Line } from './line';
import { PROMPTS } from './prompts';

/** Words that only tie others together or stand for nothing that is seen by itself. */
const TIES = /^(relation|count|hand|shade): /;

/**
 * Every word that is marked as understood is true in the scene: printed prompt by prompt, `+` what is drawn, `-` what is not, `?` what nobody
 * knows. What is silently wrong - neither drawn nor told - is counted.
 */
export function understoodWords(print: (text: string) => void): Line[] {
  let [silent, strangers] = [0, 0];
  for (const prompt of PROMPTS) {
    const brief = understand(prompt);
    const { seen } = paintStage(brief, { width: 512, height: 384, seed: 5 });
    const { drawn, notDrawn } = witnessed(brief, seen);
    const told = new Set([...drawn, ...notDrawn].map(({ start }) => start));
    const untold = brief.understood.filter(
      ({ start, means }) => !told.has(start) && !means.split(', ').every((m) => TIES.test(m)),
    );
    silent += untold.length;
    strangers += Math.abs(peopleBeyond({ brief, seen }));
    print(`  ${prompt}`);
    print(`    + ${drawn.map(({ text, axis }) => `${text} (${axis})`).join(', ')}`);
    if (notDrawn.length) print(`    - ${notDrawn.map(({ text, why }) => `${text}: ${why}`).join(' | ')}`);
    if (brief.unheard.length) print(`    ? ${brief.unheard.map(({ text }) => text).join(', ')}`);
    if (untold.length) print(`    ! ${untold.map(({ text }) => text).join(', ')}`);
  }
  return [
    { what: `words of ${PROMPTS.length} prompts that are marked without a witness`, figure: silent, most: 0 },
    { what: 'people whom nobody named, or who appear twice', figure: strangers, most: 0 },
  ];
}
