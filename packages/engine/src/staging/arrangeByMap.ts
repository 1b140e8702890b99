import {
  createPicture,
  labOfHex,
  nearestColours,
  pictureFromRgba,
  resample,
  understand,
  type AreaKind,
  type LayoutMap,
  type Picture,
  type PlaceName,
} from '@urbild/core';
import type { FigureRecord } from '../painter/scene/figureRecord';
import { paintStage } from '../painter/paint';
import { isFigure, REGION, type Region } from '../painter/scene/region';
import { fillClasses, NOTHING, type ClassedPicture } from './fillClasses';
import { before, fillHoles, holdOf } from './ground';
import { changedOver } from './changeOver';

/** Longer side of the picture whose masses change over one after the other, px. */
const SIDE = 160;
/** How much the class of a pixel counts when patches are compared, per step from one to the next. */
const CLASS_WEIGHT = 0.6;
/** The same from the viewer to the horizon of a map of near and far. */
const DISTANCE_WEIGHT = 1.6;
/** Steps of a map of near and far. */
const STEPS = 16;

/** The regions of a stage that an area is filled from, the main one first, and the place that has them where a stage has not. */
const AREAS: Readonly<
  Record<Exclude<AreaKind, 'somebody'>, { readonly regions: readonly Region[]; readonly place: PlaceName }>
> = {
  sky: { regions: [REGION.sky, REGION.cloud, REGION.sun], place: 'meadow' },
  water: { regions: [REGION.water], place: 'open sea' },
  ground: { regions: [REGION.ground], place: 'meadow' },
  trees: { regions: [REGION.foliage], place: 'orchard' },
  hills: { regions: [REGION.hill], place: 'mountains' },
  rock: { regions: [REGION.rock], place: 'mountains' },
  building: { regions: [REGION.building, REGION.roof, REGION.window], place: 'harbour' },
};
const KINDS = Object.keys(AREAS) as (keyof typeof AREAS)[];

/** A stage with what its pixels show. */
export interface MappedStage {
  /** As it was painted. */
  readonly labels: Uint8Array;
  /** As it is at the end: changed where a map puts something else. */
  readonly shown: Uint8Array;
  /** 0 at the viewer .. 255 at the horizon, one a pixel. */
  readonly depth: () => Uint8Array;
  readonly figures: readonly FigureRecord[];
  /** The prompt, for places that have what the stage has not. */
  readonly prompt: string;
  readonly seed: number;
}

/** What a map wants at every pixel of a size: its class, and for each class the region that it becomes. */
interface Wanted {
  readonly classes: Uint8Array;
  readonly regions: readonly Region[];
}

/** The area kinds of a plan at a size; where the first figure stands the ground goes on. */
function wantedAreas(picture: Picture, { areas }: Extract<LayoutMap, { read: 'areas' }>): Uint8Array {
  const nearest = nearestColours(
    picture,
    areas.map((a) => labOfHex(a.colour)),
  );
  const { width: w } = picture;
  const classOf = areas.map(({ is }) => (is === 'somebody' ? NOTHING : KINDS.indexOf(is)));
  const out = Uint8Array.from(nearest, (k) => classOf[k]);
  // outwards in: what a figure covers is what lies beside it, or above it
  for (let i = 0; i < out.length; i++)
    if (out[i] === NOTHING) out[i] = i % w && out[i - 1] !== NOTHING ? out[i - 1] : i >= w ? out[i - w] : NOTHING;
  for (let i = out.length - 2; i >= 0; i--) if (out[i] === NOTHING) out[i] = out[i + 1];
  return out.map((c) => (c === NOTHING ? KINDS.indexOf('ground') : c));
}

/** How far away each pixel of a map is, in steps. */
function wantedSteps({ planes: [L] }: Picture, near: 'light' | 'dark'): Uint8Array {
  const sorted = Float32Array.from(L).sort();
  const [low, high] = [sorted[Math.floor(0.01 * sorted.length)], sorted[Math.floor(0.99 * (sorted.length - 1))]];
  const span = Math.max(0.02, high - low);
  return Uint8Array.from(L, (v) => {
    const t = Math.min(1, Math.max(0, (v - low) / span));
    return Math.round((near === 'light' ? 1 - t : t) * (STEPS - 1));
  });
}

const stepOf = (depth: number): number => Math.round((depth / 255) * (STEPS - 1));

/** The colours of a class in some pictures: at its top and at its foot, as L, a, b planes. */
type Shading = readonly [top: readonly number[], foot: readonly number[]];

/** What every class looks like, from its highest pixel to its lowest: straight lines over the height (least squares). */
function shadingsOf(sources: readonly ClassedPicture[], count: number): Shading[] {
  return Array.from({ length: count }, (_, k): Shading => {
    const of = sources.find((s) => s.classes.includes(k));
    if (!of)
      return [
        [0.6, 0, 0],
        [0.6, 0, 0],
      ];
    const { width } = of.picture;
    const at: number[] = [];
    of.classes.forEach((c, i) => c === k && at.push(i));
    const ys = at.map((i) => Math.floor(i / width));
    const [top, foot] = [ys[0], ys[ys.length - 1]];
    const n = at.length;
    const meanY = ys.reduce((a, b) => a + b, 0) / n;
    const spread = ys.reduce((a, y) => a + (y - meanY) ** 2, 0) || 1;
    const lines = of.picture.planes.map((plane) => {
      const mean = at.reduce((s, i) => s + plane[i], 0) / n;
      const slope = at.reduce((s, i, j) => s + (ys[j] - meanY) * (plane[i] - mean), 0) / spread;
      return [mean + slope * (top - meanY), mean + slope * (foot - meanY)];
    });
    return [lines.map((l) => l[0]), lines.map((l) => l[1])];
  });
}

