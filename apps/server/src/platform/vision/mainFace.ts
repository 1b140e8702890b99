import type { SeenFace } from './vision.worker';

/** The face that a picture is of: the largest. Undefined where there is none. */
export const mainOf = <F extends Pick<SeenFace, 'box'>>(faces: readonly F[]): F | undefined =>
  [...faces].sort((a, b) => b.box[2] * b.box[3] - a.box[2] * a.box[3])[0];
