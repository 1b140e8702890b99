import { ribbon } from '../geometry/curve';
import type { Path } from '../geometry/point';
import { scanPath } from '../geometry/scan';
import type { Node } from './displayList';
import { REGION, type Region } from './region';
import type { Scene } from './scene';

/**
 * The label map of a scene: one region code per pixel, from the same polygons that are painted (see
 * {@link REGION}). Nothing is left unlabelled where the scene covers its picture.
 */
export function labelMap(scene: Scene): Uint8Array {
  const { width, height } = scene;
  const labels = new Uint8Array(width * height);
  const fill = (path: Path, region: Region, mask?: Uint8Array) =>
    scanPath(path, width, height, (y, x0, x1) => {
      const row = y * width;
      if (!mask) labels.fill(region, row + x0, row + x1 + 1);
      else for (let x = x0; x <= x1; x++) if (mask[row + x]) labels[row + x] = region;
    });
  const visit = (n: Node, mask?: Uint8Array): void => {
    if (n.kind === 'group') n.children.forEach((child) => visit(child, mask));
    else if (n.kind === 'blades') n.blades.forEach((b) => fill(b.path, n.region, mask));
    else if (n.kind === 'line' && n.region !== REGION.none && n.width > 1.5 && n.alpha >= 0.5) {
      fill(
        ribbon(
          n.path,
          n.path.map(() => n.width),
        ),
        n.region,
        mask,
      );
    } else if (n.kind === 'shape') {
      if (n.region !== REGION.none && (n.alpha ?? 1) >= 0.5) fill(n.path, n.region, mask);
      if (!n.children?.length) return;
      const inner = new Uint8Array(width * height);
      scanPath(n.path, width, height, (y, x0, x1) => {
        for (let i = y * width + x0; i <= y * width + x1; i++) inner[i] = mask ? mask[i] : 1;
      });
      n.children.forEach((child) => visit(child, inner));
    }
  };
  visit(scene.root);
  return labels;
}