/** A map in the colours that its classes have, each shaded from its top to its foot. */
function coloured(classes: Uint8Array, shadings: readonly Shading[], w: number, h: number): Picture {
  const out = createPicture(w, h);
  const top = shadings.map(() => h);
  const foot = shadings.map(() => 0);
  classes.forEach((k, i) => {
    const y = Math.floor(i / w);
    top[k] = Math.min(top[k], y);
    foot[k] = Math.max(foot[k], y);
  });
  classes.forEach((k, i) => {
    const t = (Math.floor(i / w) - top[k]) / Math.max(1, foot[k] - top[k]);
    for (let c = 0; c < 3; c++) out.planes[c][i] = shadings[k][0][c] + t * (shadings[k][1][c] - shadings[k][0][c]);
  });
  return out;
}

/** A place that has what a stage has not, in the light of the same words. */
function placeWith(
  kind: keyof typeof AREAS,
  { prompt, seed }: MappedStage,
  width: number,
  height: number,
): ClassedPicture {
  const brief = { ...understand(prompt), place: AREAS[kind].place, entities: [] };
  const { rgba, labels } = paintStage(brief, { width, height, seed });
  const own = KINDS.indexOf(kind);
  return {
    picture: pictureFromRgba(rgba, width, height),
    classes: closed(labels.map(kindClass), labels, width).map((c) => (c === own ? own : NOTHING)),
  };
}

/** What lies between two pixels of one class in a row is of it as well: doors and shutters belong to their house. Changes `classes`. */
function closed(classes: Uint8Array, labels: Uint8Array, w: number): Uint8Array {
  let last = -1;
  classes.forEach((c, i) => {
    if (i % w === 0) last = -1;
    if (c === NOTHING) return;
    if (last >= 0 && classes[last] === c) for (let j = last + 1; j < i; j++) if (!isFigure(labels[j])) classes[j] = c;
    last = i;
  });
  return classes;
}

const kindClass = (label: number): number => {
  const k = KINDS.findIndex((kind) => AREAS[kind].regions.includes(label as Region));
  return k < 0 ? NOTHING : k;
};

/**
 * Lets a painted stage take over what a map says: each of its areas is filled with patches of the stage that show the same kind of
 * place, or lie as far away; kinds that the stage has not come from a place that has them. `shown` of the stage becomes
 * what the picture then shows. Figures stay in front.
 */
export function arrangeByMap(
  painted: Picture,
  stage: MappedStage,
  map: LayoutMap,
  drawn: Picture,
  share: number,
  checkpoint: () => void,
): Picture {
  if (share <= 0.01) return painted;
  const { width: w, height: h } = painted;
  const hold = holdOf(stage.labels, stage.figures, w, h);
  const own = ownClasses(stage, map, w);
  const wanted =
    map.read === 'areas' ? areasAt(resample(drawn, w, h), map) : stepsAt(resample(drawn, w, h), map.near, stage);
  const sources: ClassedPicture[] = [{ picture: fillHoles(painted, hold), classes: own }];
  if (map.read === 'areas')
    KINDS.forEach((kind, c) => {
      if (!wanted.classes.includes(c) || countOf(own, c) > own.length / 200) return;
      sources.push(placeWith(kind, stage, w, h));
      checkpoint();
    });
  const guide = coloured(wanted.classes, shadingsOf(sources, wanted.regions.length), w, h);
  checkpoint();
  const weight = map.read === 'areas' ? CLASS_WEIGHT : DISTANCE_WEIGHT / STEPS;
  const filled = fillClasses(sources, { picture: guide, classes: wanted.classes }, weight, stage.seed, checkpoint);
  const k = Math.min(1, SIDE / Math.max(w, h));
  const masses = resample(guide, Math.max(16, Math.round(w * k)), Math.max(16, Math.round(h * k)));
  const out = changedOver(painted, filled, masses, share);
  if (share > 0.5)
    wanted.classes.forEach((c, i) => {
      if (!hold[i]) stage.shown[i] = wanted.regions[c];
    });
  return before(out, painted, hold);
}

const countOf = (classes: Uint8Array, c: number): number => classes.reduce((n, k) => n + +(k === c), 0);

/** The classes of what a stage shows; figures are none. */
function ownClasses({ labels, depth }: MappedStage, { read }: LayoutMap, w: number): Uint8Array {
  const all = read === 'areas' ? closed(labels.map(kindClass), labels, w) : depth().map(stepOf);
  return all.map((c, i) => (isFigure(labels[i]) ? NOTHING : c));
}

const areasAt = (drawn: Picture, map: Extract<LayoutMap, { read: 'areas' }>): Wanted => ({
  classes: wantedAreas(drawn, map),
  regions: KINDS.map((kind) => AREAS[kind].regions[0]),
});

/** Steps of a map, and of what a stage mostly shows at each. */
function stepsAt(drawn: Picture, near: 'light' | 'dark', { labels, depth }: MappedStage): Wanted {
  const counts = Array.from({ length: STEPS }, () => new Float64Array(256));
  depth().forEach((d, i) => !isFigure(labels[i]) && counts[stepOf(d)][labels[i]]++);
  const most = counts.map((c) => c.indexOf(Math.max(...c)) as Region);
  // a step that the stage has not shows what the next farther one shows
  const shown = counts.map((c) => c.some((n) => n > 0));
  for (let k = STEPS - 2; k >= 0; k--) if (!shown[k]) most[k] = most[k + 1];
  return { classes: wantedSteps(drawn, near), regions: most };
}
