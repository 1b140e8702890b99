/**
 * The blur, as a standard deviation in px, that softens masks of skin and figures in a picture of this size, so that no edge of what is
 * done to them shows: a pixel in a picture of 640, more in larger ones.
 */
export const softEdge = (width: number, height: number): number => Math.max(0.6, Math.max(width, height) / 640);
