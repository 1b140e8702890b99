import { pictureFromRgba, understand } from '@urbild/core';
import { looksOf, paintStage, peopleBeyond, wordsFound } from '@urbild/engine/tools';
import { mkdir } from 'fs/promises';
import path from 'path';
import sharp from 'sharp';
import type { Line } from './line';
import { PROMPTS } from './prompts';

/** Words that only tie others together or stand for nothing that is seen by itself. */
const TIES = /^(relation|count|hand|shade): /;

const [WIDTH, HEIGHT] = [512, 384];

/**
 * What the scene of every prompt is said to show, printed: `+` what is drawn, `-` what is not, `?` what nobody knows. A word that is marked
 * without a verdict is counted. Whether a verdict is true only the eye can say: `keep` is a folder for the scenes to be looked at.
 */
export async function understoodWords(print: (text: string) => void, keep?: string): Promise<Line[]> {
  let [silent, strangers] = [0, 0];
  if (keep) await mkdir(keep, { recursive: true });
  for (const [k, prompt] of PROMPTS.entries()) {
    const brief = understand(prompt);
    const { seen, rgba } = paintStage(brief, { width: WIDTH, height: HEIGHT, seed: 5 });
    const picture = pictureFromRgba(rgba, WIDTH, HEIGHT);
    const { understood, notDrawn } = wordsFound({ brief, seen, looks: looksOf(seen, picture), colours: [] }, picture);
    const claimed = new Set([...brief.claims, ...notDrawn].map(({ start }) => start));
    const untold = understood.filter(
      ({ start, means }) => !claimed.has(start) && !means.split(', ').every((m) => TIES.test(m)),
    );
    silent += untold.length;
    strangers += Math.abs(peopleBeyond({ brief, seen }));
    print(`  ${k} ${prompt}`);
    print(`    + ${understood.map(({ text }) => text).join(', ')}`);
    if (notDrawn.length) print(`    - ${notDrawn.map(({ text, why }) => `${text}: ${why}`).join(' | ')}`);
    if (brief.unheard.length) print(`    ? ${brief.unheard.map(({ text }) => text).join(', ')}`);
    if (untold.length) print(`    ! ${untold.map(({ text }) => text).join(', ')}`);
    if (!keep) continue;
    const raw = { width: WIDTH, height: HEIGHT, channels: 4 as const };
    await sharp(Buffer.from(rgba.buffer), { raw })
      .png()
      .toFile(path.join(keep, `${String(k).padStart(2, '0')}.png`));
  }
  return [
    { what: `words of ${PROMPTS.length} prompts that are marked without a verdict`, figure: silent, most: 0 },
    { what: 'people whom nobody named, or who appear twice', figure: strangers, most: 0 },
  ];
}
