import type { PreparedReference } from './reference';

/** A prepared picture of an influence. */
export interface Source {
  readonly reference: PreparedReference;
  /** Index into the plan's shares. */
  readonly influence: number;
  readonly part: number;
}
