import { clamp, type SeenKind } from '@urbild/core';
import { boundsOf, rectangle, type Path } from '../geometry/point';
import type { Node, ShapeNode } from '../scene/displayList';
import { paintSunAt } from '../sky/sky';
import { labelMap } from '../scene/labels';
import { REGION, type Region } from '../scene/region';
import type { Scene } from '../scene/scene';
import { PlaceColours } from './placeColours';
import { footOf, paintArea } from './areaPaint';
import type { AreaHint, AreasHint } from './areasHint';
import type { Staging } from './place';

/**
 * Lays a painted place out anew by the areas of a reference. Where they have taken it over wholly, what the place had is not painted at all;
 * before that, those whose turn has come lie over it. Returns where subjects go then.
 */
export function layOutAreas(scene: Scene, staging: Staging, hint: AreasHint): Staging {
  const { width: W, height: H } = scene;
  const horizon = hint.horizon === undefined ? staging.horizon : hint.horizon * H;
  const colours = PlaceColours.of(scene);
  const areas = inTurn(hint);
  scene.laidOut = true;
  clear(scene, hint);
  if (hint.ownColours >= 1) underpaint(scene, hint, horizon);
  const own = hint.ownColours > 0 ? undefined : labelMap(scene);
  if (hint.share >= 1 && hint.ownColours < 1) moveSun(scene, hint);
  for (const area of [...areas].sort(backToFront)) paintArea(scene, area, { hint, horizon, colours, own });
  for (const { path, width, colour, of } of hint.lines)
    scene.pen({ region: of === 'person' ? REGION.garment : REGION.none, depth: 0.2, raw: true }).line(
      path.map(([x, y]) => [x * W, y * H]),
      Math.max(0.8, width * W),
      colour,
      { taper: [0.05, 0.05] },
    );
  if (hint.share < 0.5) return staging;
  const { table: _, sill: __, wall: ___, boat, ...rest } = staging;
  const wet = hint.areas.some((a) => a.kind === 'water');
  return {
    ...rest,
    ...(wet && boat ? { boat } : {}),
    horizon,
    ...standing(scene, hint, horizon, staging),
    left: 0,
    right: W,
  };
}

/** Land and water come when most of what stood there is gone: patches of them among houses would be no place. */
const LAND_FROM = 0.7;

/** The areas that have come, the large ones first. */
function inTurn({ areas, share }: AreasHint): AreaHint[] {
  const sorted = [...areas].sort((a, b) => b.share - a.share);
  let seen = 0;
  return sorted.filter((a) => {
    seen += a.share;
    if (share >= 1) return true;
    const stands = a.part || ['building', 'thing', 'rock', 'person'].includes(a.kind);
    return share > Math.max(seen - a.share / 2, stands ? 0 : LAND_FROM);
  });
}

const RANK: readonly SeenKind[] = [
  'nothing',
  'sky',
  'sun or moon',
  'ground',
  'water',
  'rock',
  'building',
  'plants',
  'thing',
  'person',
];

/** Far before near, and by kind before that: a tree stands before the ground that it grows on. */
function backToFront(a: AreaHint, b: AreaHint): number {
  const land = (k: SeenKind) => (RANK.indexOf(k) <= 4 ? RANK.indexOf(k) : 5);
  return land(a.kind) - land(b.kind) || b.share - a.share;
}

/** What of a place stays when it is laid out anew: its sky, its ground and its water, without what stands on them. */
const STAYS: ReadonlySet<Region> = new Set([REGION.sky, REGION.cloud, REGION.sun, REGION.ground, REGION.water]);

/** Takes away what the reference has taken over: what stands on the place's ground, the far things first; all of it where nothing of it is left. */
function clear(scene: Scene, { share, ownColours }: AreasHint): void {
  const { children } = scene.root;
  const wholly = ownColours >= 1;
  const stands = (node: Node) =>
    node.kind !== 'glow' && node.kind !== 'mist' && (node.kind === 'group' || !STAYS.has(node.region));
  const far = children
    .filter(stands)
    .map(depthOfNode)
    .sort((a, b) => b - a);
  const left = far[Math.floor(share * far.length)] ?? -1;
  children.splice(
    0,
    Infinity,
    ...(wholly ? [] : children.filter((node) => !stands(node) || (share < 1 && depthOfNode(node) < left))),
  );
  if (share >= 1) scene.lamps.length = 0;
}

