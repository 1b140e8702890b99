import type { Descriptors } from '../describe/descriptors';
import type { Swatch } from '../describe/palette';

/**
 * The descriptors of several pictures taken as one. For the tables of quantiles the weighted mean is the exact barycentre of
 * the distributions in one dimension. Throws RangeError without pictures.
 */
export function blendDescriptors(
  parts: readonly { readonly descriptors: Descriptors; readonly weight: number }[],
): Descriptors {
  const total = parts.reduce((s, p) => s + p.weight, 0);
  if (!parts.length || !(total > 0)) throw new RangeError('There is nothing to blend');
  if (parts.length === 1) return parts[0].descriptors;
  const mean = (of: (d: Descriptors) => Float32Array) => {
    const out = new Float32Array(of(parts[0].descriptors).length);
    for (const { descriptors, weight } of parts) {
      const from = of(descriptors);
      for (let i = 0; i < out.length; i++) out[i] += (from[i] * weight) / total;
    }
    return out;
  };
  return { palette: mean((d) => d.palette), surface: mean((d) => d.surface), layout: mean((d) => d.layout) };
}

/** The palette of several pictures together: their swatches by weight, near ones joined, heaviest first, at most `count`. */
export function blendSwatches(
  parts: readonly { readonly swatches: readonly Swatch[]; readonly weight: number }[],
  count = 8,
): Swatch[] {
  const total = parts.reduce((s, p) => s + p.weight, 0) || 1;
  let all = parts.flatMap(({ swatches, weight }) =>
    swatches.map((s) => ({ lab: s.lab, weight: (s.weight * weight) / total })),
  );
  while (all.length > count) {
    let least = Infinity;
    let pair: [number, number] = [0, 1];
    for (let i = 0; i < all.length; i++)
      for (let j = i + 1; j < all.length; j++) {
        const d =
          Math.hypot(...all[i].lab.map((v, k) => v - all[j].lab[k])) *
          Math.sqrt(Math.min(all[i].weight, all[j].weight));
        if (d < least) {
          least = d;
          pair = [i, j];
        }
      }
    const [a, b] = [all[pair[0]], all[pair[1]]];
    const weight = a.weight + b.weight || 1e-9;
    const mix = (k: 0 | 1 | 2) => (a.lab[k] * a.weight + b.lab[k] * b.weight) / weight;
    all = [...all.filter((_, i) => i !== pair[0] && i !== pair[1]), { lab: [mix(0), mix(1), mix(2)], weight }];
  }
  return all.sort((x, y) => y.weight - x.weight);
}
