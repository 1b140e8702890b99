import type { FigureRecord } from './figureRecord';
import { REGION, type Region } from './region';
import type { SceneSeen, SeenItem } from './seen';

/** A figure of a scene: what is known of it, and what of it can be seen. */
export interface SeenFigure {
  readonly record: FigureRecord;
  readonly item: SeenItem;
}

/** What a head is made of, and how far it reaches down from the top of its figure, in heights of it: hair and beard go on below the chin. */
const HEAD: readonly Region[] = [REGION.skin, REGION.hair, REGION.eye, REGION.headwear];
const TO_THE_BEARD = 1.15;

/** The figures of a scene in the order of their records, each with the item whose box lies most over its own; absent where none does. */
export const figuresIn = ({ figures, items }: Pick<SceneSeen, 'figures' | 'items'>): (SeenFigure | undefined)[] =>
  figures.map((record) => {
    const [item] = items
      .filter(({ entity, kind, held }) => entity === record.entity && kind === record.kind && !held)
      .map((one) => ({ one, over: one.box ? overlap(one.box, record.box) : 0 }))
      .filter(({ over }) => over > 0)
      .sort((a, b) => b.over - a.over);
    return item && { record, item: item.one };
  });

type Box = readonly [number, number, number, number];

const overlap = (a: Box, b: Box): number =>
  Math.max(0, Math.min(a[2], b[2]) - Math.max(a[0], b[0])) * Math.max(0, Math.min(a[3], b[3]) - Math.max(a[1], b[1]));

/** 1 where an item is, or what it has in its hands; 0 elsewhere. */
export function maskOfItem({ codes }: Pick<SeenItem, 'codes'>, { map }: Pick<SceneSeen, 'map'>): Uint8Array {
  const own = new Uint8Array(256);
  for (const code of codes) own[code] = 1;
  return map.map((code) => own[code]);
}

/** The part of a mask that shows some regions, before a pixel by its index. */
export function within(
  mask: Uint8Array,
  labels: Uint8Array,
  regions: readonly number[],
  end = mask.length,
): Uint8Array {
  const is = new Uint8Array(256);
  for (const region of regions) is[region] = 1;
  return mask.map((v, i) => (v && i < end ? is[labels[i]] : 0));
}

/** The head of a person, hair and hat with it, of the mask of the whole. */
export const headOf = (mask: Uint8Array, labels: Uint8Array, { box, head }: FigureRecord, width: number): Uint8Array =>
  within(mask, labels, HEAD, Math.ceil(box[1] + TO_THE_BEARD * head) * width);
