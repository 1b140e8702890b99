/** npm run bench:honest [-- --only words,lost --keep DIR]: what the page says, held against what is so; fails where a threshold is missed */
import { parseArgs } from 'util';
import { arrivals } from './arrival';
import { doubles } from './doubles';
import { kinds } from './kinds';
import { holds, told, type Line } from './line';
import { lostThings } from './lost';
import { rightPeople } from './people';
import { foreignSeries } from './series';
import { saidOfForeign } from './said';
import { understoodWords } from './words';

const { values } = parseArgs({ options: { only: { type: 'string' }, keep: { type: 'string' } } });
const only = values.only?.split(',');
const print = (text: string) => console.log(text);

/** Every part by the name that --only takes. */
const PARTS: Readonly<Record<string, () => Line[] | Promise<Line[]>>> = {
  words: () => understoodWords(print, values.keep),
  arrival: () => arrivals(print),
  people: () => rightPeople(print),
  doubles: () => doubles(print),
  kinds: () => kinds(print),
  said: () => saidOfForeign(print, values.keep),
  series: () => foreignSeries(print),
  lost: () => lostThings(print, values.keep),
};

async function run(): Promise<void> {
  const lines: Line[] = [];
  for (const [name, part] of Object.entries(PARTS)) {
    if (only && !only.includes(name)) continue;
    print(`\n${name}`);
    lines.push(...(await part()));
  }
  print(`\n${lines.map(told).join('\n')}`);
  process.exit(lines.every(holds) ? 0 : 1);
}

void run();