const depthOfNode = (node: Node): number =>
  node.kind === 'group' ? Math.max(0, ...node.children.map(depthOfNode)) : node.depth;

/** Puts the sun or moon of the light where the reference has one. */
function moveSun(scene: Scene, { areas }: AreasHint): void {
  const there = areas.filter((a) => a.kind === 'sun or moon').sort((a, b) => b.share - a.share)[0];
  const sheet = scene.root.children.find(
    (node): node is ShapeNode => node.kind === 'shape' && node.region === REGION.sky && !!node.children,
  );
  if (!there || !sheet) return;
  sheet.children = sheet.children!.filter(
    (node) => node.kind !== 'glow' && !(node.kind === 'shape' && node.region === REGION.sun),
  );
  const [left, top, right, bottom] = boundsOf(there.outlines.flat());
  scene.inside(sheet, () =>
    paintSunAt(scene, { x: ((left + right) / 2) * scene.width, y: ((top + bottom) / 2) * scene.height }),
  );
}

/** What may show between areas that keep their own colours: those of the largest ones. */
function underpaint(scene: Scene, { areas }: AreasHint, horizon: number): void {
  const { width: W, height: H } = scene;
  const largest = (of: readonly AreaHint[]) =>
    of.reduce<AreaHint | undefined>((most, a) => (a.share > (most?.share ?? 0) ? a : most), undefined);
  const [all, ground] = [largest(areas), largest(areas.filter((a) => a.kind === 'ground' || a.kind === 'water'))];
  if (all)
    scene
      .pen({ region: REGION.sky, depth: 1, raw: true })
      .shape(rectangle(-5, -5, W + 10, H + 10), all.colours[0], { plain: true });
  if (ground)
    scene
      .pen({ region: REGION.ground, depth: 0.3, raw: true })
      .shape(rectangle(-5, horizon, W + 10, H - horizon + 10), ground.colours[1], { plain: true });
}

/** Where somebody may stand who was not shown, in parts of the width and of the way from the horizon to the foot of the picture. */
const STANDS = { x: [0.42, 0.58, 0.5, 0.34, 0.66, 0.26, 0.74, 0.18, 0.82], y: [0.72, 0.82, 0.6, 0.9, 0.5] } as const;

/** Where somebody stands who was not shown: on the ground, where little else stands. */
function standing(scene: Scene, { areas }: AreasHint, horizon: number, at: Staging): Pick<Staging, 'x' | 'y'> {
  const { width: W, height: H } = scene;
  const solid = areas.filter(
    (a) => ['building', 'plants', 'thing', 'rock'].includes(a.kind) && footOf(a) * H > horizon,
  );
  const ground = areas.filter((a) => a.kind === 'ground');
  const taken = (x: number) =>
    solid.reduce((sum, a) => {
      const [left, , right] = boundsOf(a.outlines.flat());
      return sum + (x > left - 0.05 && x < right + 0.05 ? a.share : 0);
    }, 0);
  const own = { x: at.x / W, y: clamp(at.y, horizon + 0.12 * H, 0.94 * H) / H };
  const heights = [own.y, ...STANDS.y.map((t) => horizon / H + t * (1 - horizon / H))];
  const places = heights.flatMap((y) =>
    [own.x, ...STANDS.x].map((x) => ({ x, y, firm: ground.some((a) => isWithin(a.outlines, x, y)), taken: taken(x) })),
  );
  const best = places.reduce((a, b) => ((+b.firm - +a.firm || a.taken - b.taken) > 1e-9 ? b : a));
  return { x: best.x * W, y: best.y * H };
}

/** Whether a place lies within outlines (even-odd). */
function isWithin(outlines: readonly Path[], x: number, y: number): boolean {
  let inside = false;
  for (const path of outlines)
    path.forEach(([ax, ay], k) => {
      const [bx, by] = path[(k + 1) % path.length];
      if (ay > y !== by > y && x < ax + ((bx - ax) * (y - ay)) / (by - ay)) inside = !inside;
    });
  return inside;
}
