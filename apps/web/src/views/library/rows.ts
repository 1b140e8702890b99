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
