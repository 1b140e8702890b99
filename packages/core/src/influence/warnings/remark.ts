import type { Gives } from '../../mix/gives';

/** What a render may find out about an influence. */
export const REMARKS = ['nothing-to-give', 'nobody-to-take', 'toned-shape', 'shape-at-edge', 'thin-shape'] as const;
export type RemarkKind = (typeof REMARKS)[number];

/** What a take found out about an influence. */
export interface Remark {
  readonly influence: string;
  readonly gives: Gives;
  readonly kind: RemarkKind;
}
