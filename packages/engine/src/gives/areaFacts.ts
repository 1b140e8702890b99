import { clamp, labToLch, type Box, type Lch } from '@urbild/core';
import type { AreasHint } from '../painter/places';
import { grow, type AreaLabels } from '../understand/areas/faces';
import { outlineOfFigure } from '../understand/lines/figureLines';
import type { SeenPicture } from '../understand/readPicture';

/** An area is somebody's that lies within their box with so much of it. */
const WITHIN = 0.7;

/** The areas of a picture as they go on behind people: those of the words stand there. `somebody` is known by other means, in parts. */
export function withoutPeople({ labels, kinds, forms, width: w, height: h }: SeenPicture, somebody?: Box): AreaLabels {
  const inside = new Uint32Array(labels.count + 1);
  if (somebody)
    for (let y = Math.max(0, Math.floor(somebody.top * h)); y < Math.min(h, somebody.bottom * h); y++)
      for (let x = Math.max(0, Math.floor(somebody.left * w)); x < Math.min(w, somebody.right * w); x++)
        inside[labels.of[y * w + x]]++;
  const theirs = (k: number) => kinds.get(k)?.kind === 'person' || inside[k] > WITHIN * (forms[k]?.size ?? Infinity);
  const of = labels.of.map((k) => (theirs(k) ? 0 : k));
  if (!of.some((k) => k)) return labels;
  grow(of, w, h);
  return { of, count: labels.count };
}

/** The number of every area among those of its kind, the largest first. */
export function ranksOf({ forms, kinds }: SeenPicture): ReadonlyMap<number, number> {
  const seen = new Map<string, number>();
  const sorted = [...kinds].sort(([a], [b]) => (forms[b]?.size ?? 0) - (forms[a]?.size ?? 0));
  return new Map(
    sorted.map(([k, { kind }]) => {
      const nth = seen.get(kind) ?? 0;
      seen.set(kind, nth + 1);
      return [k, nth];
    }),
  );
}

/** Mean lightness of every kind, L 0..1. */
export function middlesOf({ forms, kinds }: SeenPicture): ReadonlyMap<string, number> {
  const sums = new Map<string, { L: number; n: number }>();
  forms.forEach((form, k) => {
    if (!form) return;
    const { kind } = kinds.get(k)!;
    const s = sums.get(kind) ?? { L: 0, n: 0 };
    sums.set(kind, { L: s.L + form.lab[0] * form.size, n: s.n + form.size });
  });
  return new Map([...sums].map(([kind, { L, n }]) => [kind, L / n / 100]));
}

/** Areas of one kind that touch are one building, one tree. */
export function groupsOf({ forms, kinds }: SeenPicture): readonly number[] {
  const group = forms.map((_, k) => k);
  const find = (k: number): number => (group[k] === k ? k : find(group[k]));
  forms.forEach((form, k) => {
    for (const j of form?.beside.keys() ?? []) if (kinds.get(j)?.kind === kinds.get(k)?.kind) group[find(j)] = find(k);
  });
  return group.map((_, k) => find(k));
}

/** The colour of an area at its top and at its foot: a straight line over its height (least squares). */
export function endsOf({ labels, forms, planes, width: w }: SeenPicture, k: number): [Lch, Lch] {
  const { top, bottom, left, right, lab } = forms[k]!;
  const middle = (top + bottom) / 2;
  let [n, meanY] = [0, 0];
  const each = (take: (i: number, y: number) => void) => {
    for (let y = top; y <= bottom; y++)
      for (let x = left; x <= right; x++) if (labels.of[y * w + x] === k) take(y * w + x, y);
  };
  each((_, y) => {
    n++;
    meanY += y - middle;
  });
  meanY /= n || 1;
  let spread = 0;
  const slopes = [0, 0, 0];
  const means = [0, 0, 0];
  each((i, y) => {
    const dy = y - middle - meanY;
    spread += dy * dy;
    planes.forEach((p, c) => {
      slopes[c] += dy * (p[i] - lab[c]);
      means[c] += p[i] / n;
    });
  });
  const at = (y: number): Lch => {
    const [L, A, B] = means.map((v, c) => v + (spread ? slopes[c] / spread : 0) * (y - middle - meanY));
    return labToLch([clamp(L / 100, 0.02, 0.99), A / 400, B / 400]);
  };
  return [at(top), at(bottom)];
}

/** The drawn lines of a picture that is drawn by lines, in their ink, and its figures of lines. */
export function linesOf(seen: SeenPicture): AreasHint['lines'] {
  const { drawnBy, strokes, figures, planes, making, width: w, height: h } = seen;
  if (drawnBy !== 'lines') return [];
  const inkAt = ([x, y]: readonly [number, number]): Lch => {
    const i = Math.round(y) * w + Math.round(x);
    return labToLch([planes[0][i] / 100, planes[1][i] / 400, planes[2][i] / 400]);
  };
  const width = Math.max(1, making.lines.width) / w;
  const drawn = strokes.map((s) => s.points).filter((p) => p.length > 3);
  const [ink] = drawn.map((p) => inkAt(p[p.length >> 1])).sort((a, b) => a[0] - b[0]);
  const line = (points: readonly (readonly [number, number])[], colour: Lch) => ({
    path: points.map(([x, y]) => [x / w, y / h] as const),
    width,
    colour,
  });
  return [
    ...drawn.map((p) => line(p, inkAt(p[p.length >> 1]))),
    ...figures.flatMap((f) =>
      outlineOfFigure(f).map((p) => ({ ...line(p, ink ?? [0.3, 0, 0]), of: 'person' as const })),
    ),
  ];
}

/** Where the ground that runs to the foot of the picture, or water, begins: hills beyond rise above that. Undefined without any. */
export function horizonIn({ forms, kinds, labels, width: w, height: h }: SeenPicture): number | undefined {
  const near = new Set<number>();
  for (const [k, { kind }] of kinds)
    if (kind === 'water' || (kind === 'ground' && (forms[k]?.edge.bottom ?? 0) > 0)) near.add(k);
  const tops: number[] = [];
  for (let x = 0; x < w; x += 2) {
    let y = 0;
    while (y < h && !near.has(labels.of[y * w + x])) y++;
    if (y < h) tops.push(y / h);
  }
  tops.sort((a, b) => a - b);
  // what stands on the ground hides where it begins
  return tops.length > w / 8 ? clamp(tops[Math.floor(tops.length * 0.25)], 0.2, 0.85) : undefined;
}
