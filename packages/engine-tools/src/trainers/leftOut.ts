import { answerOf, median, oddsOf, type Lab } from '@urbild/core';
import { colourInput, COLOUR_READERS, SEEN_STYLES, wornHair, type ColourReader } from '@urbild/engine/tools';
import { colourLessons, known, learnChoices, learnColour, TASKS } from './learnTraits';
import type { TraitSample } from './sample';

const gap = (a: Lab, b: Lab) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const percent = (n: number, of: number) => (of ? `${Math.round((100 * n) / of)} %` : '-');

/** What was said of one look, how sure that was, and whether it is so. */
export interface Said {
  readonly sure: number;
  readonly right: boolean;
}

/** How the pictures of one family are read by what was learnt from all others. */
export interface LeftOut {
  readonly family: string;
  readonly looks: number;
  /** What is chosen, by its name. */
  readonly choices: Readonly<Record<string, readonly Said[]>>;
  /** How far colours are off, OKLab. */
  readonly colours: Readonly<Record<string, readonly number[]>>;
}

/** Hair that was found is believed so far: of a look only its areas are kept, not how it stands out. */
const CLEAR = 0.8;

/** Learns from some looks and reads others. */
export function leaveOut(family: string, unseen: readonly TraitSample[], from: readonly TraitSample[]): LeftOut {
  const choices: Record<string, Said[]> = { length: [], bald: [], 'hat or none': [] };
  for (const [what, task] of Object.entries(TASKS)) {
    const own = known(unseen, task);
    if (!own.length) continue;
    const network = learnChoices(from, task);
    choices[what] = own.map((s) => {
      const odds = oddsOf(answerOf(network, task.of(s)));
      const k = odds.indexOf(Math.max(...odds));
      const [is, wanted] = [task.classes[k], task.is(s)];
      if (what === 'hat')
        choices['hat or none'].push({ sure: odds[k], right: (is === 'none') === (wanted === 'none') });
      if (what === 'style') lengthOfLook(s, odds, choices);
      return { sure: odds[k], right: is === wanted };
    });
  }
  const colours: Record<string, number[]> = {
    hair: unseen.flatMap((s) =>
      s.seen.hair && s.truth.hair && s.truth.headwear === 'none' ? [gap(s.seen.hair, s.truth.hair)] : [],
    ),
  };
  for (const which of COLOUR_READERS) colours[which] = colourErrors(which, unseen, from);
  return { family, looks: unseen.length, choices, colours };
}

/** The length of hair as readers tell it: by style and by what was found. */
function lengthOfLook(s: TraitSample, odds: Float32Array, into: Record<string, Said[]>): void {
  const [length, above, beside, below] = s.hair;
  const found = s.hair.length
    ? { length: length < 0 ? undefined : length, above, beside, below, clear: CLEAR }
    : undefined;
  const read = wornHair(SEEN_STYLES, odds, found as Parameters<typeof wornHair>[2]);
  const truth = ['long', 'plait', 'two plaits'].includes(s.truth.style)
    ? 'long'
    : s.truth.style === 'bald'
      ? 'none'
      : 'short';
  into.length.push({ sure: read.lengthSure, right: read.length === truth });
  into.bald.push({ sure: read.lengthSure, right: (read.length === 'none') === (truth === 'none') });
}

function colourErrors(which: ColourReader, unseen: readonly TraitSample[], from: readonly TraitSample[]): number[] {
  if (!colourLessons(unseen, which).length) return [];
  const network = learnColour(from, which);
  return unseen.flatMap((s) => {
    const [seen, truth] = [s.seen[which], s.truth[which]];
    if (!seen || !truth) return [];
    const by = answerOf(network, colourInput(seen, s.seen, s.light));
    return [gap(seen.map((v, k) => v + by[k]) as unknown as Lab, truth)];
  });
}

const CHOSEN = ['style', 'length', 'bald', 'beard', 'glasses', 'hat or none', 'hat', 'pattern'];

/** All families that were left out, as a table in Markdown. */
export function leftOutTable(families: readonly LeftOut[]): string {
  const rows = families.map(({ family, looks, choices, colours }) => [
    `${family} (${looks})`,
    ...['hair', 'skin', 'upper'].map((c) => (colours[c].length ? median([...colours[c]]).toFixed(3) : '-')),
    ...CHOSEN.map((c) => percent((choices[c] ?? []).filter((s) => s.right).length, (choices[c] ?? []).length)),
  ]);
  const head = ['left out (looks)', 'hair', 'skin', 'clothes', ...CHOSEN];
  return [head, head.map(() => '---'), ...rows].map((row) => `| ${row.join(' | ')} |`).join('\n');
}

/** The edges of the bins of a calibration curve. */
const BINS = [0, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0001];

/** How often what is said with some sureness is so, over families and choices. */
export function calibration(families: readonly LeftOut[]): string {
  const all = families.flatMap(({ choices }) => Object.values(choices).flat());
  const rows = BINS.slice(1).map((to, k) => {
    const own = all.filter((s) => s.sure >= BINS[k] && s.sure < to);
    return `| ${BINS[k].toFixed(1)} to ${Math.min(1, to).toFixed(1)} | ${own.length} | ${percent(own.filter((s) => s.right).length, own.length)} |`;
  });
  return ['| said with | readings | right |', '| --- | --- | --- |', ...rows].join('\n');
}
