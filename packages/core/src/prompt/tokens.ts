import type { TextSpan } from './brief';

/** A word of a prompt, or a mark that ends a phrase. */
export interface Token extends TextSpan {
  /** Lower case; a comma or full stop stands for itself. */
  readonly word: string;
  readonly mark: boolean;
}

/** Splits a text into words and phrase marks; apostrophes inside a word belong to it, a possessive 's does not. */
export function tokenise(text: string): Token[] {
  const tokens: Token[] = [];
  for (const match of text.matchAll(/[\p{L}\p{N}]+(?:['’](?!s\b)[\p{L}]+)*|[,.;:!?]/gu)) {
    const start = match.index;
    const mark = /^[,.;:!?]$/.test(match[0]);
    tokens.push({
      start,
      end: start + match[0].length,
      text: match[0],
      word: match[0].toLowerCase().replace('’', "'"),
      mark,
    });
  }
  return tokens;
}

/** The plain forms that a word may stand for: plural, -men, -ing, -ed, -en, doubled consonants. */
export function plainForms(word: string): string[] {
  const forms = [word];
  const add = (stem: string) => {
    if (stem.length < 2) return;
    forms.push(stem, stem + 'e');
    if (/([bdfglmnprt])\1$/.test(stem)) forms.push(stem.slice(0, -1));
    if (stem.endsWith('i')) forms.push(stem.slice(0, -1) + 'y');
    if (stem.endsWith('y')) forms.push(stem.slice(0, -1) + 'ie');
  };
  if (word.endsWith('ies')) forms.push(word.slice(0, -3) + 'y');
  if (word.endsWith('ves')) forms.push(word.slice(0, -3) + 'f', word.slice(0, -3) + 'fe');
  if (word.endsWith('es')) forms.push(word.slice(0, -2));
  if (word.endsWith('s') && !word.endsWith('ss')) forms.push(word.slice(0, -1));
  if (/\wmen$/.test(word)) forms.push(word.slice(0, -2) + 'an');
  if (word.endsWith('ing')) add(word.slice(0, -3));
  if (word.endsWith('ed')) add(word.slice(0, -2));
  if (PAST[word]) forms.push(PAST[word]);
  return forms;
}

/** Past forms that no rule finds. */
const PAST: Readonly<Record<string, string>> = {
  sat: 'sit',
  stood: 'stand',
  ran: 'run',
  held: 'hold',
  rode: 'ride',
  slept: 'sleep',
  swam: 'swim',
  flew: 'fly',
  knelt: 'kneel',
  leant: 'lean',
  went: 'go',
  came: 'come',
  lying: 'lie',
  lay: 'lie',
};
