/** Rows of three channels, each less its mean. */
export function centred(channels: readonly Float64Array[]): number[][] {
  const means = channels.map((c) => c.reduce((s, v) => s + v, 0) / c.length);
  return Array.from(channels[0], (_, k) => channels.map((c, i) => c[k] - means[i]));
}

/**
 * How alike two lists of colours are but for what their colours became, 0..1: the RV coefficient without centring (Robert & Escoufier
 * 1976), |A'B| / sqrt(|A'A| |B'B|) with Frobenius norms. 1 where one follows from the other by one change of colours for all.
 */
export function alike(a: readonly (readonly number[])[], b: readonly (readonly number[])[]): number {
  const product = (x: typeof a, y: typeof a): number => {
    let sum = 0;
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) sum += x.reduce((s, row, k) => s + row[i] * y[k][j], 0) ** 2;
    return Math.sqrt(sum);
  };
  const [ab, aa, bb] = [product(a, b), product(a, a), product(b, b)];
  if (aa < 1e-9) return 1;
  return bb < 1e-9 ? 0 : Math.min(1, ab / Math.sqrt(aa * bb));
}
