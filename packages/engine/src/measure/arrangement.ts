import { blurPlane, clamp, median, resampleToLongSide, type Picture } from '@urbild/core';
import { fitTo } from '../gives/areas';
import type { SeenPicture } from '../understand/readPicture';

/** Longer side at which arrangements are compared, px. */
const SIDE = 192;
/** The step across a border is taken over so much, px; a border may lie a little aside; what is beside it is looked at farther out. */
const STEP = 1.5;
const ASIDE = [-3, -1.5, 0, 1.5, 3];
const BESIDE = [-10, -8, -6, 6, 8, 10];
/** A border is there where the step across it is so much larger than those beside it, and by this much at least (OKLab). */
const LARGER = 1.25;
const LEAST = 0.012;
/** One of so many pixels of a border is looked at. */
const EVERY = 2;

/**
 * On how much of the borders between its areas an arrangement can be found in a picture, 0..1: where a step of lightness or colour goes
 * across the border that is not the same beside it. Borders between areas of one kind do not count, for they may be painted alike. Undefined
 * where there are hardly any.
 */
export function agreementWith(seen: SeenPicture, picture: Picture): number | undefined {
  const { width: w, height: h, labels, kinds } = seen;
  const small = resampleToLongSide(picture, SIDE);
  const planes = small.planes.map((p) => blurPlane(p, small.width, small.height, 0.8));
  const fit = fitTo(picture, w, h);
  const at = (p: Float32Array, x: number, y: number): number =>
    p[clamp(Math.round(y), 0, small.height - 1) * small.width + clamp(Math.round(x), 0, small.width - 1)];
  const apart = (x: number, y: number, nx: number, ny: number, off: number): number =>
    Math.hypot(
      ...planes.map(
        (p) =>
          at(p, x + nx * (off + STEP), y + ny * (off + STEP)) - at(p, x + nx * (off - STEP), y + ny * (off - STEP)),
      ),
    );
  let [hits, all] = [0, 0];
  const look = (x: number, y: number, nx: number, ny: number) => {
    const [u, v] = fit(x / w, y / h);
    if (u < 0.02 || u > 0.98 || v < 0.02 || v > 0.98) return;
    const [px, py] = [u * small.width, v * small.height];
    const across = Math.max(...ASIDE.map((off) => apart(px, py, nx, ny, off)));
    const beside = median(BESIDE.map((off) => apart(px, py, nx, ny, off)));
    all++;
    if (across > LARGER * beside + LEAST) hits++;
  };
  const differs = (i: number, j: number) =>
    labels.of[i] !== labels.of[j] && kinds.get(labels.of[i])!.kind !== kinds.get(labels.of[j])!.kind;
  for (let y = 0; y < h - 1; y++)
    for (let x = y % EVERY; x < w - 1; x += EVERY) {
      const i = y * w + x;
      if (differs(i, i + 1)) look(x + 1, y + 0.5, 1, 0);
      if (differs(i, i + w)) look(x + 0.5, y + 1, 0, 1);
    }
  return all > (w + h) / 8 ? hits / all : undefined;
}

/** What any picture scores whose control is not known. */
const CHANCE = 0.45;

/** How far a take has gone from its control to the arrangement of a reference, 0..1; undefined where it has hardly any. */
export function arrangementArrival(seen: SeenPicture, take: Picture, control?: Picture): number | undefined {
  const own = agreementWith(seen, take);
  if (own === undefined) return undefined;
  const zero = (control && agreementWith(seen, control)) ?? CHANCE;
  return zero >= 1 ? undefined : clamp((own - zero) / (1 - zero));
}
