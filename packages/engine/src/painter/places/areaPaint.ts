import { clamp, lerp, mixLch, Random, type Lch, type SeenKind } from '@urbild/core';
import { areaOf, boundsOf, type Path } from '../geometry/point';
import { scanPath } from '../geometry/scan';
import { grassOf } from '../land/fields';
import type { Blade, ShapeStyle } from '../scene/displayList';
import { REGION, type Region } from '../scene/region';
import type { Scene } from '../scene/scene';
import { ripples } from '../water/water';
import type { AreaHint, AreasHint } from './areasHint';
import type { PlaceColours } from './placeColours';

const REGION_OF: Readonly<Record<SeenKind, Region>> = {
  sky: REGION.sky,
  water: REGION.water,
  ground: REGION.ground,
  plants: REGION.foliage,
  building: REGION.building,
  rock: REGION.rock,
  person: REGION.garment,
  thing: REGION.wood,
  'sun or moon': REGION.sun,
  nothing: REGION.ground,
};

/** What areas are painted with where the place has nothing of their kind: local colours. */
const USUAL: Partial<Record<Region, Lch>> = {
  [REGION.foliage]: [0.5, 0.085, 138],
  [REGION.building]: [0.86, 0.035, 78],
  [REGION.roof]: [0.52, 0.1, 36],
  [REGION.window]: [0.42, 0.05, 240],
  [REGION.rock]: [0.6, 0.02, 80],
  [REGION.wood]: [0.58, 0.06, 60],
  [REGION.hill]: [0.56, 0.05, 190],
};

/** An area whose foot is no lower than this above the horizon lies behind it: a hill. */
const FAR = 0.03;

/** How low an area reaches, in parts of the height. */
export const footOf = (a: AreaHint): number => Math.max(...a.outlines.flat().map((p) => p[1]));

function regionOf(area: AreaHint, horizon: number, H: number): Region {
  if (area.part === 'roof') return REGION.roof;
  if (area.part === 'opening') return REGION.window;
  if (area.part === 'stem') return REGION.wood;
  if (area.kind === 'ground' && footOf(area) * H < horizon + FAR * H) return REGION.hill;
  return REGION_OF[area.kind];
}

/** How far away an area is: by its foot on the ground, hills and sky at the end. */
function depthOf(area: AreaHint, region: Region, horizon: number, H: number): number {
  if (region === REGION.sky || region === REGION.sun) return 1;
  if (region === REGION.hill) return 0.8;
  const near = clamp((footOf(area) * H - horizon) / Math.max(1, H - horizon));
  return lerp(0.55, 0.05, near);
}

/** What areas are painted by. */
export interface Laying {
  readonly hint: AreasHint;
  readonly horizon: number;
  readonly colours: PlaceColours;
  /** What the place shows by itself at each pixel; absent where areas keep their own colours. */
  readonly own?: Uint8Array;
}

/** Where the place shows the same kind by itself on so much of an area, the area is left to it. */
const AGREES = 0.93;

/** An arrangement has no smaller things than this part of the picture. */
const SPECK = 0.002;
/** What an arrangement leaves to the light and to the words. */
const LEFT_OUT: ReadonlySet<SeenKind> = new Set(['sky', 'sun or moon', 'nothing']);

/** Paints an area into a scene, unless the place shows the same there by itself or an arrangement leaves it out. */
export function paintArea(scene: Scene, area: AreaHint, { hint, horizon, colours, own }: Laying): void {
  const { width: W, height: H } = scene;
  const region = regionOf(area, horizon, H);
  const depth = depthOf(area, region, horizon, H);
  if (area.kind === 'person' && !hint.alone) return;
  if (own && LEFT_OUT.has(area.kind)) return;
  if (own && ((hint.share < 1 && region === REGION.ground) || area.share < SPECK)) return;
  const paths = area.outlines.map((o) => o.map(([x, y, c]) => [x * W, y * H, c] as const));
  const [outer] = paths;
  if (!outer || Math.abs(areaOf(outer)) < 4) return;
  if (own && region === REGION.water && isThere(outer, region, own, W, H)) return;
  if (own && region === REGION.ground && area.nth % 3 === 0 && isThere(outer, region, own, W, H)) return;
  const pen = scene.pen({ region, depth, raw: true });
  const { colour, style } = paintOf(scene, area, { region, depth, colours, own: hint.ownColours });
  const shape = pen.shape(outer, colour, style);
  const strokes = area.strokes.slice(0, Math.round(area.strokes.length * hint.ownColours));
  if (hint.ownColours > 0)
    scene.inside(shape, () =>
      pen.blades(strokes.map((s): Blade => ({ path: bladeOf(s.path, s.width, W, H), colour: s.colour }))),
    );
  else scene.inside(shape, () => detail(scene, area, { region, depth, horizon, outer, colour }));
}

/** Whether a place shows a region over most of an outline by itself. */
function isThere(outer: Path, region: Region, own: Uint8Array, W: number, H: number): boolean {
  let [same, all] = [0, 0];
  scanPath(outer, W, H, (y, x0, x1) => {
    for (let i = y * W + x0; i <= y * W + x1; i++) {
      all++;
      if (own[i] === region || (region === REGION.sky && (own[i] === REGION.cloud || own[i] === REGION.sun))) same++;
    }
  });
  return same > AGREES * all;
}

/** What an area is painted with: between the paint of the place and its own. */
function paintOf(
  scene: Scene,
  area: AreaHint,
  { region, depth, colours, own }: { region: Region; depth: number; colours: PlaceColours; own: number },
): { colour: Lch; style: ShapeStyle } {
  const itself = ownPaint(area);
  if (own >= 1) return itself;
  const place = placePaint(scene, area, region, depth, colours);
  if (own <= 0) return place;
  // the sky of the light shines through as far as it is not yet that of the reference
  if (region === REGION.sky || region === REGION.sun)
    return { colour: itself.colour, style: { ...itself.style, alpha: own } };
  const foot = mixLch(place.style.toColour ?? place.colour, itself.style.toColour!, own);
  return { colour: mixLch(place.colour, itself.colour, own), style: { ...place.style, toColour: foot } };
}

