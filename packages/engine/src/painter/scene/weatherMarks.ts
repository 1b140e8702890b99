import { scanPath } from '../geometry/scan';
import type { Node } from './displayList';
import type { Scene } from './scene';

/** A drop, a flake, a leaf in the wind: the pixels of the picture that it lies on. */
export type WeatherMark = Uint32Array;

/** What weather has put in front of a scene, mark by mark; none where it only changes light and sky. */
export function weatherMarks({ root, weather, width, height }: Scene): WeatherMark[] {
  if (!weather) return [];
  const [first, last] = weather;
  return root.children.flatMap((node) => {
    if (node.kind === 'group' || node.id < first || node.id >= last) return [];
    const pixels = pixelsOf(node, width, height);
    return pixels.length ? [Uint32Array.from(pixels)] : [];
  });
}

function pixelsOf(node: Node, width: number, height: number): number[] {
  const out: number[] = [];
  const put = (x: number, y: number) => {
    if (x < 0 || y < 0 || x >= width || y >= height) return;
    const i = Math.floor(y) * width + Math.floor(x);
    if (out.at(-1) !== i) out.push(i);
  };
  if (node.kind === 'line')
    for (let k = 1; k < node.path.length; k++) {
      const [[x0, y0], [x1, y1]] = [node.path[k - 1], node.path[k]];
      const steps = Math.max(1, Math.ceil(Math.hypot(x1 - x0, y1 - y0)));
      for (let s = 0; s < steps; s++) put(x0 + ((x1 - x0) * s) / steps, y0 + ((y1 - y0) * s) / steps);
    }
  if (node.kind === 'shape') {
    scanPath(node.path, width, height, (y, x0, x1) => {
      for (let x = x0; x <= x1; x++) put(x, y);
    });
    const n = node.path.length;
    if (!out.length)
      put(
        node.path.reduce((s, [x]) => s + x / n, 0),
        node.path.reduce((s, [, y]) => s + y / n, 0),
      );
  }
  return out;
}
