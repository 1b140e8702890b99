import { type Warner } from './warning';

/** Words that ask for one medium and looks that are another. */
export const wordLookClash: Warner = ({ acting, context: { wordMedium, mediumOf }, name }) => {
  if (!wordMedium || !mediumOf) return [];
  return acting
    .filter((i) => (i.gives === 'look' || i.gives === 'everything') && mediumOf[i.id] && mediumOf[i.id] !== wordMedium)
    .map((i) => ({
      kind: 'word-look-clash',
      influences: [i.id],
      cause: `The words ask for ${wordMedium}, ${name(i.id)} is ${mediumOf[i.id]}.`,
      fix: {
        label: `Let ${name(i.id)} give its palette only`,
        changes: [{ influence: i.id, set: { gives: 'palette' } }],
      },
    }));
};
