import { overlap, type Frame } from '../../shared/pictures/useMarquee';

/** A picture in a justified row: its place and size in px. */
export interface Placed<T> {
  readonly item: T;
  readonly x: number;
  readonly width: number;
}

/** One row of pictures of equal height. */
export interface Row<T> {
  readonly height: number;
  readonly items: readonly Placed<T>[];
}

/**
 * Fills rows of a given width with pictures in their own aspect (width / height), every row but the last exactly full.
 * `height` is what a row should have; full rows come near it.
 */
export function justify<T>(
  items: readonly T[],
  aspectOf: (item: T) => number,
  width: number,
  height: number,
  gap: number,
): Row<T>[] {
  const rows: Row<T>[] = [];
  let open: T[] = [];
  let aspects = 0;
  const close = (full: boolean) => {
    const room = width - gap * (open.length - 1);
    const h = full ? room / aspects : Math.min(height, room / aspects);
    let x = 0;
    rows.push({
      height: h,
      items: open.map((item) => {
        const w = h * aspectOf(item);
        const placed = { item, x, width: w };
        x += w + gap;
        return placed;
      }),
    });
    open = [];
    aspects = 0;
  };
  for (const item of items) {
    const aspect = aspectOf(item);
    const without = open.length ? (width - gap * (open.length - 1)) / aspects : Infinity;
    const withIt = (width - gap * open.length) / (aspects + aspect);
    // the row ends where its height is nearest to what is wanted
    if (open.length && Math.abs(without - height) < Math.abs(withIt - height) && without <= height * 1.35) close(true);
    open.push(item);
    aspects += aspect;
  }
  if (open.length) close((width - gap * (open.length - 1)) / aspects <= height);
  return rows;
}

/** A picture of the library in a row: its id and its aspect (width / height). */
export interface Cell {
  readonly id: string;
  readonly aspect: number;
}

/** The number of the row that has a picture, -1 if none has. */
export const rowOf = (rows: readonly Row<Cell>[], id: string) =>
  rows.findIndex((r) => r.items.some((p) => p.item.id === id));

/** The picture of another row that stands nearest to the middle of this one; nothing where there is no other row. */
export function nearest(
  others: readonly Placed<Cell>[] | undefined,
  row: Row<Cell> | undefined,
  id: string,
): string | undefined {
  const own = row?.items.find((p) => p.item.id === id);
  if (!others || !own) return undefined;
  const middle = own.x + own.width / 2;
  const distance = (p: Placed<Cell>) => Math.abs(p.x + p.width / 2 - middle);
  return others.reduce((best, p) => (distance(p) < distance(best) ? p : best)).item.id;
}

/** How the rows lie: the gap between them, and the room at their sides, px. */
interface Lie {
  readonly gap: number;
  readonly pad: number;
}

/** The pictures that a frame touches, in their order. */
export function touched<T extends { readonly id: string }>(
  rows: readonly Row<T>[],
  frame: Frame,
  { gap, pad }: Lie,
): string[] {
  const ids: string[] = [];
  let top = 0;
  for (const { items, height } of rows) {
    for (const { item, x, width } of items)
      if (overlap(frame, { left: x + pad, top, width, height })) ids.push(item.id);
    top += height + gap;
  }
  return ids;
}
