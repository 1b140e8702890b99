/**
 * npm run bench:hold [-- --only held --weight 1 --looks 0,3 --stages 1 --keep DIR]: whether figures and faces hold under twelve foreign
 * looks over eight stages, whether two looks together are no muddier than each alone, and whether a ground that is replaced behind somebody
 * leaves no rim of the old one; fails where one does not.
 */
import { parseArgs } from 'util';
import { clean } from './clean';
import { held } from './held';
import { rims } from './rims';
import { LOOKS, STAGES } from './takes';

const { values } = parseArgs({
  options: {
    only: { type: 'string' },
    weight: { type: 'string', default: '1' },
    keep: { type: 'string' },
    looks: { type: 'string' },
    stages: { type: 'string' },
  },
});
const chosen = <T>(all: readonly T[], which?: string): T[] =>
  all.filter((_, k) => !which || which.split(',').includes(String(k)));

async function main(): Promise<void> {
  const looks = chosen(LOOKS, values.looks);
  const good: boolean[] = [];
  const wanted = (part: string) => !values.only || values.only === part;
  if (wanted('held'))
    good.push(await held(looks, chosen(STAGES, values.stages), { weight: Number(values.weight), keep: values.keep }));
  if (wanted('clean')) good.push(await clean(looks));
  if (wanted('rims')) good.push(await rims(values.keep));
  process.exit(good.every(Boolean) ? 0 : 1);
}

void main();
