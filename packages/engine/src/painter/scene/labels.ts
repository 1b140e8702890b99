import { ribbon } from '../geometry/curve';
import type { Path } from '../geometry/point';
import { scanPath } from '../geometry/scan';
import type { Node } from './displayList';
import { REGION, type Region } from './region';
import type { Scene } from './scene';

/** A flat area of the picture: its outline, what it shows, how far away it is. */
type Fill = (path: Path, region: Region, depth: number, mask?: Uint8Array) => void;

/** Calls `fill` for every solid area of a scene in painting order; `mask` limits it to the pixels that are not 0. */
function eachArea(scene: Scene, fill: Fill): void {
  const { width, height } = scene;
  const visit = (n: Node, mask?: Uint8Array): void => {
    if (n.kind === 'group') n.children.forEach((child) => visit(child, mask));
    else if (n.kind === 'blades') n.blades.forEach((b) => fill(b.path, n.region, n.depth, mask));
    else if (n.kind === 'line' && n.region !== REGION.none && n.width > 1.5 && n.alpha >= 0.5) {
      const band = ribbon(
        n.path,
        n.path.map(() => n.width),
      );
      fill(band, n.region, n.depth, mask);
    } else if (n.kind === 'shape') {
      if (n.region !== REGION.none && (n.alpha ?? 1) >= 0.5) fill(n.path, n.region, n.depth, mask);
      if (!n.children?.length) return;
      const inner = new Uint8Array(width * height);
      scanPath(n.path, width, height, (y, x0, x1) => {
        for (let i = y * width + x0; i <= y * width + x1; i++) inner[i] = mask ? mask[i] : 1;
      });
      n.children.forEach((child) => visit(child, inner));
    }
  };
  visit(scene.root);
}

function rasterise(scene: Scene, valueOf: (region: Region, depth: number) => number): Uint8Array {
  const { width, height } = scene;
  const map = new Uint8Array(width * height);
  eachArea(scene, (path, region, depth, mask) => {
    const value = valueOf(region, depth);
    scanPath(path, width, height, (y, x0, x1) => {
      const row = y * width;
      if (!mask) map.fill(value, row + x0, row + x1 + 1);
      else for (let x = x0; x <= x1; x++) if (mask[row + x]) map[row + x] = value;
    });
  });
  return map;
}

/**
 * The label map of a scene: one region code per pixel, from the same polygons that are painted (see
 * {@link REGION}). Nothing is left unlabelled where the scene covers its picture.
 */
export const labelMap = (scene: Scene): Uint8Array => rasterise(scene, (region) => region);

/** How far away each pixel is: 0 at the viewer, 255 at the horizon and in the sky. */
export const depthMap = (scene: Scene): Uint8Array =>
  rasterise(scene, (_, depth) => Math.round(Math.min(1, Math.max(0, depth)) * 255));
