/** Of a person, what a text can name. */
export interface Named {
  readonly id: string;
  readonly name: string;
}

/** Somebody who is named in a text with an @ before the name, and where: code units of the text, the @ included. */
export interface Mention {
  readonly person: string;
  readonly from: number;
  readonly to: number;
}

const LETTER = /[\p{L}\p{N}]/u;
const isLetter = (text: string, at: number): boolean => LETTER.test(text.charAt(at));
const same = (a: string, b: string): boolean => a.localeCompare(b, undefined, { sensitivity: 'accent' }) === 0;

/**
 * Who is named in a text as "@Petra Wild", in the order of the text; capitals do not matter. Of several names that fit, the longest
 * counts. An @ in the middle of a word, as in an address, names nobody; neither does a name that goes on as another word.
 */
export function mentionsIn(text: string, people: readonly Named[]): Mention[] {
  const longest = people.filter((p) => p.name).sort((a, b) => b.name.length - a.name.length);
  const found: Mention[] = [];
  for (let at = text.indexOf('@'); at >= 0; at = text.indexOf('@', at + 1)) {
    if (at > 0 && isLetter(text, at - 1)) continue;
    const who = longest.find(({ name }) => {
      const end = at + 1 + name.length;
      return same(text.slice(at + 1, end), name) && !isLetter(text, end);
    });
    if (who) found.push({ person: who.id, from: at, to: at + 1 + who.name.length });
  }
  return found;
}

/** A name that somebody is writing: from the @ to the caret. */
export interface BegunMention {
  readonly from: number;
  readonly to: number;
  /** Those whose name, or a word of it, begins so; in the order of their names. */
  readonly fits: readonly Named[];
}

/** The name that is being written before a caret, 0..the length of the text; undefined where none is, or it fits nobody. */
export function begunMention(text: string, caret: number, people: readonly Named[]): BegunMention | undefined {
  const from = text.lastIndexOf('@', caret - 1);
  if (from < 0 || caret < 1 || (from > 0 && isLetter(text, from - 1))) return undefined;
  const begun = text.slice(from + 1, caret);
  if (begun.includes('\n')) return undefined;
  const starts = (name: string) => same(name.slice(0, begun.length), begun);
  const fits = people
    .filter(({ name }) => starts(name) || name.split(/\s+/).some(starts))
    .sort((a, b) => a.name.localeCompare(b.name));
  // a name that is finished needs no help
  if (!fits.length || fits.some(({ name }) => same(name, begun.trimEnd()))) return undefined;
  return { from, to: caret, fits };
}
