import { boxPlane } from './filter';
import { mapPlanes, type Picture } from './picture';
import { between } from './resample';

/** A locally linear model of one picture by another, fitted at one size and usable at any. */
export interface GuidedModel {
  readonly width: number;
  readonly height: number;
  /** For every output plane: three slope planes and one offset plane. */
  readonly slopes: readonly (readonly Float32Array[])[];
  readonly offsets: readonly Float32Array[];
}

/**
 * Colour guided filter (He, Sun and Tang 2013): explains `target` by the three planes of `guide` in windows of `radius`
 * pixels, `epsilon` is the regulariser (variance units). What is flat in the guide stays flat in the result.
 */
export function fitGuided(guide: Picture, target: Picture, radius: number, epsilon: number): GuidedModel {
  const { width: w, height: h, planes: G } = guide;
  const n = w * h;
  const mean = (p: Float32Array) => boxPlane(p, w, h, radius);
  const product = (p: Float32Array, q: Float32Array) => {
    const out = new Float32Array(n);
    for (let i = 0; i < n; i++) out[i] = p[i] * q[i];
    return out;
  };
  const mu = G.map(mean);
  const covariance = (i: number, j: number) => {
    const c = mean(product(G[i], G[j]));
    for (let k = 0; k < n; k++) c[k] -= mu[i][k] * mu[j][k];
    return c;
  };
  const s00 = covariance(0, 0);
  const s01 = covariance(0, 1);
  const s02 = covariance(0, 2);
  const s11 = covariance(1, 1);
  const s12 = covariance(1, 2);
  const s22 = covariance(2, 2);
  const slopes: Float32Array[][] = [];
  const offsets: Float32Array[] = [];
  for (const plane of target.planes) {
    const mp = mean(plane);
    const cov = [0, 1, 2].map((i) => {
      const c = mean(product(G[i], plane));
      for (let k = 0; k < n; k++) c[k] -= mu[i][k] * mp[k];
      return c;
    });
    const a = [new Float32Array(n), new Float32Array(n), new Float32Array(n)];
    const b = new Float32Array(n);
    for (let k = 0; k < n; k++) {
      // inverse of the symmetric 3 x 3 covariance (plus epsilon) by cofactors
      const a00 = s00[k] + epsilon;
      const a11 = s11[k] + epsilon;
      const a22 = s22[k] + epsilon;
      const a01 = s01[k];
      const a02 = s02[k];
      const a12 = s12[k];
      const c00 = a11 * a22 - a12 * a12;
      const c01 = a02 * a12 - a01 * a22;
      const c02 = a01 * a12 - a02 * a11;
      const c11 = a00 * a22 - a02 * a02;
      const c12 = a01 * a02 - a00 * a12;
      const c22 = a00 * a11 - a01 * a01;
      const det = a00 * c00 + a01 * c01 + a02 * c02;
      const x = cov[0][k];
      const y = cov[1][k];
      const z = cov[2][k];
      a[0][k] = (c00 * x + c01 * y + c02 * z) / det;
      a[1][k] = (c01 * x + c11 * y + c12 * z) / det;
      a[2][k] = (c02 * x + c12 * y + c22 * z) / det;
      b[k] = mp[k] - a[0][k] * mu[0][k] - a[1][k] * mu[1][k] - a[2][k] * mu[2][k];
    }
    slopes.push(a.map(mean));
    offsets.push(mean(b));
  }
  return { width: w, height: h, slopes, offsets };
}

/** Applies a fitted model to `guide`, which may be larger than the picture the model was fitted on. */
export function applyGuided(model: GuidedModel, guide: Picture): Picture {
  const { width: w, height: h, planes: G } = guide;
  const { width: mw, height: mh } = model;
  const columns = between(mw, w);
  const rows = between(mh, h);
  const row = [0, 1, 2, 3].map(() => new Float32Array(mw));
  const { low, high, part } = columns;
  const [a0, a1, a2, b] = row;
  const [g0, g1, g2] = G;
  return mapPlanes(w, h, (c) => {
    const from = [...model.slopes[c], model.offsets[c]];
    const out = new Float32Array(w * h);
    for (let y = 0, i = 0; y < h; y++) {
      for (let k = 0; k < 4; k++) mixRows(from[k], rows.low[y] * mw, rows.high[y] * mw, rows.part[y], row[k]);
      for (let x = 0; x < w; x++, i++) {
        const l = low[x];
        const r = high[x];
        const u = part[x];
        out[i] =
          (a0[l] + u * (a0[r] - a0[l])) * g0[i] +
          (a1[l] + u * (a1[r] - a1[l])) * g1[i] +
          (a2[l] + u * (a2[r] - a2[l])) * g2[i] +
          (b[l] + u * (b[r] - b[l]));
      }
    }
    return out;
  });
}

function mixRows(plane: Float32Array, above: number, below: number, t: number, out: Float32Array): void {
  for (let x = 0; x < out.length; x++) out[x] = plane[above + x] + t * (plane[below + x] - plane[above + x]);
}
