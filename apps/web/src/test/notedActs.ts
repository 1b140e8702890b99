import type { SeriesActs } from '../api/seriesActs';

/** Everything that can be done to a series, noted. */
export function noted(): SeriesActs & Record<string, jest.Mock> {
  const made: Record<string, jest.Mock> = {};
  return new Proxy(made, {
    get: (all, name: string) => (all[name] ??= jest.fn().mockResolvedValue({ id: 'm2' })),
  }) as never;
}
