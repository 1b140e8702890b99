import { actingShares } from './actingShares';
import { percent, type Warner } from './warning';

/** Words that have hardly any say. */
export const drownedWords: Warner = ({ mix, acting, name }) => {
  const all = (['layout', 'identity'] as const).flatMap((channel) =>
    actingShares(mix, channel).map((shares) => ({ channel, ...shares })),
  );
  for (const { channel, words, influences } of all) {
    if (words >= 0.15) continue;
    const strongest = mix.influences[influences.indexOf(Math.max(...influences))];
    if (!acting.includes(strongest)) continue;
    return [
      {
        kind: 'drowned-words',
        influences: [strongest.id],
        cause: `The words have ${percent(words)} of the ${channel}: ${name(strongest.id)} decides it.`,
        fix: {
          label: `Halve ${name(strongest.id)}`,
          changes: [{ influence: strongest.id, set: { weight: strongest.weight / 2 } }],
        },
      },
    ];
  }
  return [];
};
