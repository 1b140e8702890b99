import { combinedSharesAt, sharesAt, type Channel, type Shares, type Weighing } from '@urbild/core';

export type ChartChannel = Channel | 'all';

/** The shares at a moment: one channel's, or the mean over all that are being decided just then. */
export const sharesFor = (mix: Weighing, channel: ChartChannel, t: number): Shares =>
  channel === 'all' ? combinedSharesAt(mix, t) : sharesAt(mix, channel, t);
