import { clamp, type Picture } from '@urbild/core';

/** What a look does to all colours alike: value after = at + gain * value before, for lightness, a and b. */
export interface LookCast {
  readonly at: readonly [number, number, number];
  readonly gain: readonly [number, number, number];
}

/** Every so many pixels are looked at. */
const EVERY = 61;
/** Gains outside are no cast but another picture, or one without colours: those are believed up to here. */
const GAIN = { least: 0.45, most: 1.8 } as const;

/** What a look has done to a picture as a whole: the straight lines of least squares between what was painted and what became of it. */
export function lookCast(painted: Picture, picture: Picture): LookCast {
  const at: number[] = [];
  const gain: number[] = [];
  for (const channel of [0, 1, 2]) {
    const [x, y] = [painted.planes[channel], picture.planes[channel]];
    let [n, sx, sy, sxx, sxy] = [0, 0, 0, 0, 0];
    for (let i = 0; i < x.length; i += EVERY) {
      n++;
      sx += x[i];
      sy += y[i];
      sxx += x[i] * x[i];
      sxy += x[i] * y[i];
    }
    const spread = sxx - (sx * sx) / n;
    const slope = clamp(spread > 1e-9 ? (sxy - (sx * sy) / n) / spread : 1, GAIN.least, GAIN.most);
    gain.push(slope);
    at.push((sy - slope * sx) / n);
  }
  return { at: at as unknown as LookCast['at'], gain: gain as unknown as LookCast['gain'] };
}

/** A picture without the cast of its look: colours as an eye sees them that is used to the look. */
export const withoutCast = ({ width, height, planes }: Picture, { at, gain }: LookCast): Picture => ({
  width,
  height,
  planes: planes.map((plane, k) => {
    const [out, by] = [new Float32Array(plane.length), 1 / gain[k]];
    for (let i = 0; i < out.length; i++) out[i] = (plane[i] - at[k]) * by;
    return out;
  }) as unknown as Picture['planes'],
});
