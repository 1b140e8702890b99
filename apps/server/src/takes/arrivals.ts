import type { Arrival } from '@urbild/core';
import type { Take } from './take.entity';

const least = (value: number | undefined) => (value === undefined ? undefined : Math.max(0, value));

/**
 * Arrival in a take, by influence, 0..1. Older studios stored numbers below zero where a take went away from a reference; that is
 * none of it.
 */
export function arrivalsOf({ measurements }: Pick<Take, 'measurements'>): Record<string, Arrival> {
  return Object.fromEntries(
    Object.entries(measurements?.arrivals ?? {}).map(([id, { overall, channels, ...rest }]) => [
      id,
      {
        ...rest,
        overall: least(overall),
        channels: Object.fromEntries(Object.entries(channels).map(([channel, value]) => [channel, least(value)])),
      },
    ]),
  );
}

/** How much of the words is kept in a take, 0..1. Older studios stored a distance of layouts under that name, which nobody could rely on. */
export const wordsKeptIn = ({ measurements }: Pick<Take, 'measurements'>): number | undefined =>
  measurements?.words && measurements.wordsKept;
