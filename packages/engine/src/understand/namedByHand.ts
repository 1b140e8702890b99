import type { NamedPlace } from '@urbild/core';
import type { SeenPicture } from './readPicture';

/** Why an area is what a person said. */
export const BY_HAND = 'said by hand';

/** A picture with what a person said of its areas: whatever was read of them gives way. */
export function namedByHand(seen: SeenPicture, named: readonly NamedPlace[] = []): SeenPicture {
  if (!named.length) return seen;
  const { width: w, height: h, labels } = seen;
  const kinds = new Map(seen.kinds);
  for (const { x, y, is } of named) {
    const at = Math.min(h - 1, Math.floor(y * h)) * w + Math.min(w - 1, Math.floor(x * w));
    kinds.set(labels.of[at], { kind: is, why: BY_HAND });
  }
  return { ...seen, kinds };
}
