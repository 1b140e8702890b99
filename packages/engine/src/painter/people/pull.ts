import { labToLch, lchToLab, type Lab, type Lch } from '@urbild/core';

/** The value of one trait with its share, 0..1; what the words keep is not among them. */
export interface Pull<T> {
  readonly value: T;
  readonly share: number;
}

/** True where references have more of something than the words. */
export const isRuled = (pulls: readonly Pull<unknown>[]): boolean => pulls.reduce((s, p) => s + p.share, 0) > 0.5;

/** A colour that references pull on, each by its share, in OKLab. */
export function mixedColour(own: Lch, pulls: readonly Pull<Lab>[]): Lch {
  if (!pulls.length) return own;
  const lab = [...lchToLab(own)] as [number, number, number];
  const from = lchToLab(own);
  for (const { value, share } of pulls) for (let k = 0; k < 3; k++) lab[k] += share * (value[k] - from[k]);
  return labToLch(lab);
}

/** The kind with the largest share; the words hold theirs with what the references leave. */
export function ruling(own: string, pulls: readonly Pull<string>[]): string {
  const votes = new Map<string, number>([[own, 1 - pulls.reduce((s, p) => s + p.share, 0)]]);
  for (const { value, share } of pulls) votes.set(value, (votes.get(value) ?? 0) + share);
  return [...votes].reduce((best, v) => (v[1] > best[1] + 1e-9 ? v : best))[0];
}
