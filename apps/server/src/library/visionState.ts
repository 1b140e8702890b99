import type { Kind, Vision, VisionState } from './reference.entity';

/** How far a reference has been looked at, from what was seen of it and whether a person has said where its face is. */
export function visionStateOf(vision: Vision | null, byHand: boolean, kind: Kind): VisionState {
  if (byHand) return 'done';
  if (!vision) return 'waiting';
  if (vision.model === NO_MODEL) return 'unavailable';
  return !vision.faces.length && kind === 'face' ? 'needs-box' : 'done';
}

/** What stands for the model where there was none to look. */
export const NO_MODEL = 'none';
