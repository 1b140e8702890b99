/** Rows of weights in 8 bits each, base64, with the largest weight of every row. */
export interface PackedRows {
  readonly top: readonly number[];
  readonly weights: string;
}

const toBase64 = (a: Float32Array | Int8Array): string =>
  btoa(Array.from(new Uint8Array(a.buffer, a.byteOffset, a.byteLength), (b) => String.fromCharCode(b)).join(''));

const toBytes = (text: string): Uint8Array<ArrayBuffer> => Uint8Array.from(atob(text), (c) => c.charCodeAt(0));

/** Numbers as base64 of 32-bit floats. */
export const packFloats = (values: Float32Array): string => toBase64(values);

/** The inverse of {@link packFloats}. */
export const unpackFloats = (text: string): Float32Array => new Float32Array(toBytes(text).buffer);

/** Rows of equal length in 8 bits a weight. */
export function packRows(rows: readonly Float32Array[]): PackedRows {
  const top = rows.map((row) => row.reduce((m, v) => Math.max(m, Math.abs(v)), 0) || 1);
  const bytes = Int8Array.from(rows.flatMap((row, k) => [...row].map((v) => Math.round((v / top[k]) * 127))));
  return { top, weights: toBase64(bytes) };
}

/** The inverse of {@link packRows}, to the 8 bits. */
export function unpackRows({ top, weights }: PackedRows): Float32Array[] {
  const all = new Int8Array(toBytes(weights).buffer);
  const length = all.length / top.length;
  return top.map((t, k) => Float32Array.from(all.subarray(k * length, (k + 1) * length), (v) => (v / 127) * t));
}
