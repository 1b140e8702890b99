import { traitDistance } from './apart';
import type { TraitSheet } from './types';

/** How well the pictures of a character agree. */
export interface Agreement {
  /** 0..1 */
  readonly agreement: number;
  /** Index of the picture that falls out, and how far off it is against the others' usual distance. */
  readonly odd?: { readonly index: number; readonly times: number };
}

/** How far off a picture is that falls out, and how far off it still is by all traits but the one that differs most. */
const ODD = 0.3;
const ODD_WITHOUT_WORST = 0.2;

/** How far a sheet, which stands for the picture of that index, is from the other pictures: the middle one of its distances. */
function offFrom(sheets: readonly TraitSheet[], index: number, own = sheets[index]): number {
  const all = sheets.flatMap((t, j) => (j === index ? [] : (traitDistance(own, t) ?? [])));
  return all.length ? all.sort((a, b) => a - b)[all.length >> 1] : 0;
}

/** How far a picture is from the others by all traits but one, whichever brings it nearest: one trait alone may have been misread. */
const offWithoutWorst = (sheets: readonly TraitSheet[], index: number): number =>
  Math.min(
    ...Object.keys(sheets[index]).map((name) => offFrom(sheets, index, { ...sheets[index], [name]: undefined })),
  );

/** Whether pictures show one character, by their trait sheets; the odd one is named when it is far off. */
export function agreementOf(sheets: readonly TraitSheet[]): Agreement {
  const n = sheets.length;
  if (n < 2) return { agreement: 1 };
  const off = sheets.map((_, i) => offFrom(sheets, i));
  const mean = off.reduce((a, b) => a + b, 0) / n;
  // a picture that could hardly be read (a profile, a small face) is no witness against itself
  const sureness = sheets.map((s) => {
    const all = Object.values(s).map((t) => t.confidence);
    return all.reduce((a, b) => a + b, 0) / Math.max(1, all.length);
  });
  const surest = Math.max(...sureness) || 1;
  sureness.forEach((s, i) => (off[i] *= s / surest));
  const index = off.indexOf(Math.max(...off));
  const others = off.filter((_, i) => i !== index);
  const usual = others.reduce((a, b) => a + b, 0) / Math.max(1, others.length);
  const times = off[index] / Math.max(usual, 0.06);
  const odd = n > 2 && times > 1.6 && off[index] > ODD && offWithoutWorst(sheets, index) > ODD_WITHOUT_WORST;
  return {
    agreement: Math.max(0, 1 - 1.6 * mean),
    ...(odd ? { odd: { index, times } } : {}),
  };
}
