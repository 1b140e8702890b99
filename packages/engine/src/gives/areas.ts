import { clamp, labToLch, lerp, smoothstep, type Lch, type Picture } from '@urbild/core';
import type { AreaHint, AreasHint } from '../painter/places';
import { flowStrokes } from '../understand/areas/flow';
import { CROWN, GABLE, OPENING_IN_HOUSE } from '../understand/areas/simpleForms';
import { grow, type AreaLabels } from '../understand/areas/faces';
import { outlinesOf } from '../understand/areas/outlines';
import { outlineOfFigure } from '../understand/lines/stickFigures';
import { readPicture, type SeenPicture } from '../understand/readPicture';

/** How areas of a reference act at a weight, 0..2: as an arrangement, or as the picture itself, which keeps its colours. */
export interface AreasWish {
  readonly weight: number;
  readonly itself: boolean;
}

/** Weights between which areas take the place over, and between which they come to their own colours. */
const COMING = [0.12, 0.45] as const;
const COLOURING = [0.35, 0.65] as const;
/** From this weight on a reference that gives everything is drawn by itself, without what the words name. */
const ALONE = 0.9;
/** How closely outlines follow, in parts of the longer side: loosely up to the first weight, closely from the second on. */
const CLOSENESS = { from: 0.4, to: 1.5, loose: 0.016, close: 0.0025 } as const;

/** What is part of something larger, by why it was named. */
const PARTS: Readonly<Record<string, AreaHint['part']>> = {
  [GABLE]: 'roof',
  [OPENING_IN_HOUSE]: 'opening',
  [CROWN]: 'crown',
};

/** The areas of a picture as the painter lays them out; undefined where the weight asks for none. */
export function areasOf(picture: Picture, { weight, itself }: AreasWish): AreasHint | undefined {
  const share = smoothstep(...COMING, weight);
  const alone = itself && weight >= ALONE;
  const ownColours = itself ? smoothstep(...COLOURING, weight) : 0;
  if (share <= 0.01) return undefined;
  const seen = readPicture(picture);
  const { width: w, height: h } = seen;
  const near = smoothstep(CLOSENESS.from, CLOSENESS.to, weight);
  const tolerance = lerp(CLOSENESS.loose, CLOSENESS.close, near) * Math.max(w, h);
  const outlines = outlinesOf(alone ? seen.labels : withoutPeople(seen), w, h, { tolerance, smooth: 2 });
  const strokes = ownColours > 0 ? flowStrokes(seen, near) : undefined;
  const groups = groupsOf(seen);
  const middles = middlesOf(seen);
  const ranks = ranksOf(seen);
  const areas = seen.forms.flatMap((form, k): AreaHint[] => {
    const rings = outlines[k];
    if (!form || !rings?.length) return [];
    const { kind, why } = seen.kinds.get(k)!;
    return [
      {
        kind,
        ...{ share: form.share, group: groups[k], nth: ranks.get(k)!, tone: form.lab[0] / 100 - middles.get(kind)! },
        part: PARTS[why],
        outlines: [...rings]
          .sort((a, b) => b.length - a.length)
          .map((ring) => ring.map(([x, y]) => [x / w, y / h] as const)),
        colours: endsOf(seen, k),
        strokes: strokes?.get(k) ?? [],
      },
    ];
  });
  return {
    areas,
    share,
    ownColours,
    alone,
    lines: ownColours > 0 ? linesOf(seen).filter(({ of }) => alone || !of) : [],
    horizon: horizonOf(seen),
  };
}

/** The areas of a picture as they go on behind people: those of the words stand there. */
function withoutPeople({ labels, kinds, width: w, height: h }: SeenPicture): AreaLabels {
  const of = labels.of.map((k) => (kinds.get(k)?.kind === 'person' ? 0 : k));
  grow(of, w, h);
  return { of, count: labels.count };
}

/** The number of every area among those of its kind, the largest first. */
function ranksOf({ forms, kinds }: SeenPicture): ReadonlyMap<number, number> {
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
function middlesOf({ forms, kinds }: SeenPicture): ReadonlyMap<string, number> {
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
function groupsOf({ forms, kinds }: SeenPicture): readonly number[] {
  const group = forms.map((_, k) => k);
  const find = (k: number): number => (group[k] === k ? k : find(group[k]));
  forms.forEach((form, k) => {
    for (const j of form?.beside.keys() ?? []) if (kinds.get(j)?.kind === kinds.get(k)?.kind) group[find(j)] = find(k);
  });
  return group.map((_, k) => find(k));
}

/** The colour of an area at its top and at its foot: a straight line over its height (least squares). */
function endsOf({ labels, forms, planes, width: w }: SeenPicture, k: number): [Lch, Lch] {
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
function linesOf(seen: SeenPicture): AreasHint['lines'] {
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
function horizonOf({ forms, kinds, labels, width: w, height: h }: SeenPicture): number | undefined {
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
