import { ribbon } from '../geometry/curve';
import type { Path } from '../geometry/point';
import { scanPath } from '../geometry/scan';
import type { BladesNode, LineNode, Node, ShapeNode } from './displayList';
import { REGION } from './region';
import type { Scene } from './scene';

/** A node that covers what lies beneath it. */
export type SolidNode = ShapeNode | LineNode | BladesNode;

/** What each pixel of a scene belongs to: 1 + the index of a solid node, 0 where nothing covers it. */
export interface AreaMap {
  readonly index: Uint32Array;
  /** In painting order. */
  readonly nodes: readonly SolidNode[];
}

/** The solid nodes of a scene, from the same polygons that are painted. */
export function areaMap(scene: Scene): AreaMap {
  const { width, height } = scene;
  const index = new Uint32Array(width * height);
  const nodes: SolidNode[] = [];
  const fill = (path: Path, value: number, mask?: Uint8Array) =>
    scanPath(path, width, height, (y, x0, x1) => {
      const row = y * width;
      if (!mask) index.fill(value, row + x0, row + x1 + 1);
      else for (let x = x0; x <= x1; x++) if (mask[row + x]) index[row + x] = value;
    });
  const visit = (n: Node, mask?: Uint8Array): void => {
    if (n.kind === 'group') n.children.forEach((child) => visit(child, mask));
    else if (n.kind === 'blades') {
      const value = nodes.push(n);
      n.blades.forEach((b) => fill(b.path, value, mask));
    } else if (n.kind === 'line' && n.region !== REGION.none && n.width > 1.5 && n.alpha >= 0.5) {
      const band = ribbon(
        n.path,
        n.path.map(() => n.width),
      );
      fill(band, nodes.push(n), mask);
    } else if (n.kind === 'shape') {
      if (n.region !== REGION.none && (n.alpha ?? 1) >= 0.5) fill(n.path, nodes.push(n), mask);
      if (!n.children?.length) return;
      const inner = new Uint8Array(width * height);
      scanPath(n.path, width, height, (y, x0, x1) => {
        for (let i = y * width + x0; i <= y * width + x1; i++) inner[i] = mask ? mask[i] : 1;
      });
      n.children.forEach((child) => visit(child, inner));
    }
  };
  visit(scene.root);
  return { index, nodes };
}

/** A byte for every pixel, by the node that covers it; 0 where nothing does. */
export function bytesOf({ index, nodes }: AreaMap, valueOf: (node: SolidNode) => number): Uint8Array {
  const values = new Uint8Array(nodes.length + 1);
  nodes.forEach((node, k) => (values[k + 1] = valueOf(node)));
  const out = new Uint8Array(index.length);
  for (let i = 0; i < out.length; i++) out[i] = values[index[i]];
  return out;
}
