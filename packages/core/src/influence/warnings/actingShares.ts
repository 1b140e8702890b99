import type { Channel } from '../../mix/gives/give';
import { meanShares, type Shares } from '../formula';
import type { Weighing } from '../types';

/**
 * The shares on a channel as they act: of the identity those of each subject that influences are bound to, for two people do not take
 * from each other; of every other channel those of all influences together.
 */
export function actingShares(mix: Weighing, channel: Channel): Shares[] {
  const bound = channel === 'identity' ? mix.influences.flatMap(({ on, subject }) => (on && subject) || []) : [];
  if (!bound.length) return [meanShares(mix, channel)];
  return [...new Set(bound)].map((subject) => meanShares(mix, channel, 0, 1, { subject }));
}
