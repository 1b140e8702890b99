/** Left, top, width, height. */
type Box = readonly [number, number, number, number];

/** The face that a picture is of: the largest. Undefined where there is none. */
export const mainOf = <F extends { readonly box: Box }>(faces: readonly F[]): F | undefined =>
  [...faces].sort((a, b) => b.box[2] * b.box[3] - a.box[2] * a.box[3])[0];
