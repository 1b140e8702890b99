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
        cause: causeOf(channel, words, name(strongest.id)),
        fix: {
          label: `Halve ${name(strongest.id)}’s weight`,
          changes: [{ influence: strongest.id, set: { weight: strongest.weight / 2 } }],
        },
      },
    ];
  }
  return [];
};

const MATTERS = { layout: 'where things lie', identity: 'who this is' } as const;

/** What is wrong, and why it matters for the picture. */
function causeOf(channel: keyof typeof MATTERS, words: number, strongest: string): string {
  const say = words < 0.005 ? 'no say' : `only ${percent(words)} of the say`;
  return `The prompt has ${say} in ${MATTERS[channel]}: ${strongest}’s weight takes ${words < 0.005 ? 'all' : 'the rest'} of it.`;
}
