import type { AreaLabels } from './faces';

/** Three planes of one picture: L 0..100, a and b in steps as large to the eye. */
export type Planes = readonly [Float32Array, Float32Array, Float32Array];

/**
 * Superpixels: small areas of like colour, about as many as `count` (SLIC, Achanta et al. 2012). `compact` is what a distance of one
 * cell counts against colours.
 */
export function superpixels(
  planes: Planes,
  w: number,
  h: number,
  { count, compact, rounds = 5 }: { readonly count: number; readonly compact: number; readonly rounds?: number },
): AreaLabels {
  const cell = Math.max(3, Math.floor(Math.sqrt((w * h) / count)));
  const near = (compact * compact) / (cell * cell);
  const centres: Float64Array[] = [];
  for (let y = cell >> 1; y < h; y += cell)
    for (let x = cell >> 1; x < w; x += cell) {
      const i = y * w + x;
      centres.push(Float64Array.of(planes[0][i], planes[1][i], planes[2][i], x, y));
    }
  const nearest = new Int32Array(w * h);
  const least = new Float32Array(w * h);
  for (let round = 0; round < rounds; round++) {
    least.fill(Infinity);
    centres.forEach((c, k) => claim(planes, c, k, { w, h, cell, near, nearest, least }));
    recentre(planes, centres, nearest, w);
  }
  return connectedOnly(nearest, w, h);
}

/** Gives a centre the pixels around it to which it is nearer than those before it. */
function claim(
  [L, A, B]: Planes,
  [l, a, b, cx, cy]: Float64Array,
  k: number,
  g: { w: number; h: number; cell: number; near: number; nearest: Int32Array; least: Float32Array },
): void {
  const [x0, x1] = [Math.max(0, Math.floor(cx - g.cell)), Math.min(g.w, Math.floor(cx + g.cell + 1))];
  const [y0, y1] = [Math.max(0, Math.floor(cy - g.cell)), Math.min(g.h, Math.floor(cy + g.cell + 1))];
  for (let y = y0; y < y1; y++)
    for (let x = x0, i = y * g.w + x0; x < x1; x++, i++) {
      const [dl, da, db] = [L[i] - l, A[i] - a, B[i] - b];
      const d = dl * dl + da * da + db * db + g.near * ((x - cx) ** 2 + (y - cy) ** 2);
      if (d >= g.least[i]) continue;
      g.least[i] = d;
      g.nearest[i] = k;
    }
}

function recentre([L, A, B]: Planes, centres: Float64Array[], nearest: Int32Array, w: number): void {
  const sums = centres.map(() => new Float64Array(6));
  nearest.forEach((k, i) => {
    const s = sums[k];
    s[0] += L[i];
    s[1] += A[i];
    s[2] += B[i];
    s[3] += i % w;
    s[4] += Math.floor(i / w);
    s[5]++;
  });
  sums.forEach((s, k) => s[5] && (centres[k] = s.slice(0, 5).map((v) => v / s[5])));
}

/** Every connected piece of one label becomes a label of its own. */
function connectedOnly(labels: Int32Array, w: number, h: number): AreaLabels {
  const of = new Int32Array(w * h);
  const open = new Int32Array(w * h);
  let count = 0;
  for (let first = 0; first < w * h; first++) {
    if (of[first]) continue;
    let top = 0;
    of[first] = ++count;
    open[top++] = first;
    while (top) {
      const i = open[--top];
      const x = i % w;
      for (const j of [x ? i - 1 : -1, x < w - 1 ? i + 1 : -1, i - w, i + w])
        if (j >= 0 && j < w * h && !of[j] && labels[j] === labels[first]) {
          of[j] = count;
          open[top++] = j;
        }
    }
  }
  return { of, count };
}
