import { colourDistance, type Claim, type Entity, type Lch, type SceneBrief } from '@urbild/core';
import type { FigureRecord } from '../scene/figureRecord';
import type { SceneSeen, SeenItem } from '../scene/seen';

/** What a witness says of a claim: true where the scene shows it, else the sentence that says why not. */
export type Testimony = true | string;

/** A claim with all that a witness looks at. */
export interface Case {
  readonly claim: Claim;
  readonly brief: SceneBrief;
  readonly seen: SceneSeen;
  /** Whom it is said of, and what of them was painted, held things not included. */
  readonly entity?: Entity;
  readonly items: readonly SeenItem[];
  readonly figures: readonly FigureRecord[];
}

/** A witness of one axis. */
export type Witness = (one: Case) => Testimony;

/** Less than this part of the picture is nothing that anybody would find. */
const LEAST_SEEN = 0.0002;
/** A colour is the named one within this distance in OKLab: the painter shades, and no two names are nearer. */
export const SAME_COLOUR = 0.13;

/** True for an item of which enough can be seen. */
export const isSeen = ({ seen }: Pick<Case, 'seen'>, item: SeenItem): boolean =>
  item.pixels >= LEAST_SEEN * seen.width * seen.height;

/** What of an entity's items can be seen. */
export const seenItems = (one: Case): SeenItem[] => one.items.filter((item) => isSeen(one, item));

/** What somebody holds of a kind, as far as it can be seen. */
export const heldItems = (one: Case, what: string): SeenItem[] =>
  one.seen.items.filter((i) => i.held && i.entity === one.claim.entity && i.what === what && isSeen(one, i));

/** Part of an item's pixels that are put down in a colour, in some regions only where those are given, 0..1. */
export function partIn({ seen }: Pick<Case, 'seen'>, item: SeenItem, colour: Lch, regions?: readonly number[]): number {
  const keeps = [0, seen.light.figureKeep, seen.light.figureKeep * 0.7, seen.light.figureKeep * 0.5];
  let [hit, all] = [0, 0];
  for (const { lch, region, depth, pixels } of item.colours) {
    if (regions && !regions.includes(region)) continue;
    all += pixels;
    const wanted = [colour, ...keeps.map((keep) => seen.grade(colour, depth, keep))];
    if (wanted.some((w) => colourDistance(lch, w) < SAME_COLOUR)) hit += pixels;
  }
  return all ? hit / all : 0;
}

/** The height of a head in parts of the picture's height. */
export const headPart = ({ seen }: Pick<Case, 'seen'>, f: FigureRecord): number => f.head / seen.height;

/** The middle of a box. */
export const middle = ([left, top, right, bottom]: readonly [number, number, number, number]) =>
  [(left + right) / 2, (top + bottom) / 2] as const;
