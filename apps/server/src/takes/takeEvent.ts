import type { StudioEvent } from '../platform/events/events.service';
import type { Take } from './take.entity';

/** What is told of a take: its state, and where it belongs. */
export const takeEvent = ({
  id,
  status,
  mixId,
  shotId,
}: Pick<Take, 'id' | 'status' | 'mixId' | 'shotId'>): StudioEvent => ({
  type: 'take',
  id,
  status,
  mixId: mixId ?? undefined,
  shotId: shotId ?? undefined,
});
