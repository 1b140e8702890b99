import type { Box } from './mask/salience';

/** What is done to a picture before the engine gets it. The file as it came stays untouched. */
export interface Preparation {
  /** The part that matters; the whole picture when absent. */
  readonly focus?: Box;
  /** 0 as it is .. 1 strongly sharpened. */
  readonly sharpen: number;
  /** Fill a plain background with the colours of the subject, so that it cannot leak. */
  readonly cutOut: boolean;
  /** Lay transparency over white. */
  readonly flatten: boolean;
}

/** As it came, but flattened. */
export const UNPREPARED: Preparation = { sharpen: 0, cutOut: false, flatten: true };

/** True when two preparations give the same picture. */
export const samePreparation = (a: Preparation, b: Preparation): boolean =>
  a.sharpen === b.sharpen &&
  a.cutOut === b.cutOut &&
  a.flatten === b.flatten &&
  JSON.stringify(a.focus ?? null) === JSON.stringify(b.focus ?? null);
