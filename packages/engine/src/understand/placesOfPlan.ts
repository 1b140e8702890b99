import { labOfHex, nearestColours, type LayoutMap, type Picture } from '@urbild/core';

/** Where a plan puts its sky's edge, 0 top .. 1 foot, and its first figure; nothing of what it does not show. */
export function placesOfPlan(
  drawn: Picture,
  map: Extract<LayoutMap, { read: 'areas' }>,
): { readonly horizon?: number; readonly somebody?: { left: number; right: number; top: number; bottom: number } } {
  const { width: w, height: h } = drawn;
  const nearest = nearestColours(
    drawn,
    map.areas.map((a) => labOfHex(a.colour)),
  );
  let sky = 0;
  const box = { left: 1, right: 0, top: 1, bottom: 0 };
  let count = 0;
  nearest.forEach((k, i) => {
    const { is } = map.areas[k];
    if (is === 'sky') sky++;
    if (is !== 'somebody') return;
    count++;
    const [x, y] = [(i % w) / w, Math.floor(i / w) / h];
    box.left = Math.min(box.left, x);
    box.right = Math.max(box.right, x + 1 / w);
    box.top = Math.min(box.top, y);
    box.bottom = Math.max(box.bottom, y + 1 / h);
  });
  const part = sky / nearest.length;
  return {
    ...(part > 0.02 && part < 0.98 ? { horizon: part } : {}),
    ...(count > 0.002 * nearest.length ? { somebody: box } : {}),
  };
}
