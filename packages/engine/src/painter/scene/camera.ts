import { mixLch, type Lch } from '@urbild/core';
import type { Path, Point } from '../geometry/point';
import type { Gradient, GroupNode, Node, ShapeNode } from './displayList';

/** Moves a display list nearer: every point becomes p * scale + shift, colours go towards `haze` by `veil` (0..1). */
export interface Camera {
  readonly scale: number;
  readonly dx: number;
  readonly dy: number;
  readonly haze: Lch;
  readonly veil: number;
}

/** A list of nodes as a camera sees them; the given nodes are not changed. */
export function seenBy(camera: Camera, nodes: readonly Node[]): Node[] {
  return nodes.map((n) => moved(camera, n));
}

function moved(camera: Camera, n: Node): Node {
  const { scale, dx, dy } = camera;
  const colour = (c: Lch) => mixLch(c, camera.haze, camera.veil);
  const path = (p: Path): Point[] =>
    p.map(([x, y, corner]) => (corner ? [x * scale + dx, y * scale + dy, 1] : [x * scale + dx, y * scale + dy]));
  switch (n.kind) {
    case 'group': {
      const group: GroupNode = { ...n, children: seenBy(camera, n.children) };
      return n.reflection ? { ...group, reflection: { ...n.reflection, y: n.reflection.y * scale + dy } } : group;
    }
    case 'shape': {
      const shape: ShapeNode = {
        ...n,
        path: path(n.path),
        colour: colour(n.colour),
        toColour: n.toColour && colour(n.toColour),
        gradient: n.gradient && movedGradient(camera, n.gradient),
      };
      if (n.children) shape.children = seenBy(camera, n.children);
      return shape;
    }
    case 'line':
      return { ...n, path: path(n.path), width: n.width * scale, colour: colour(n.colour) };
    case 'blades':
      return { ...n, blades: n.blades.map((b) => ({ path: path(b.path), colour: colour(b.colour) })) };
    case 'glow':
      return { ...n, x: n.x * scale + dx, y: n.y * scale + dy, radius: n.radius * scale };
    case 'mist':
      return { ...n, x: n.x * scale + dx, y: n.y * scale + dy, width: n.width * scale, height: n.height * scale };
  }
}

function movedGradient({ scale, dx, dy, haze, veil }: Camera, { line, stops }: Gradient): Gradient {
  return {
    line: [line[0] * scale + dx, line[1] * scale + dy, line[2] * scale + dx, line[3] * scale + dy],
    stops: stops.map(([t, c]) => [t, mixLch(c, haze, veil)]),
  };
}
