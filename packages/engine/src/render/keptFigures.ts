import { maskOfItem } from '../painter/scene/figureMasks';
import { isFigure } from '../painter/scene/items';
import type { SceneSeen } from '../painter/scene/seen';

/** Of a figure so much must lie where the start picture stays for it to be the one that stays, and so much beside it to be seen twice. */
const STAYS = 0.2;
const BESIDE = 0.04;

/**
 * Who of a scene would be seen twice in a picture that keeps a part of its start picture: whoever lies partly where that stays and partly
 * where it may change (`free` 1). Indexes of the brief's entities.
 */
export function keptFigures(seen: SceneSeen, free: Float32Array): Set<number> {
  const out = new Set<number>();
  // a camera that looks at a part of a scene has no map of who is where
  if (seen.view) return out;
  for (const item of seen.items) {
    if (!isFigure(item) || item.held) continue;
    const mask = maskOfItem(item, seen);
    let [kept, all] = [0, 0];
    for (let i = 0; i < mask.length; i++) {
      if (!mask[i]) continue;
      all++;
      if (free[i] < 0.5) kept++;
    }
    if (kept >= STAYS * all && all - kept >= BESIDE * all && all) out.add(item.entity);
  }
  return out;
}
