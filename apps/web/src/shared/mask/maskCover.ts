/** Somebody in a picture: their box as left, top, right, bottom, 0..1. */
interface Figure {
  readonly name?: string;
  readonly box: readonly number[];
}

/** Part of a painted mask (RGBA) that is painted, 0..1. */
export function coverageOf(rgba: Uint8ClampedArray): number {
  let painted = 0;
  for (let i = 3; i < rgba.length; i += 4) if (rgba[i] >= 128) painted++;
  return rgba.length ? painted / (rgba.length / 4) : 0;
}

/** A figure is cut when at least this much of its box is covered, but not nearly all of it. */
const TOUCHED = 0.12;
const HELD = 0.7;

/** The name of a figure that a mask covers only in part, so that it could not be drawn anew as a whole; undefined otherwise. */
export function cutFigure(
  rgba: Uint8ClampedArray,
  width: number,
  height: number,
  figures: readonly Figure[],
  invert: boolean,
): string | undefined {
  for (const [k, { name, box }] of figures.entries()) {
    const [left, right] = [Math.floor(box[0] * width), Math.ceil(box[2] * width)];
    const [top, bottom] = [Math.floor(box[1] * height), Math.ceil(box[3] * height)];
    let covered = 0;
    let count = 0;
    for (let y = Math.max(0, top); y < Math.min(height, bottom); y++)
      for (let x = Math.max(0, left); x < Math.min(width, right); x++, count++)
        if (rgba[(y * width + x) * 4 + 3] >= 128 !== invert) covered++;
    const part = count ? covered / count : 0;
    if (part > TOUCHED && part < HELD) return name ?? `figure ${k + 1}`;
  }
  return undefined;
}
