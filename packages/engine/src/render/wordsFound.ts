import { isLost, type Claim, type FoundWord, type NotDrawn, type Picture, type UnderstoodSpan } from '@urbild/core';
import { isSeen, LAID_OUT, witnessed, type Witnessed } from '../painter/witness';
import type { SceneSeen, SeenItem } from '../painter/scene/seen';
import { contrastOf, foundAgain } from './foundAgain';
import { looksOf } from './itemLook';
import { coloursFound } from './foundColours';
import type { Pass } from './pass';
import { isArrangedAlike, WHOLE_AXES, wholeFound, wholeLook } from './wholeWords';

/** What became of the words of a picture. */
export interface WordsFound {
  readonly understood: readonly UnderstoodSpan[];
  readonly notDrawn: readonly NotDrawn[];
  readonly found: readonly FoundWord[];
}

/** Axes whose words name somebody or something that stands in the picture. */
const NAMES: ReadonlySet<string> = new Set(['person', 'cast', 'creature', 'thing', 'place']);

/** What a picture began with, where it did not begin with the painter's own: all of it stays in part, or all but what a mask shows. */
export type Begun = 'with a picture' | 'within a mask';

/** Why a word is not drawn where a picture began with another one. */
const STAYS: Readonly<Record<Begun, string>> = {
  'with a picture': 'The picture that it starts from stays here: with more change it is drawn.',
  'within a mask': 'The picture that it starts from stays here: with more change, or a larger mask, it is drawn.',
};

/**
 * Hears the witnesses of a pass, and looks for everybody, everything, every named colour, weather and time that is drawn in its finished
 * picture. In one that began with another picture, what is not found was not lost: it has not come.
 */
export function wordsFound(pass: WordsOf, finished: Picture, begun?: Begun): WordsFound {
  const { brief, seen, looks } = pass;
  const heard = withTaken(witnessed(brief, seen), brief.claims);
  const faint = heard.drawn.filter((claim) => isFaint(claim, seen, looks));
  const drawn = heard.drawn.filter((claim) => !faint.some((f) => f === claim || isOfOne(f, claim)));
  const all = foundIn(pass, drawn, finished, heard.taken);
  const kept = begun ? all.filter(({ word }) => isLost(word)).map(({ claim }) => claim) : [];
  if (begun && pass.whole && !isArrangedAlike(pass.whole, wholeLook(seen, pass.labels, finished)))
    kept.push(...drawn.filter(({ axis, entity }) => WHOLE_AXES.has(axis) && entity === undefined));
  const notDrawn = [
    ...heard.notDrawn,
    ...faint.map((claim) => untold(claim, FAINT)),
    ...kept.map((claim) => untold(claim, STAYS[begun!])),
  ].sort((a, b) => a.start - b.start);
  // what is said of somebody whom nobody finds is not seen either
  const gone = [...faint, ...kept.filter(({ axis }) => NAMES.has(axis))].flatMap(({ entity }) => entity ?? []);
  const unseen = heard.drawn.filter(({ entity }) => entity !== undefined && gone.includes(entity));
  const missing = new Set([...notDrawn, ...unseen].map(({ start }) => start));
  return {
    understood: brief.understood.filter(({ start }) => !missing.has(start)),
    notDrawn,
    found: all
      .map(({ word }) => word)
      .filter(({ start }) => !missing.has(start))
      .sort((a, b) => a.start - b.start),
  };
}

/**
 * A place that a reference has taken away is drawn as the words say, and lost on the way: what the words would have without the
 * reference counts, so that the reading falls and the reference is named.
 */
function withTaken({ drawn, notDrawn }: Witnessed, claims: readonly Claim[]): Witnessed & { taken: readonly Claim[] } {
  const taken = notDrawn.filter(({ why }) => why === LAID_OUT).map(({ start }) => start);
  const lost = claims.filter(({ axis, start }) => axis === 'place' && taken.includes(start));
  return {
    drawn: [...drawn, ...lost],
    notDrawn: notDrawn.filter(({ start, why }) => why !== LAID_OUT || !taken.includes(start)),
    taken: lost,
  };
}

/** True for two claims of one person, creature or thing. */
const isOfOne = (a: Claim, b: Claim): boolean => a.entity !== undefined && a.entity === b.entity;

/** What of a pass the words are looked for with. */
type WordsOf = Pick<Pass, 'brief' | 'seen' | 'looks' | 'colours'> &
  (Pick<Pass, 'whole' | 'labels'> | { whole?: undefined });

