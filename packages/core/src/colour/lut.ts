import { clamp } from '../maths/scalar';
import { clonePicture, type Picture } from '../picture/picture';

const SIDE = 17;
const CELLS = SIDE ** 3;
const LOW = [0, -0.55, -0.55];
const HIGH = [1, 0.55, 0.55];

/** A table of colour shifts on a 17 x 17 x 17 grid over L, a and b (a and b with the chroma gain). */
export type ColourTable = readonly [Float32Array, Float32Array, Float32Array];

const position = (channel: number, value: number): number =>
  clamp((value - LOW[channel]) / (HIGH[channel] - LOW[channel])) * (SIDE - 1.001);

/** Learns the table that takes each colour of `from` to the colour at the same pixel of `to` (pictures of one size). */
export function learnColourTable(from: Picture, to: Picture): ColourTable {
  const shift: [Float32Array, Float32Array, Float32Array] = [
    new Float32Array(CELLS),
    new Float32Array(CELLS),
    new Float32Array(CELLS),
  ];
  const weight = new Float32Array(CELLS);
  const n = from.width * from.height;
  for (let i = 0; i < n; i++) {
    const u = [0, 1, 2].map((c) => position(c, from.planes[c][i]));
    const k = u.map(Math.floor);
    for (let corner = 0; corner < 8; corner++) {
      let w = 1;
      let cell = 0;
      for (let c = 0; c < 3; c++) {
        const bit = (corner >> c) & 1;
        const f = u[c] - k[c];
        w *= bit ? f : 1 - f;
        cell = cell * SIDE + k[c] + bit;
      }
      weight[cell] += w;
      for (let c = 0; c < 3; c++) shift[c][cell] += w * (to.planes[c][i] - from.planes[c][i]);
    }
  }
  spread(shift, weight);
  for (let i = 0; i < CELLS; i++) for (let c = 0; c < 3; c++) shift[c][i] /= weight[i] || 1;
  return shift;
}

/** Cells that no colour fell into take the mean of their neighbours, a little wider with every pass. */
function spread(shift: readonly Float32Array[], weight: Float32Array): void {
  const strides = [SIDE * SIDE, SIDE, 1];
  for (let pass = 0; pass < 8; pass++) {
    const k = pass < 1 ? 0.25 : 0.02;
    for (const stride of strides) {
      const before = [weight, ...shift].map((p) => p.slice());
      for (let i = 0; i < CELLS; i++) {
        const c = Math.floor(i / stride) % SIDE;
        for (const j of [c > 0 ? i - stride : -1, c < SIDE - 1 ? i + stride : -1]) {
          if (j < 0) continue;
          weight[i] += k * before[0][j];
          for (let d = 0; d < 3; d++) shift[d][i] += k * before[d + 1][j];
        }
      }
    }
  }
}

/** The table between two: `amount` 0 is `a`, 1 is `b`. */
export const blendColourTables = (a: ColourTable, b: ColourTable, amount: number): ColourTable =>
  [0, 1, 2].map((c) => a[c].map((v, i) => v + amount * (b[c][i] - v))) as unknown as ColourTable;

/** Applies a table to every pixel, trilinearly; `amount` 0..1. */
export function applyColourTable(picture: Picture, table: ColourTable, amount = 1): Picture {
  const out = clonePicture(picture);
  const n = picture.width * picture.height;
  const [L, A, B] = picture.planes;
  for (let i = 0; i < n; i++) {
    const u0 = position(0, L[i]);
    const u1 = position(1, A[i]);
    const u2 = position(2, B[i]);
    const k0 = Math.floor(u0);
    const k1 = Math.floor(u1);
    const k2 = Math.floor(u2);
    const f0 = u0 - k0;
    const f1 = u1 - k1;
    const f2 = u2 - k2;
    const base = (k0 * SIDE + k1) * SIDE + k2;
    for (let c = 0; c < 3; c++) {
      const t = table[c];
      const face = (z: number) => {
        const a = t[z] * (1 - f2) + t[z + 1] * f2;
        const b = t[z + SIDE] * (1 - f2) + t[z + SIDE + 1] * f2;
        return a * (1 - f1) + b * f1;
      };
      out.planes[c][i] += amount * (face(base) * (1 - f0) + face(base + SIDE * SIDE) * f0);
    }
  }
  return out;
}
