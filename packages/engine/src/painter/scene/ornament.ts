import { Random, type Lch } from '@urbild/core';
import { areaOf, boundsOf, ellipse, type Path, type Point } from '../geometry/point';
import type { LineNode, Node, ShapeNode } from './displayList';
import { isFigure, REGION, type Region } from './region';
import type { Scene } from './scene';

/** What is ornamented: wide shapes of these regions. Sky, clouds, water, skin and hair stay plain. */
const ORNAMENTED: ReadonlySet<Region> = new Set([
  REGION.ground,
  REGION.hill,
  REGION.foliage,
  REGION.building,
  REGION.roof,
  REGION.boat,
  REGION.wood,
  REGION.garment,
]);
/** What bears tufts instead of dashes and dots. */
const GROWING: ReadonlySet<Region> = new Set([REGION.ground, REGION.hill, REGION.foliage]);
/** What may be left out where a picture is to be plain: none of these. */
const NEEDED: ReadonlySet<Region> = new Set([REGION.window, REGION.sun, REGION.boat]);

/**
 * Makes a painted scene plainer or more ornate, in the display list, so that every medium shows it. `much` 0 leaves small things,
 * blades and thin lines out, .5 is as it was painted, 1 lays rows of small marks along the forms of what is wide and plain.
 * Deterministic for the scene's seed.
 */
export function ornament(scene: Scene, much: number): void {
  if (much < 0.5) strip(scene.root.children, 1 - 2 * much, scene.unit, new Random(scene.seed + 77));
  else if (much > 0.5) decorate(scene.root.children, 2 * much - 1, scene);
}

function strip(nodes: Node[], part: number, unit: number, random: Random): void {
  for (let k = nodes.length - 1; k >= 0; k--) {
    const node = nodes[k];
    if (node.kind === 'group') strip(node.children, part, unit, random);
    else if (isFigure(node.region) || NEEDED.has(node.region)) continue;
    else if (node.kind === 'blades') {
      const blades = node.blades.filter(() => !random.chance(0.85 * part));
      nodes[k] = { ...node, blades };
    } else if (node.kind === 'line') {
      if (node.width < 3 * unit && random.chance(0.9 * part)) nodes.splice(k, 1);
    } else if (node.kind === 'shape') {
      const [left, top, right, bottom] = boundsOf(node.path);
      const small = Math.max(right - left, bottom - top) < 26 * unit;
      if (small && random.chance(0.85 * part)) nodes.splice(k, 1);
      else if (node.children) strip(node.children, part, unit, random);
    }
  }
}

function decorate(nodes: readonly Node[], part: number, scene: Scene): void {
  for (const node of [...nodes]) {
    if (node.kind === 'group') decorate(node.children, part, scene);
    else if (node.kind === 'shape') {
      if (node.children) decorate(node.children, part, scene);
      if (ORNAMENTED.has(node.region) && (node.alpha ?? 1) > 0.7) trim(node, part, scene);
    }
  }
}

/** A colour that is told from another, on the side where there is room. */
const against = ([L, C, h]: Lch, by: number): Lch => [L > 0.6 ? L - by : L + by, Math.min(0.2, C * 1.15 + 0.01), h];

/** Rows of small marks inside a shape, following its outline: dashes and dots by turns. */
function trim(shape: ShapeNode, part: number, scene: Scene): void {
  const { unit } = scene;
  const [left, top, right, bottom] = boundsOf(shape.path);
  const [w, h] = [right - left, bottom - top];
  const least = shape.region === REGION.garment ? 22 : 44;
  if (Math.min(w, h) < least * unit || areaOf(shape.path) < 0.25 * w * h) return;
  const step = Math.min(22, Math.max(shape.region === REGION.garment ? 7 : 11, Math.min(w, h) / 8 / unit)) * unit;
  const rows = Math.max(1, Math.round(part * Math.min(4, Math.min(w, h) / (2.2 * step))));
  const random = new Random(shape.id * 2654435761 + scene.seed);
  const marks: Node[] = [];
  for (let row = 1; row <= rows; row++) {
    const along = inset(shape.path, row * step, [(left + right) / 2, (top + bottom) / 2]);
    marks.push(...marksAlong(along, row, step, shape, against(shape.colour, 0.07 + 0.04 * random.next()), scene));
  }
  (shape.children ??= []).push(...marks);
}

/** A path drawn towards a middle by so many px: close enough to a parallel for marks that are clipped to the shape. */
const inset = (path: Path, by: number, [mx, my]: readonly [number, number]): Point[] =>
  path.map(([x, y]) => {
    const far = Math.hypot(x - mx, y - my) || 1;
    const k = Math.max(0, 1 - by / far);
    return [mx + (x - mx) * k, my + (y - my) * k] as Point;
  });

function marksAlong(path: Path, row: number, step: number, shape: ShapeNode, colour: Lch, scene: Scene): Node[] {
  const out: Node[] = [];
  const size = Math.max(1.1 * scene.unit, step * 0.1);
  const grows = GROWING.has(shape.region);
  const base = { region: shape.region, depth: shape.depth };
  let left = step / 2;
  for (let i = 0; i < path.length && out.length < 220; i++) {
    const [a, b] = [path[i], path[(i + 1) % path.length]];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (length < 1e-6) continue;
    const [dx, dy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
    for (; left < length; left += step * (row % 2 ? 0.8 : 0.62)) {
      const [x, y] = [a[0] + dx * left, a[1] + dy * left];
      const strokes: Path[] = grows
        ? [-0.7, 0, 0.7].map((lean) => [
            [x, y],
            [x + lean * 2.2 * size, y - 3.4 * size],
          ])
        : row % 2
          ? [
              [
                [x - 1.6 * dx * size, y - 1.6 * dy * size],
                [x + 1.6 * dx * size, y + 1.6 * dy * size],
              ],
            ]
          : [];
      for (const stroke of strokes)
        out.push({
          ...base,
          kind: 'line',
          path: stroke,
          width: size,
          colour,
          alpha: 0.85,
          taperStart: 0.3,
          taperEnd: 0.3,
          bright: false,
          id: scene.nextId(),
        } satisfies LineNode);
      if (!strokes.length)
        out.push({
          ...base,
          kind: 'shape',
          path: ellipse(x, y, size, size, 0, 8),
          colour,
          plain: true,
          outline: 0,
          id: scene.nextId(),
        } satisfies ShapeNode);
    }
    left -= length;
  }
  return out;
}
