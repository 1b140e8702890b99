/** Puts one of a list, or a new one, before another; at the end where that is not there, or none is named. */
export interface Placing {
  readonly id: string;
  readonly before?: string;
}

/** What changes an ordered list of ids: first some are taken out, then some are put where they belong, one after the other. */
export interface Arrangement {
  readonly takeOut?: readonly string[];
  readonly place?: readonly Placing[];
}

/** A list after it was arranged, and what brings back the list from before. */
export interface Arranged {
  readonly items: readonly string[];
  readonly back: Arrangement;
}

/**
 * Arranges an ordered list of ids, each of which occurs once. Whoever arranges says neighbours and no places, so that two people who
 * arrange one list at the same time both have their way. `back` undoes it exactly while nobody else has changed the list.
 */
export function arrange(items: readonly string[], { takeOut = [], place = [] }: Arrangement): Arranged {
  const now = items.filter((id) => !takeOut.includes(id));
  for (const { id, before } of place) {
    if (id === before) continue;
    const from = now.indexOf(id);
    if (from >= 0) now.splice(from, 1);
    const at = before === undefined ? -1 : now.indexOf(before);
    now.splice(at < 0 ? now.length : at, 0, id);
  }
  return { items: now, back: backTo(items, now) };
}

/** What makes the list `then` of the list `now`: the last ones are put back first, so that every neighbour stands before it is needed. */
function backTo(then: readonly string[], now: readonly string[]): Arrangement {
  const kept = new Set(keptInOrder(then, now));
  const place = then
    .map((id, k): Placing => (k + 1 < then.length ? { id, before: then[k + 1] } : { id }))
    .filter(({ id }) => !kept.has(id))
    .reverse();
  const before = new Set(then);
  const takeOut = now.filter((id) => !before.has(id));
  return { ...(takeOut.length && { takeOut }), ...(place.length && { place }) };
}

/** Ids that need not be moved: a longest part of `then` that stands in `now` in the same order (patience sorting, n log n). */
function keptInOrder(then: readonly string[], now: readonly string[]): string[] {
  const at = new Map(now.map((id, k) => [id, k]));
  const known = then.filter((id) => at.has(id));
  const places = known.map((id) => at.get(id)!);
  // ends[n]: the index in `known` at which a rising run of n + 1 ends lowest
  const ends: number[] = [];
  const previous: number[] = [];
  places.forEach((place, k) => {
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (places[ends[middle]] < place) low = middle + 1;
      else high = middle;
    }
    previous[k] = low ? ends[low - 1] : -1;
    ends[low] = k;
  });
  const kept: string[] = [];
  for (let k = ends.at(-1) ?? -1; k >= 0; k = previous[k]) kept.push(known[k]);
  return kept;
}
