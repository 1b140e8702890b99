import type {
  Action,
  Expression,
  Framing,
  Medium,
  PlaceName,
  SceneBrief,
  Season,
  SubjectName,
  TextSpan,
  ThingName,
  Time,
  UnderstoodSpan,
  View,
  Weather,
} from './brief';
import { GRAMMAR, NEGATIONS, VOCABULARY, type Axis } from './vocabulary';

/** The longest prompt that is read, in characters. */
export const MAX_PROMPT_LENGTH = 2000;

interface Meaning {
  readonly axis: Axis;
  readonly value: string;
}

const LONGEST = 5;
const PHRASES: ReadonlyMap<string, readonly Meaning[]> = buildPhrases();

function buildPhrases(): Map<string, Meaning[]> {
  const phrases = new Map<string, Meaning[]>();
  for (const [axis, lines] of Object.entries(VOCABULARY) as [Axis, Record<string, readonly string[]>][]) {
    for (const [value, words] of Object.entries(lines)) {
      for (const word of words) {
        const key = word.replace(/-/g, ' ');
        phrases.set(key, [...(phrases.get(key) ?? []), { axis, value }]);
      }
    }
  }
  return phrases;
}

/** The plain forms that a word may stand for: plural, -ing, -ed, doubled consonants. */
export function plainForms(word: string): string[] {
  const forms = [word];
  const add = (stem: string) => {
    if (stem.length < 2) return;
    forms.push(stem, stem + 'e');
    if (/([bdfglmnprt])\1$/.test(stem)) forms.push(stem.slice(0, -1));
  };
  if (word.endsWith('ies')) forms.push(word.slice(0, -3) + 'y');
  if (word.endsWith('es')) forms.push(word.slice(0, -2));
  if (word.endsWith('s') && !word.endsWith('ss')) forms.push(word.slice(0, -1));
  if (word.endsWith('ing')) add(word.slice(0, -3));
  if (word.endsWith('ed')) add(word.slice(0, -2));
  return forms;
}

interface Token extends TextSpan {
  readonly word: string;
}

function tokenise(text: string): Token[] {
  const tokens: Token[] = [];
  for (const match of text.matchAll(/[\p{L}\p{N}]+/gu)) {
    const start = match.index;
    tokens.push({ start, end: start + match[0].length, text: match[0], word: match[0].toLowerCase() });
  }
  return tokens;
}

function lookUp(tokens: readonly Token[], at: number): { count: number; meanings: readonly Meaning[] } | undefined {
  for (let count = Math.min(LONGEST, tokens.length - at); count >= 1; count--) {
    const words = tokens.slice(at, at + count).map((t) => t.word);
    const variants = [words.join(' ')];
    for (const form of plainForms(words[count - 1])) variants.push([...words.slice(0, -1), form].join(' '));
    if (count > 1) for (const form of plainForms(words[0])) variants.push([form, ...words.slice(1)].join(' '));
    for (const key of variants) {
      const meanings = PHRASES.get(key);
      if (meanings) return { count, meanings };
    }
  }
  return undefined;
}

/**
 * Reads a prompt: words -> what to draw. `avoid` holds words that shall not appear; a "no ..." or "without ..." in the
 * text does the same. Unknown words are reported in `unheard`, never silently dropped. Text beyond
 * {@link MAX_PROMPT_LENGTH} characters is not read. Deterministic; never throws.
 */
export function understand(prompt: string, avoid = ''): SceneBrief {
  const text = prompt.slice(0, MAX_PROMPT_LENGTH);
  const tokens = tokenise(text);
  const heard = new Map<Axis, string[]>();
  const refused = new Set<string>();
  const understood: UnderstoodSpan[] = [];
  const unheard: TextSpan[] = [];
  const refuse = (meanings: readonly Meaning[]) => meanings.forEach((m) => refused.add(`${m.axis}: ${m.value}`));
  const avoided = tokenise(avoid.slice(0, MAX_PROMPT_LENGTH));
  for (let i = 0; i < avoided.length;) {
    const found = lookUp(avoided, i);
    if (found) refuse(found.meanings);
    i += found?.count ?? 1;
  }
  let negated = false;
  for (let i = 0; i < tokens.length;) {
    const token = tokens[i];
    if (NEGATIONS.has(token.word)) {
      negated = true;
      i++;
      continue;
    }
    const found = lookUp(tokens, i);
    if (found) {
      const end = tokens[i + found.count - 1].end;
      const means = found.meanings.map((m) => `${m.axis}: ${m.value}`).join(', ');
      understood.push({
        start: token.start,
        end,
        text: text.slice(token.start, end),
        means: negated ? `no ${means}` : means,
      });
      if (negated) refuse(found.meanings);
      else for (const { axis, value } of found.meanings) heard.set(axis, [...(heard.get(axis) ?? []), value]);
      negated = false;
      i += found.count;
      continue;
    }
    if (!GRAMMAR.has(token.word)) {
      unheard.push({ start: token.start, end: token.end, text: token.text });
      negated = false;
    }
    i++;
  }
  const all = (axis: Axis) => (heard.get(axis) ?? []).filter((value) => !refused.has(`${axis}: ${value}`));
  return { text, understood, unheard, ...decide(all) };
}

/** One value per axis: the first one heard, except where words name two things at once. */
function decide(all: (axis: Axis) => string[]): Omit<SceneBrief, 'text' | 'understood' | 'unheard'> {
  const subjects = [...new Set(all('subject'))] as SubjectName[];
  const people = subjects.filter((s) => s !== 'Brom');
  const times = all('time');
  const weather = (all('weather')[0] ?? 'clear') as Weather;
  const season = (all('season')[0] ?? (weather === 'snow' ? 'winter' : 'summer')) as Season;
  const actions = all('action');
  const places = all('place');
  const place = people.length && places.length > 1 ? places.find((p) => p !== 'open sea') : places[0];
  return {
    time: (times.includes('moonlight') ? 'moonlight' : (times[0] ?? 'noon')) as Time,
    weather,
    season,
    place: (place ?? (actions.includes('pole') ? 'reed channel' : 'marsh')) as PlaceName,
    framing: (all('framing')[0] ?? 'full figure') as Framing,
    action: (actions[0] ?? 'stand') as Action,
    view: (all('view')[0] ?? 'three-quarter') as View,
    expression: (all('expression')[0] ?? 'smile') as Expression,
    subjects,
    things: [...new Set(all('thing'))] as ThingName[],
    medium: all('medium')[0] as Medium | undefined,
  };
}
