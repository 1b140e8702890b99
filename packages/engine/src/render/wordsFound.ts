import type { Claim, FoundWord, NotDrawn, Picture, UnderstoodSpan } from '@urbild/core';
import { isSeen, witnessed } from '../painter/witness';
import type { SceneSeen, SeenItem } from '../painter/scene/seen';
import { contrastOf, foundAgain, looksOf } from './foundAgain';
import { coloursFound } from './foundColours';
import type { Pass } from './pass';

/** What became of the words of a picture. */
export interface WordsFound {
  readonly understood: readonly UnderstoodSpan[];
  readonly notDrawn: readonly NotDrawn[];
  readonly found: readonly FoundWord[];
}

/** Axes whose words name somebody or something that stands in the picture. */
const NAMES: ReadonlySet<string> = new Set(['person', 'cast', 'creature', 'thing', 'place']);

/** Hears the witnesses of a pass, and looks for everybody, everything and every named colour that is drawn in its finished picture. */
export function wordsFound(
  { brief, seen, looks, colours }: Pick<Pass, 'brief' | 'seen' | 'looks' | 'colours'>,
  finished: Picture,
): WordsFound {
  const heard = witnessed(brief, seen);
  const faint = heard.drawn.filter((claim) => isFaint(claim, seen, looks));
  const drawn = heard.drawn.filter(({ entity }) => !faint.some((f) => f.entity === entity));
  const notDrawn = [
    ...heard.notDrawn,
    ...faint.map(({ axis, value, entity: _, ...span }) => ({ ...span, means: `${axis}: ${value}`, why: FAINT })),
  ].sort((a, b) => a.start - b.start);
  // what is said of somebody whom nobody finds is not seen either
  const unseen = heard.drawn.filter(({ entity }) => faint.some((f) => f.entity === entity));
  const missing = new Set([...notDrawn, ...unseen].map(({ start }) => start));
  const now = looksOf(seen, finished);
  const found = drawn.flatMap((claim): FoundWord[] => {
    const items = itemsOf(claim, seen);
    const values = items.flatMap((k) => {
      const [was, is] = [looks[k], now[k]];
      return was && is ? [foundAgain(was, is).found] : [];
    });
    if (!values.length) return [];
    const { start, end, text, axis, value } = claim;
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    return [{ start, end, text, means: `${axis}: ${value}`, found: mean, box: boxAround(items, seen) }];
  });
  const kept = coloursFound(colours, finished);
  colours.forEach(({ claim }, k) => {
    if (!drawn.some(({ start }) => start === claim.start)) return;
    const { start, end, text, axis, value } = claim;
    found.push({
      start,
      end,
      text,
      means: `${axis}: ${value}`,
      found: kept[k],
      box: boxAround(itemsOfAll(claim, seen), seen),
    });
  });
  found.sort((a, b) => a.start - b.start);
  return { understood: brief.understood.filter(({ start }) => !missing.has(start)), notDrawn, found };
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
  if (!NAMES.has(axis) || entity === undefined) return [];
  const own = (item: SeenItem) => item.entity === entity && isSeen({ seen }, item);
  const held = seen.items.flatMap((item, k) => (own(item) && item.held && item.what === value ? [k] : []));
  return held.length ? held : seen.items.flatMap((item, k) => (own(item) && !item.held ? [k] : []));
}
