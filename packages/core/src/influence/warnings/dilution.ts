import { CHANNELS } from '../../mix/gives/give';
import { actingShares } from './actingShares';
import { percent, type Warner } from './warning';

/** Many references and none that leads. */
export const dilution: Warner = ({ mix, acting }) => {
  const all = CHANNELS.flatMap((channel) => actingShares(mix, channel).map((shares) => ({ channel, ...shares })));
  for (const { channel, influences } of all) {
    const sharing = mix.influences.filter((i, k) => acting.includes(i) && influences[k] > 0.02);
    const best = Math.max(0, ...influences);
    if (sharing.length < 3 || best >= 0.4) continue;
    const weakest = mix.influences[influences.indexOf(Math.min(...influences.filter((s) => s > 0.02)))];
    return [
      {
        kind: 'dilution',
        influences: sharing.map((i) => i.id),
        cause: `${sharing.length} references share the ${channel}; the strongest has ${percent(best)}.`,
        fix: { label: 'Switch the weakest off', changes: [{ influence: weakest.id, set: { on: false } }] },
      },
    ];
  }
  return [];
};
