import { channelsOf } from '../formula';
import { CHANNELS } from '../../mix/gives/give';
import { MAX_WEIGHT } from '../../mix/influence/weight';
import { actingShares } from './actingShares';
import { overlaps } from './overlaps';
import { percent, toHundredths, type Warner } from './warning';

/** References that have hardly any say. */
export const drownedReferences: Warner = ({ mix, acting, name }) => {
  const best = new Map<string, number>();
  for (const { influences } of CHANNELS.flatMap((channel) => actingShares(mix, channel)))
    mix.influences.forEach((i, k) => best.set(i.id, Math.max(best.get(i.id) ?? 0, influences[k])));
  return acting
    .filter((i) => channelsOf(i.gives).some((c) => overlaps(i, c)) && best.get(i.id)! < 0.1)
    .map((i) => ({
      kind: 'drowned-reference',
      influences: [i.id],
      cause: `${name(i.id)} has at most ${percent(best.get(i.id)!)} of anything: it will hardly be seen.`,
      fix: {
        label: 'Raise it',
        changes: [{ influence: i.id, set: { weight: toHundredths(Math.min(MAX_WEIGHT, i.weight + 0.4)) } }],
      },
    }));
};
