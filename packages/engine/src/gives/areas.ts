import { clamp, lerp, smoothstep, type Box } from '@urbild/core';
import type { AreaHint, AreasHint } from '../painter/places';
import { flowStrokes } from '../understand/areas/flow';
import { outlinesOf, type Ring } from '../understand/areas/outlines';
import { CROWN, GABLE, OPENING_IN_HOUSE, STEM } from '../understand/areas/simpleForms';
import type { SeenPicture } from '../understand/readPicture';
import { endsOf, groupsOf, horizonIn, linesOf, middlesOf, ranksOf, withoutPeople } from './areaFacts';

/** How areas of a reference act at a weight, 0..2. */
export interface AreasWish {
  readonly weight: number;
  /** As the picture itself, which keeps its colours; else as an arrangement in the colours of the stage. */
  readonly itself: boolean;
  /** From this weight on its areas come; below, nothing of its arrangement is heard here. */
  readonly from: number;
  /** From this weight on the reference is drawn by itself, without what the words name; never when absent. */
  readonly aloneFrom?: number;
}

/** Over so much weight areas take the place over, and so much later, as long, they come to their own colours. */
const COMING = 0.3;
const COLOURING = 0.2;
/** How closely outlines follow, in parts of the longer side: loosely up to the first weight, closely from the second on. */
const CLOSENESS = { from: 0.4, to: 1.5, loose: 0.016, close: 0.0025 } as const;
/** A reference whose sides differ from the picture's by less than this factor is stretched a little; others are cut to it. */
const STRETCHED = 1.15;

/** What is part of something larger, by why it was named. */
const PARTS: Readonly<Record<string, AreaHint['part']>> = {
  [GABLE]: 'roof',
  [OPENING_IN_HOUSE]: 'opening',
  [CROWN]: 'crown',
  [STEM]: 'stem',
};

/** What areas are laid out for: the size of the picture, and whoever else is known to stand in the reference, in parts of it. */
export interface AreasFrame {
  readonly width: number;
  readonly height: number;
  readonly somebody?: Box;
}

/** The areas of a picture as the painter lays them out; undefined where the weight asks for none. */
export function areasOf(seen: SeenPicture, wish: AreasWish, frame: AreasFrame): AreasHint | undefined {
  const { weight, from, itself, aloneFrom = Infinity } = wish;
  const share = smoothstep(from, from + COMING, weight);
  if (share <= 0.01) return undefined;
  const alone = weight >= aloneFrom;
  const ownColours = itself ? smoothstep(from + COLOURING, from + COLOURING + COMING, weight) : 0;
  const { width: w, height: h } = seen;
  const fit = fitTo(frame, w, h);
  const near = smoothstep(CLOSENESS.from, CLOSENESS.to, weight);
  const tolerance = lerp(CLOSENESS.loose, CLOSENESS.close, near) * Math.max(w, h);
  const outlines = outlinesOf(alone ? seen.labels : withoutPeople(seen, frame.somebody), w, h, {
    tolerance,
    smooth: 2,
  });
  const strokes = ownColours > 0 ? flowStrokes(seen, near) : undefined;
  const [groups, middles, ranks] = [groupsOf(seen), middlesOf(seen), ranksOf(seen)];
  const horizon = horizonIn(seen);
  const areas = seen.forms.flatMap((form, k): AreaHint[] => {
    const rings = outlines[k];
    if (!form || !rings?.length) return [];
    const { kind, why } = seen.kinds.get(k)!;
    return [
      {
        kind,
        part: PARTS[why],
        ...{ share: form.share, group: groups[k], nth: ranks.get(k)!, tone: form.lab[0] / 100 - middles.get(kind)! },
        outlines: outerFirst(rings).map((ring) => ring.map(([x, y]) => fit(x / w, y / h))),
        colours: endsOf(seen, k),
        strokes: (strokes?.get(k) ?? []).map((s) => ({ ...s, path: s.path.map(([x, y]) => fit(x, y)) })),
      },
    ];
  });
  const lines = ownColours > 0 ? linesOf(seen).filter(({ of }) => alone || !of) : [];
  return {
    ...{ areas, share, ownColours, alone },
    lines: lines.map((l) => ({ ...l, path: l.path.map(([x, y]) => fit(x, y)) })),
    horizon: horizon === undefined ? undefined : clamp(fit(0.5, horizon)[1], 0.1, 0.9),
  };
}

/** The outlines of an area, the one around it first, its holes after it. */
const outerFirst = (rings: readonly Ring[]): Ring[] => {
  const size = (ring: Ring) =>
    Math.abs(
      ring.reduce((s, [x, y], k) => s + x * ring[(k + 1) % ring.length][1] - ring[(k + 1) % ring.length][0] * y, 0),
    );
  return [...rings].sort((a, b) => size(b) - size(a));
};

/** A place of a reference, in parts of it, as a place of the picture that it covers. */
export type Fit = (x: number, y: number) => readonly [number, number];

/** How a reference of w x h covers a picture: stretched a little, or cut to it about its middle. */
export function fitTo({ width, height }: Pick<AreasFrame, 'width' | 'height'>, w: number, h: number): Fit {
  const wider = (width / height) * (h / w);
  if (wider < STRETCHED && wider > 1 / STRETCHED) return (x, y) => [x, y];
  const [kx, ky] = wider > 1 ? [1, wider] : [1 / wider, 1];
  return (x, y) => [0.5 + (x - 0.5) * kx, 0.5 + (y - 0.5) * ky];
}
