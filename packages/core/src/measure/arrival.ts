import { clamp } from '../maths/scalar';
import { distanceOn, type Descriptors, type MeasuredChannel } from '../describe/descriptors';
import { channelsOf } from '../influence/formula';
import type { Gives } from '../mix/gives';
import type { Channel } from '../mix/gives/give';

/** The channels that can be measured from pictures alone. */
const MEASURED: readonly MeasuredChannel[] = ['colour', 'surface', 'layout'];

/**
 * Arrival on one channel: how far a take went from its control to a reference, 1 - d(take, reference) / d(control,
 * reference), limited to 0..1: what went away from a reference has not arrived, and is no less than nothing. `undefined` where control and reference already agree and there is no way to go.
 */
export function arrivalOf(takeDistance: number, controlDistance: number): number | undefined {
  if (!(controlDistance > 1e-6)) return undefined;
  return clamp(1 - takeDistance / controlDistance);
}

/** Distances on a channel that descriptors do not tell: of the take and of its control to the reference. */
export interface ToReference {
  readonly take: number;
  readonly control: number;
}

/** The measured way of one take to one reference. */
export interface Arrival {
  /** Mean over the channels that the influence gives and that can be measured, 0..1; undefined where none can. */
  readonly overall?: number;
  readonly channels: Partial<Record<Channel, number>>;
}

/**
 * Arrival of `take` at `reference` on every channel that `gives` acts on and that can be measured: colour, surface and layout by
 * descriptors, pose and identity by the distances in `others`.
 */
export function measureArrival(
  gives: Gives,
  take: Descriptors,
  control: Descriptors,
  reference: Descriptors,
  others: Readonly<Partial<Record<'pose' | 'identity', ToReference>>> = {},
): Arrival {
  const channels: Partial<Record<Channel, number>> = {};
  const acting = channelsOf(gives);
  const put = (channel: Channel, distances: ToReference) => {
    const value = acting.includes(channel) ? arrivalOf(distances.take, distances.control) : undefined;
    if (value !== undefined) channels[channel] = value;
  };
  for (const channel of MEASURED)
    put(channel, {
      take: distanceOn(channel, take, reference),
      control: distanceOn(channel, control, reference),
    });
  for (const channel of ['pose', 'identity'] as const) if (others[channel]) put(channel, others[channel]);
  const values = Object.values(channels);
  return { overall: values.length ? values.reduce((a, b) => a + b, 0) / values.length : undefined, channels };
}
