import type { Schemas } from '@urbild/api';

/** What a person set right of a picture; what is empty (or a horizon of -1) is as it was read. */
export type Corrections = Schemas['CorrectionsDto'];

/** What the engine gets, with what was set right a moment ago, before the studio has answered. */
export function withCorrections(
  gives: Schemas['EngineViewDto'],
  { faces, joints, horizon, layout }: Corrections,
): Schemas['EngineViewDto'] {
  return {
    ...gives,
    layout,
    faces: faces.length ? faces : gives.faces,
    joints: joints.length ? joints : gives.joints,
    horizon: horizon < 0 ? { ...gives.horizon, byHand: false } : { at: horizon, confidence: 1, byHand: true },
  };
}
