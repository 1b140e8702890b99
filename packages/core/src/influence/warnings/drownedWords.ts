import { meanShares } from '../formula';
import { percent, type Warner } from './warning';

/** Words that have hardly any say. */
export const drownedWords: Warner = ({ mix, acting, name }) => {
  for (const channel of ['layout', 'identity'] as const) {
    const { words, influences } = meanShares(mix, channel);
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
