import { CHANNELS, envelope, sharesAt, type Channel, type Weighing } from '@urbild/core';

export type ChartChannel = Channel | 'all';

/** The shares at a moment: one channel's, or the mean over all that are being decided just then. */
export function sharesFor(
  mix: Weighing,
  channel: ChartChannel,
  t: number,
): { influences: number[]; words: number; over: number } {
  if (channel !== 'all') {
    const { influences, words, over } = sharesAt(mix, channel, t);
    return { influences: [...influences], words, over };
  }
  const sums = mix.influences.map(() => 0);
  let total = 0;
  let literal = 0;
  for (const c of CHANNELS) {
    const weight = envelope(c, t);
    if (!weight) continue;
    total += weight;
    const { influences, over } = sharesAt(mix, c, t);
    influences.forEach((s, i) => (sums[i] += weight * s));
    literal += weight * over;
  }
  const influences = sums.map((s) => (total ? s / total : 0));
  return { influences, words: 1 - influences.reduce((a, b) => a + b, 0), over: total ? literal / total : 1 };
}
