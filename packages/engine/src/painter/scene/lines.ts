import { createCanvas, type SKRSContext2D } from '@napi-rs/canvas';
import type { Path } from '../geometry/point';
import type { Node } from './displayList';
import { REGION } from './region';
import type { Scene } from './scene';

function trace(context: SKRSContext2D, path: Path): void {
  context.beginPath();
  path.forEach(([x, y], i) => (i ? context.lineTo(x, y) : context.moveTo(x, y)));
}

/** The outlines of everything that can be seen: 255 on a line, 0 on blank paper; nearer shapes cover farther ones. */
export function lineMap(scene: Scene): Uint8Array {
  const { width, height } = scene;
  const context = createCanvas(width, height).getContext('2d');
  context.fillStyle = '#000';
  context.fillRect(0, 0, width, height);
  context.strokeStyle = '#fff';
  context.lineWidth = 1.2;
  context.lineJoin = 'round';
  const visit = (n: Node): void => {
    if (n.kind === 'group') return n.children.forEach(visit);
    if (n.kind === 'line' && n.region !== REGION.none && n.alpha >= 0.4) {
      trace(context, n.path);
      context.stroke();
    }
    if (n.kind !== 'shape') return;
    if (n.region !== REGION.none && (n.alpha ?? 1) >= 0.5) {
      trace(context, n.path);
      context.closePath();
      context.fillStyle = '#000';
      context.fill();
      context.stroke();
    }
    if (!n.children?.length) return;
    context.save();
    trace(context, n.path);
    context.clip();
    n.children.forEach(visit);
    context.restore();
  };
  visit(scene.root);
  const { data } = context.getImageData(0, 0, width, height);
  return Uint8Array.from({ length: width * height }, (_, i) => data[i * 4]);
}
