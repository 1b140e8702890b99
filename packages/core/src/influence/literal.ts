import { smoothstep } from '../maths/scalar';
import type { MixInfluence } from '../mix/mix';
import { meanGate } from './formula';

/** The weight up to which a picture itself is not brought, only its colours and masses. */
const FROM = 0.5;
/** How much later the finest level begins to bring it. */
const LATER = 0.3;

/**
 * How far an influence that gives everything brings the picture itself at a level of `levels` (0 the coarsest), 0..1: nothing up to weight
 * .5 (colours and masses come through the painter, a half transparent picture would be a double exposure), then coarse bands first,
 * all of it at weight 1. 0 for every other influence.
 */
export function literalAt(
  influence: Pick<MixInfluence, 'on' | 'gives' | 'reading' | 'weight' | 'from' | 'to'>,
  balance: number,
  level: number,
  levels: number,
): number {
  if (!influence.on || influence.gives !== 'everything' || influence.reading === 'hint') return 0;
  const weight = influence.weight * balance * meanGate(influence, level / levels, (level + 1) / levels);
  return smoothstep(FROM + (LATER * level) / Math.max(1, levels - 1), 1, weight);
}
