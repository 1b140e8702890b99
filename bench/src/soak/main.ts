/**
 * npm run soak: long campaigns against the built server and page. Each prints its thresholds with their figures; the process fails when
 * one is missed. Names as arguments run only those, a number after a colon is how often: `npm run soak -- kills:20 drafts:200`.
 */
import { drafts } from './drafts';
import { fuzz } from './fuzz';
import { prepareFiles } from './hostileFiles';
import { kills } from './kills';
import { page } from './page';
import { missedSoFar } from './report';
import { room } from './room';

const CAMPAIGNS: Readonly<Record<string, { usual: number; run: (times: number) => Promise<void> }>> = {
  kills: { usual: 200, run: (times) => kills(times) },
  drafts: { usual: 2000, run: (times) => drafts(times) },
  fuzz: { usual: 5000, run: (times) => fuzz(times, Math.ceil(times / 10)) },
  page: { usual: 300, run: (times) => page(times) },
  room: { usual: 1, run: () => room() },
};

async function main(): Promise<void> {
  await prepareFiles();
  const wanted = process.argv.slice(2).map((word) => word.split(':'));
  for (const [name, { usual, run }] of Object.entries(CAMPAIGNS)) {
    const asked = wanted.find(([n]) => n === name);
    if (wanted.length && !asked) continue;
    const times = Number(asked?.[1] ?? usual);
    console.log(`\n== ${name}: ${times}`);
    await run(times);
  }
  const missed = missedSoFar();
  console.log(missed ? `\n${missed} thresholds missed` : '\nall thresholds held');
  process.exit(missed ? 1 : 0);
}

void main();
