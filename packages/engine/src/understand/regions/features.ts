import { blurPlane, CHROMA_GAIN, findHorizon, levelOf, resampleToLongSide, type Picture } from '@urbild/core';

/** Pictures are read at this many px on the longer side. */
export const READ_SIDE = 96;

/** What is measured of every pixel before anything is decided, pixel by pixel. */
export interface RegionFeatures {
  readonly width: number;
  readonly height: number;
  /** Numbers for each pixel. */
  readonly count: number;
  readonly values: Float32Array;
}

/** Grain: how much finer detail than the read size holds lies at each of its pixels. */
function grainOf(picture: Picture, w: number, h: number): Float32Array {
  const fine = levelOf(picture, Math.min(288, Math.max(picture.width, picture.height)));
  const L = fine.planes[0];
  const soft = blurPlane(L, fine.width, fine.height, 2.5);
  const detail = L.map((v, i) => Math.abs(v - soft[i]));
  return resampleToLongSide({ ...fine, planes: [detail, detail, detail] }, Math.max(w, h)).planes[0];
}

/** Means of the three planes over some rows. */
function meanOf(planes: readonly Float32Array[], from: number, to: number): number[] {
  return planes.map((p) => {
    let sum = 0;
    for (let i = from; i < to; i++) sum += p[i];
    return sum / Math.max(1, to - from);
  });
}

/** Along every column, the strongest and the summed change of lightness and colour met on the way from the top. */
function wayFromTop(soft: readonly Float32Array[], w: number, h: number): [worst: Float32Array, sum: Float32Array] {
  const worst = new Float32Array(w * h);
  const sum = new Float32Array(w * h);
  for (let i = w; i < w * h; i++) {
    let square = 0;
    for (const p of soft) square += (p[i] - p[i - w]) ** 2;
    const step = Math.sqrt(square);
    worst[i] = Math.max(worst[i - w], step);
    sum[i] = sum[i - w] + step;
  }
  return [worst, sum];
}

/** Measures a picture for telling sky, ground and things apart. */
export function regionFeatures(picture: Picture): RegionFeatures {
  const small = levelOf(picture, READ_SIDE);
  const { width: w, height: h } = small;
  const own = small.planes.map((p, c) => (c ? p.map((v) => v / CHROMA_GAIN) : p));
  const near = own.map((p) => blurPlane(p, w, h, 1.2));
  const around = own.map((p) => blurPlane(p, w, h, 3));
  const wide = own.map((p) => blurPlane(p, w, h, 9));
  const rough = blurPlane(
    own[0].map((v, i) => Math.abs(v - around[0][i])),
    w,
    h,
    2,
  );
  const grain = grainOf(picture, w, h);
  const softGrain = blurPlane(grain, w, h, 3);
  const band = w * Math.max(1, Math.round(h / 9));
  const top = meanOf(own, 0, band);
  const foot = meanOf(own, w * h - band, w * h);
  const whole = meanOf(own, 0, w * h);
  const [worst, way] = wayFromTop(near, w, h);
  const horizon = findHorizon(picture);
  const columns: ((i: number, x: number, y: number) => number)[] = [
    (_, __, y) => y,
    (_, __, y) => y * y,
    (_, x) => Math.abs(x - 0.5),
    (_, __, y) => y - horizon.at,
    ...own.map((p) => (i: number) => p[i]),
    ...near.map((p) => (i: number) => p[i]),
    ...around.map((p) => (i: number) => p[i]),
    ...wide.map((p) => (i: number) => p[i]),
    (i) => rough[i],
    (i) => grain[i],
    (i) => softGrain[i],
    ...near.flatMap((p, c) => [(i: number) => p[i] - top[c], (i: number) => p[i] - foot[c]]),
    (i) => Math.hypot(...near.map((p, c) => p[i] - top[c])),
    (i) => Math.hypot(...near.map((p, c) => p[i] - foot[c])),
    (i) => Math.hypot(...near.map((p, c) => p[i] - wide[c][i])),
    (i) => worst[i],
    (i) => way[i],
    ...whole.map((v) => () => v),
    ...top.map((v, c) => () => v - foot[c]),
  ];
  const count = columns.length;
  const values = new Float32Array(w * h * count);
  for (let i = 0, o = 0; i < w * h; i++) {
    const x = (i % w) / w;
    const y = Math.floor(i / w) / h;
    for (const column of columns) values[o++] = column(i, x, y);
  }
  return { width: w, height: h, count, values };
}
