import { envelope, gate } from '../formula';
import type { Channel } from '../../mix/gives/give';
import type { Influence } from '../types';

/** True where an influence's span reaches into the part of the course in which a channel is decided. */
export function overlaps(influence: Influence, channel: Channel): boolean {
  for (let t = 0; t <= 1; t += 0.01) if (envelope(channel, t) * gate(influence, t) > 0) return true;
  return false;
}
