import { createHash } from 'crypto';

/** Digits that are kept of a number: more than any rounding of a machine reaches. */
const DIGITS = 5;

const rounded = (v: number) => (Number.isInteger(v) ? v : Number(v.toPrecision(DIGITS)));

/** A short digest of anything that is made of plain data: numbers are rounded, maps and sets are taken by their entries. */
export function digestOf(value: unknown): string {
  const text = JSON.stringify(value, (_, v: unknown) => {
    if (typeof v === 'number') return rounded(v);
    if (v instanceof Map || v instanceof Set) return [...v];
    if (v instanceof Float32Array || v instanceof Float64Array) return Array.from(v, rounded);
    return ArrayBuffer.isView(v) && !(v instanceof DataView) ? Array.from(v as Uint8Array) : v;
  });
  return createHash('sha256')
    .update(text ?? 'undefined')
    .digest('hex')
    .slice(0, 12);
}
