import {
  blockOut,
  feltPenBoat,
  feltPlan,
  gradient,
  pencilRoom,
  photographedEvening,
  photographedHills,
  scannedPaper,
  signShape,
} from './arrangements';
import { DANCER, DRAWN_FACE, drawnFace, redKettle, stickDancer } from './subjects';
import type { RequestPicture } from '@urbild/engine';
import type { ForeignPicture } from './sheet';

/** A foreign picture with what a person or a model would have told about it. */
export interface ForeignReference {
  readonly picture: ForeignPicture;
  readonly told: Omit<RequestPicture, 'content' | 'weight'>;
}

/** Twelve references that our painter did not draw. */
export const foreignReferences = (): ForeignReference[] => [
  { picture: photographedHills(), told: {} },
  { picture: photographedEvening(), told: {} },
  { picture: scannedPaper(), told: {} },
  { picture: gradient(), told: {} },
  { picture: feltPenBoat(), told: {} },
  { picture: pencilRoom(), told: {} },
  { picture: blockOut(), told: {} },
  { picture: feltPlan(), told: {} },
  { picture: signShape(), told: {} },
  { picture: drawnFace(), told: { face: DRAWN_FACE } },
  { picture: stickDancer(), told: { joints: DANCER } },
  { picture: redKettle(), told: {} },
];
