/** Words before which a phrase ends: what stands behind them belongs together. */
const BEGINS_A_PHRASE = new Set(
  'in on at by with from under below beneath above over beside behind before near through across along into onto to towards against around after during while and or but as who that which where when'.split(
    ' ',
  ),
);

/** The most characters of a title of several phrases. */
const ROOM = 40;

/**
 * A title for what a prompt describes: its first clause, by whole phrases as far as they fit into about forty characters, beginning with a
 * capital. The first phrase stands whole however long it is, at most `most` characters, cut between words. Empty for an empty prompt.
 */
export function titleOf(prompt: string, most = 120): string {
  const words = prompt
    .split(/[,;!?\n]|[.:](?=\s|$)/)[0]
    .trim()
    .split(/\s+/);
  let title = '';
  let phrase = '';
  const within = (next: string) => !title || `${title} ${next}`.length <= ROOM;
  for (const word of words) {
    if (phrase && BEGINS_A_PHRASE.has(word.toLowerCase())) {
      if (!within(phrase)) return capital(title);
      title = title ? `${title} ${phrase}` : phrase;
      phrase = word;
    } else phrase = phrase ? `${phrase} ${word}` : word;
  }
  if (within(phrase)) title = title ? `${title} ${phrase}` : phrase;
  return capital(
    title.length > most
      ? title
          .slice(0, most + 1)
          .replace(/\s+\S*$/, '')
          .slice(0, most)
      : title,
  );
}

const capital = (text: string): string => (text[0]?.toUpperCase() ?? '') + text.slice(1);
