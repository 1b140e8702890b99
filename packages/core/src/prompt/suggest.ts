import { hashText } from '../maths/random';
import type { PlaceName, SceneBrief } from './brief';
import { nearInMeaning } from './english/near';
import { VOCABULARY } from './lexicon';
import { plainForms } from './tokens';
import { INDOORS, understand } from './understand';

/** Axes whose words say what can be drawn; words of grammar are no suggestion. */
const DRAWN = [
  'creature',
  'thing',
  'place',
  'garment',
  'action',
  'time',
  'weather',
  'season',
  'colour',
  'person',
] as const;

/** Edits between two words: letters put in, left out, changed or swapped (Damerau 1964, Wagner and Fischer 1974). */
function edits(a: string, b: string): number {
  const rows = Array.from({ length: a.length + 1 }, (_, i) => [i, ...new Array<number>(b.length).fill(0)]);
  for (let j = 1; j <= b.length; j++) rows[0][j] = j;
  for (let i = 1; i <= a.length; i++)
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1];
      let least = Math.min(rows[i - 1][j] + 1, rows[i][j - 1] + 1, rows[i - 1][j - 1] + (same ? 0 : 1));
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        least = Math.min(least, rows[i - 2][j - 2] + 1);
      rows[i][j] = least;
    }
  return rows[a.length][b.length];
}

const WORDS: readonly string[] = [
  ...new Set(DRAWN.flatMap((axis) => Object.values(VOCABULARY[axis]).flat()).filter((w) => /^[a-z]{3,}$/.test(w))),
];

/** Letters that may be wrong in a word of a length: a short word is another word, not a slip. */
const slips = (length: number): number => (length < 4 ? 0 : length < 8 ? 1 : 2);

/**
 * What could be said instead of a word that is not understood, the nearest first: what comes near to it in meaning ("blacksmith": man);
 * only for a word that nobody has thought of, what it is a slip of the pen for ("hron": heron). None where nothing is near.
 */
export function nearestWords(word: string, most = 3): string[] {
  const plain = word.toLowerCase();
  const meant = plainForms(plain).flatMap((form) => nearInMeaning(form));
  if (meant.length) return [...new Set(meant)].slice(0, most);
  const limit = slips(plain.length);
  return WORDS.filter((w) => Math.abs(w.length - plain.length) <= limit)
    .map((w) => ({ w, far: edits(plain, w) }))
    .filter(({ far }) => far > 0 && far <= limit)
    .sort((a, b) => a.far - b.far || (a.w < b.w ? -1 : 1))
    .slice(0, most)
    .map(({ w }) => w);
}

/** A prompt with more said, and what was said more. */
export interface RicherWords {
  readonly prompt: string;
  readonly added: readonly string[];
}

/** What may be seen at a place besides what the words name. */
const COMPANY: Partial<Record<PlaceName, readonly string[]>> = {
  marsh: ['a heron', 'a small boat'],
  'reed channel': ['a heron', 'a small boat'],
  'stilt village': ['a boat', 'gulls'],
  harbour: ['gulls', 'a barrel'],
  'market quay': ['gulls', 'a basket'],
  pier: ['gulls', 'a lantern'],
  beach: ['a crab', 'a boat'],
  meadow: ['a butterfly', 'a tree'],
  forest: ['an owl', 'a squirrel'],
  orchard: ['a basket', 'a hen'],
  'village street': ['a cat', 'a street lamp'],
  'town square': ['a cat', 'a well'],
  kitchen: ['a cat', 'a cup'],
  attic: ['a mouse', 'a chair'],
};
const TIMES = ['in the morning', 'at dusk', 'at dawn'];
const WEATHERS = ['clouds in the sky', 'fog', 'wind'];
const SEASONS = ['spring', 'autumn'];
const FACES = ['smiling', 'with a calm face'];
const MOST = 3;

/**
 * The same words with what they leave open said too: time, weather, season, a face, company that fits the place; at most three
 * things, nothing that is in `avoid`, nothing that they say already. Deterministic.
 */
export function richer(prompt: string, avoid = ''): RicherWords {
  const brief = understand(prompt, avoid);
  const pick = <T>(choices: readonly T[]): T => choices[hashText(prompt + choices.length) % choices.length];
  const said = (axis: string) => brief.understood.some((u) => u.means.startsWith(`${axis}:`));
  const indoors = INDOORS.has(brief.place);
  const people = brief.entities.some((e) => e.kind === 'person');
  const offers: string[] = [];
  if (!said('time') && !said('light')) offers.push(pick(TIMES));
  if (!said('weather') && !indoors) offers.push(pick(WEATHERS));
  if (people && !said('expression')) offers.push(pick(FACES));
  const company = (COMPANY[brief.place] ?? []).filter((one) => !isThere(brief, one));
  if (company.length) offers.push(`with ${pick(company)}`);
  if (!said('season') && !indoors) offers.push(pick(SEASONS));
  const added: string[] = [];
  let text = prompt.trim().replace(/[\s,.]+$/, '');
  for (const offer of offers) {
    if (added.length >= MOST) break;
    const longer = text ? `${text}, ${offer}` : offer;
    if (!says(understand(longer, avoid), understand(text, avoid))) continue;
    text = longer;
    added.push(offer);
  }
  return { prompt: text, added };
}

/** True where a brief has a creature or thing of this kind already, by whatever name. */
const isThere = (brief: SceneBrief, words: string): boolean => {
  const [one] = understand(words).entities;
  return brief.entities.some(
    (e) =>
      (e.kind === 'creature' && one.kind === 'creature' && e.species === one.species) ||
      (e.kind === 'thing' && one.kind === 'thing' && e.thing === one.thing),
  );
};

/** True where a brief draws more than another, and understands everything that was put to it. */
function says(longer: SceneBrief, before: SceneBrief): boolean {
  if (longer.unheard.length > before.unheard.length || longer.avoid.length > before.avoid.length) return false;
  const drawn = ({ time, weather, season, entities }: SceneBrief) => JSON.stringify([time, weather, season, entities]);
  return (
    drawn(longer) !== drawn(before) && longer.entities.length >= before.entities.length && longer.place === before.place
  );
}
