import type { MixInfluence } from '../mix/mix';

/** What the formula needs of an influence of a mix. */
export type Influence = Pick<MixInfluence, 'id' | 'gives' | 'weight' | 'from' | 'to' | 'on' | 'subject' | 'parts'>;

/** What the formula needs of a mix. */
export interface Weighing {
  readonly influences: readonly Influence[];
  /** Multiplies every reference, 0..2, 1 is neutral. */
  readonly balance: number;
}
