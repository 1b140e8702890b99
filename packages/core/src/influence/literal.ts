import { smoothstep } from '../maths/scalar';
import type { MixInfluence } from '../mix/mix';
import { meanGate } from './formula';

/** Between these weights a picture itself is brought over its own redrawing; below, it is redrawn only. */
const FROM = 1;
const TO = 2;
/** How much later the finest level begins to bring it, and how much of it is brought at most: the rest stays drawn. */
const LATER = 0.5;
const MOST = 0.7;

/**
 * How far an influence that gives everything brings the picture itself at a level of `levels` (0 the coarsest), 0..1: nothing up to weight
 * 1 (the painter redraws it, a half transparent picture over another one would be a double exposure), then coarse bands first, up to
 * .7 at weight 2. 0 for every other influence.
 */
export function literalAt(
  influence: Pick<MixInfluence, 'on' | 'gives' | 'reading' | 'weight' | 'from' | 'to'>,
  balance: number,
  level: number,
  levels: number,
): number {
  if (!influence.on || influence.gives !== 'everything' || influence.reading === 'hint') return 0;
  const weight = influence.weight * balance * meanGate(influence, level / levels, (level + 1) / levels);
  return MOST * smoothstep(FROM + (LATER * level) / Math.max(1, levels - 1), TO, weight);
}
