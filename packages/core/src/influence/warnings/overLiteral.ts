import { channelsOf } from '../formula';
import { CHANNELS } from '../../mix/gives/give';
import { actingShares } from './actingShares';
import { toHundredths, type Warner } from './warning';

/** References that together pull too hard. */
export const overLiteral: Warner = ({ mix, acting }) => {
  for (const channel of CHANNELS) {
    const over = Math.max(...actingShares(mix, channel).map((shares) => shares.over));
    if (over <= 1.6) continue;
    const pulling = acting.filter((i) => channelsOf(i.gives).includes(channel));
    return [
      {
        kind: 'over-literal',
        influences: pulling.map((i) => i.id),
        cause: `Together the references pull ${over.toFixed(1)} times on ${channel}: pieces of them will be copied.`,
        fix: {
          label: 'Scale them down to 1',
          changes: pulling.map((i) => ({ influence: i.id, set: { weight: toHundredths(i.weight / over) } })),
        },
      },
    ];
  }
  return [];
};
