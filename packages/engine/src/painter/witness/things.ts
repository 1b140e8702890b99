import { heldItems, isSeen, middle, seenItems, type Case, type Testimony, type Witness } from './scene';

const NOT_PAINTED = 'There is no room for it in this picture.';
const COVERED = 'It is behind something else, or too small to be found.';
const CLOSE = 'A portrait and a half figure show people and creatures, not things.';

/** Whoever or whatever is named can be seen. */
export const isThere: Witness = (one) => {
  const { claim, items, seen } = one;
  const held = claim.axis === 'thing' || claim.axis === 'creature' ? heldItems(one, claim.value) : [];
  if (held.length || seenItems(one).length) return true;
  const hands = seen.items.some((i) => i.held && i.entity === claim.entity && i.what === claim.value);
  if (items.length || hands) return COVERED;
  return seen.horizon === undefined ? CLOSE : NOT_PAINTED;
};

/** As many can be seen as the words say. */
export const isCounted: Witness = (one) => {
  const found = seenItems(one).length;
  const wanted = Number(one.claim.value);
  return found === wanted || `The picture shows ${found || 'none'} of ${wanted}.`;
};

const SIDE: Readonly<Record<string, readonly [number, number]>> = {
  left: [0, 0.5],
  middle: [0.3, 0.7],
  right: [0.5, 1],
};

/** It stands on the side of the picture that the words name. */
export const isOnSide: Witness = (one) => {
  const items = seenItems(one);
  if (!items.length) return COVERED;
  const [from, to] = SIDE[one.claim.value] ?? [0, 1];
  const at = items.reduce((sum, { box }) => sum + middle(box!)[0], 0) / items.length / one.seen.width;
  return (at >= from && at <= to) || 'It does not stand on that side: something else needs the place.';
};

/** What is far off is small and high, what is near is low. */
export const isAtDistance: Witness = (one) => {
  const items = seenItems(one);
  if (!items.length) return isThere(one);
  if (one.seen.horizon === undefined) return CLOSE;
  const foot = Math.max(...items.map(({ box }) => box![3]));
  const ground = (foot - one.seen.horizon) / (one.seen.height - one.seen.horizon);
  if (one.claim.value === 'far') return ground < 0.6 || 'It stands with the others, not in the distance.';
  return ground > 0.35 || 'It stands farther off than the foreground.';
};

/** A size against the usual one. */
export const isSized: Witness = (one) => {
  const { claim, entity } = one;
  if (!seenItems(one).length) return isThere(one);
  if (entity?.kind !== 'person' && claim.value === 'long') return 'Things are drawn in one length.';
  return true;
};

const overlap = (a0: number, a1: number, b0: number, b1: number): number =>
  Math.max(0, Math.min(a1, b1) - Math.max(a0, b0)) / Math.max(1, Math.min(a1 - a0, b1 - b0));

/** How two boxes lie in the picture, by the word for it. */
const RELATED: Readonly<
  Record<string, (a: readonly number[], b: readonly number[], picture: Case['seen']) => boolean>
> = {
  on: (a, b) =>
    overlap(a[0], a[2], b[0], b[2]) > 0.3 && a[3] <= b[3] + 0.06 * (b[3] - b[1]) && a[3] > b[1] - 0.2 * (b[3] - b[1]),
  in: (a, b) => overlap(a[0], a[2], b[0], b[2]) > 0.3 && a[3] > b[1] - 0.2 * (b[3] - b[1]) && a[1] < b[3],
  under: (a, b) => overlap(a[0], a[2], b[0], b[2]) > 0.25 && a[3] > middleOf(b),
  over: (a, b) => a[3] < middleOf(b) + 0.25 * (b[3] - b[1]),
  beside: (a, b, { width }) => Math.max(a[0], b[0]) - Math.min(a[2], b[2]) < 0.3 * width,
  // something in front covers what is behind it, or stands lower before it
  behind: (a, b) => a[3] <= b[3] && overlap(a[0], a[2], b[0], b[2]) > 0.1,
  before: (a, b) => a[3] >= b[3] && overlap(a[0], a[2], b[0], b[2]) > 0.1,
};
const middleOf = (b: readonly number[]) => (b[1] + b[3]) / 2;

/** Two things stand to each other as the words say; the claim is that of the later one, whose target `how` it is. */
export const isRelated: Witness = (one): Testimony => {
  const { claim, entity, seen } = one;
  const test = RELATED[claim.value];
  if (!test || !entity?.relation) return true;
  const { target, also = [] } = entity.relation;
  const own = seenItems(one);
  const others = (k: number) => seen.items.filter((i) => i.entity === k && !i.held && isSeen(one, i));
  const targets = [target, ...also].map(others);
  if (!own.length || !targets[0].length) return COVERED;
  const holds = targets[0].every((t) => own.some((o) => test(t.box!, o.box!, seen)));
  return holds || `They do not stand so: there is no place for it here.`;
};
