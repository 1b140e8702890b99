import { createContext } from 'react';

/** A gap between pictures that others are held over: on which side of which one. */
export interface Gap {
  readonly id: string;
  readonly side: 'before' | 'after';
}

/** The gap that pictures are held over just now. */
export const GapContext = createContext<Gap | undefined>(undefined);

/** Where what is held over a picture would go: to that side of its middle on which the pointer is. */
export const gapAt = (
  id: string,
  x: number,
  { left, width }: { readonly left: number; readonly width: number },
): Gap => ({
  id,
  side: x < left + width / 2 ? 'before' : 'after',
});

/** The picture of an order that comes after a gap, those that are moved left out; undefined at the end. */
export function nextOf({ id, side }: Gap, order: readonly string[], moved: readonly string[]): string | undefined {
  const rest = order.slice(order.indexOf(id) + (side === 'after' ? 1 : 0));
  return rest.find((one) => !moved.includes(one));
}

/** Where the keys bring pictures of an order: past one neighbour, or to an end. Undefined where nothing moves. */
export function stepped(
  key: string,
  order: readonly string[],
  moved: readonly string[],
): { readonly ids: readonly string[]; readonly before?: string } | undefined {
  const ids = order.filter((one) => moved.includes(one));
  const others = order.filter((one) => !moved.includes(one));
  if (!ids.length || !others.length) return undefined;
  const at = others.findIndex((one) => order.indexOf(one) > order.indexOf(ids[0]));
  const now = at < 0 ? others.length : at;
  const to = { ArrowLeft: now - 1, ArrowRight: now + 1, Home: 0, End: others.length }[key];
  const together = order.indexOf(ids[ids.length - 1]) - order.indexOf(ids[0]) === ids.length - 1;
  if (to === undefined || to < 0 || to > others.length || (to === now && together)) return undefined;
  return { ids, before: others[to] };
}