/** An area in its own colours, blended from its top to its foot. */
const ownPaint = ({ colours: [top, foot], kind }: AreaHint): { colour: Lch; style: ShapeStyle } => ({
  colour: top,
  style: { toColour: foot, volume: 0, shade: 0, rim: 0, texture: 0.8, strokes: kind === 'building' ? Math.PI / 2 : 0 },
});

/** An area in the colours that the place has for its kind, a little lighter or darker as it is among its own. */
function placePaint(
  scene: Scene,
  area: AreaHint,
  region: Region,
  depth: number,
  colours: PlaceColours,
): { colour: Lch; style: ShapeStyle } {
  const pick = colours.near(region, depth, region === REGION.building || region === REGION.roof ? area.group : 0);
  const usual =
    region === REGION.ground
      ? grassOf(scene)
      : region === REGION.water
        ? scene.light.water[1]
        : (USUAL[region] ?? USUAL[REGION.wood]!);
  const base = pick ?? (region === REGION.water ? usual : scene.grade(usual, depth));
  // outlines alone tell no tones: fields and roads beside one another differ a little all the same
  const ground = region === REGION.ground || region === REGION.hill;
  const tone = clamp(area.tone, -0.18, 0.18) * 0.8 + (ground ? ((area.nth % 3) - 1) * 0.035 : 0);
  const colour: Lch = [clamp(base[0] + tone, 0.05, 0.97), base[1], base[2]];
  const solid = region === REGION.building || region === REGION.roof || region === REGION.wood;
  const round = area.part === 'crown' || area.kind === 'thing';
  const style: ShapeStyle = {
    ...(region === REGION.water ? { toColour: scene.light.water[1] } : {}),
    volume: round ? 0.7 : solid ? 0.3 : 0,
    shade: round || solid ? 1 : 0,
    rim: round ? 1 : solid ? 0.3 : 0,
    texture: 1.1,
    mottled: region === REGION.foliage || region === REGION.hill,
    strokes: solid ? Math.PI / 2 : 0,
  };
  return { colour, style };
}

/** A stroke with a width as a closed path, px. */
function bladeOf(path: Path, width: number, W: number, H: number): Path {
  const points = path.map(([x, y]) => [x * W, y * H] as const);
  const half = (width * W) / 2;
  const side = (sign: number) =>
    points.map(([x, y], i) => {
      const [a, b] = [points[Math.max(0, i - 1)], points[Math.min(points.length - 1, i + 1)]];
      const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
      const w = half * Math.sin(Math.PI * (0.12 + (0.76 * i) / Math.max(1, points.length - 1)));
      return [x - (sign * w * (b[1] - a[1])) / length, y + (sign * w * (b[0] - a[0])) / length] as const;
    });
  return [...side(1), ...side(-1).reverse()];
}

/** What makes an area of the painter's own kind: leaves, tufts, ripples. */
function detail(
  scene: Scene,
  area: AreaHint,
  {
    region,
    depth,
    horizon,
    outer,
    colour,
  }: { region: Region; depth: number; horizon: number; outer: Path; colour: Lch },
): void {
  const [, top, , foot] = boundsOf(outer);
  if (region === REGION.water) {
    ripples(scene, horizon, top, foot, Math.round(220 * area.share) + 12);
    return;
  }
  const leafy = region === REGION.foliage;
  const grown =
    (region === REGION.ground || region === REGION.hill) && colour[2] > 85 && colour[2] < 175 && colour[1] > 0.03;
  if (!leafy && !grown && region !== REGION.ground) return;
  const random = new Random(scene.seed ^ (area.group * 7919 + Math.round(area.share * 1e5)));
  const rows: [number, number, number][] = [];
  scanPath(outer, scene.width, scene.height, (y, x0, x1) => rows.push([y, x0, x1]));
  if (!rows.length) return;
  const count = Math.min(420, Math.round(area.share * (leafy ? 2600 : grown ? 900 : 320)));
  const blades: Blade[] = [];
  for (let k = 0; k < count; k++) {
    const [y, x0, x1] = rows[Math.floor(random.next() * rows.length)];
    const x = x0 + random.next() * (x1 - x0);
    const near = clamp((y - horizon) / Math.max(1, scene.height - horizon));
    const size = scene.unit * (leafy ? random.range(4, 9) : lerp(2, 9, near) * random.range(0.7, 1.3));
    const shift = leafy
      ? random.range(-0.09, 0.1) - 0.1 * ((y - top) / Math.max(1, foot - top) - 0.5)
      : random.range(-0.06, 0.06);
    const leaf: Lch = [clamp(colour[0] + shift, 0.04, 0.97), colour[1], colour[2] + random.range(-8, 8)];
    const path: Path = leafy
      ? [
          [x - size, y],
          [x - size * 0.2, y - size * 0.55],
          [x + size, y - size * 0.1],
          [x + size * 0.1, y + size * 0.5],
        ]
      : grown
        ? [
            [x - size * 0.18, y],
            [x + random.range(-0.5, 0.5) * size, y - size * 1.5],
            [x + size * 0.18, y],
          ]
        : [
            [x - size * 1.4, y],
            [x, y - size * 0.16],
            [x + size * 1.4, y],
            [x, y + size * 0.16],
          ];
    blades.push({ path, colour: leaf });
  }
  scene.pen({ region, depth, raw: true }).blades(blades);
}
