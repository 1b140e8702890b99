import type { Channel } from '@urbild/core';
import type { AppliedShare } from '../contract/result';

/** Where applied shares are noted: the plan of a render. */
export interface AppliedLog {
  readonly applied: AppliedShare[];
}

/** The part of the course that a share stands for; the whole of it for what is decided at once. */
const WHOLE = { from: 0, to: 1 };

/** Notes a share at the moment in which it acts, and gives it back to whoever uses it. */
export function apply(
  { applied }: AppliedLog,
  channel: Channel,
  influence: number,
  share: number,
  { from, to }: { readonly from: number; readonly to: number } = WHOLE,
): number {
  applied.push({ channel, influence, share, from, to });
  return share;
}