const untold = ({ axis, value, entity: _, ...span }: Claim, why: string): NotDrawn => ({
  ...span,
  means: `${axis}: ${value}`,
  why,
});

interface Found {
  readonly claim: Claim;
  readonly word: FoundWord;
}

/** Claims that can be looked for in a finished picture, with how well each is found. */
function foundIn(pass: WordsOf, drawn: readonly Claim[], finished: Picture, taken: readonly Claim[]): Found[] {
  const { seen, looks, colours } = pass;
  const word = (claim: Claim, found: number, items: readonly number[] = []): Found => {
    const { start, end, text, axis, value } = claim;
    return { claim, word: { start, end, text, means: `${axis}: ${value}`, found, box: boxAround(items, seen) } };
  };
  const now = looksOf(seen, finished);
  const named = drawn.flatMap((claim) => {
    if (taken.includes(claim)) return [word(claim, 0)];
    const items = itemsOf(claim, seen);
    const values = items.flatMap((k) => {
      const [was, is] = [looks[k], now[k]];
      return was && is ? [foundAgain(was, is).found] : [];
    });
    return values.length ? [word(claim, values.reduce((a, b) => a + b, 0) / values.length, items)] : [];
  });
  const kept = coloursFound(colours, finished);
  const coloured = colours.flatMap(({ claim }, k) =>
    drawn.some(({ start }) => start === claim.start) ? [word(claim, kept[k], itemsOfAll(claim, seen))] : [],
  );
  const whole = pass.whole ? wholeFound(drawn, pass.whole, wholeLook(seen, pass.labels, finished)) : [];
  return [...named, ...coloured, ...whole.map(({ claim, found }) => word(claim, found))];
}

/** What is smaller than this part of the picture and nearer to its ground than that (OKLab) is there, and nobody finds it. */
const FINDABLE = { part: 0.001, contrast: 0.06 } as const;
const FAINT = 'It is so small and so like what is behind it that nobody finds it: ask for it nearer.';

/** A word whose items are all drawn and cannot be made out. */
function isFaint(claim: Claim, seen: SceneSeen, looks: Pass['looks']): boolean {
  const items = itemsOf(claim, seen);
  const area = seen.width * seen.height;
  return (
    items.length > 0 &&
    items.every((k) => {
      const look = looks[k];
      const small = seen.items[k].pixels < FINDABLE.part * area;
      return small && (!look || contrastOf(look) < FINDABLE.contrast);
    })
  );
}

/** How much of what is around an item is shown with it, in parts of its longer side. */
const AROUND = 0.35;

/** The box around items with a little of their ground, in parts of the picture; undefined where a camera sees a part of the scene only. */
function boxAround(items: readonly number[], { items: all, width, height, view }: SceneSeen): FoundWord['box'] {
  const boxes = items.flatMap((k) => (all[k].box ? [all[k].box] : []));
  if (view || !boxes.length) return undefined;
  const [left, top] = [0, 1].map((n) => Math.min(...boxes.map((b) => b[n])));
  const [right, bottom] = [2, 3].map((n) => Math.max(...boxes.map((b) => b[n])));
  const pad = AROUND * Math.max(right - left, bottom - top);
  return {
    left: Math.max(0, (left - pad) / width),
    top: Math.max(0, (top - pad) / height),
    right: Math.min(1, (right + pad) / width),
    bottom: Math.min(1, (bottom + pad) / height),
  };
}

/** Indexes of all items of whom a word is said. */
const itemsOfAll = ({ entity }: Claim, seen: SceneSeen): number[] =>
  seen.items.flatMap((item, k) => (item.entity === entity && !item.held && isSeen({ seen }, item) ? [k] : []));

/** Indexes of the items that a word names. */
function itemsOf({ axis, value, entity }: Claim, seen: SceneSeen): number[] {
  if (axis === 'place' && entity === undefined)
    return seen.items.flatMap((i, k) => (i.kind === 'landmark' && i.what === value && isSeen({ seen }, i) ? [k] : []));
  if (!NAMES.has(axis) || entity === undefined) return [];
  const own = (item: SeenItem) => item.entity === entity && isSeen({ seen }, item);
  const held = seen.items.flatMap((item, k) => (own(item) && item.held && item.what === value ? [k] : []));
  return held.length ? held : seen.items.flatMap((item, k) => (own(item) && !item.held ? [k] : []));
}
