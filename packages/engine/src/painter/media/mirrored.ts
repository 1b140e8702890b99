import { createCanvas, type SKRSContext2D } from '@napi-rs/canvas';
import { clamp, cssOf, type Lch } from '@urbild/core';
import { boundsOfNode, type GroupNode, type Reflection } from '../scene/displayList';
import type { Scene } from '../scene/scene';
import { releaseCanvas } from './release';

/**
 * Paints a group and its mirror image, row by row, more broken towards the viewer. `draw` paints the group into a layer of its own;
 * the image is stained with `tint`.
 */
export function paintMirrored(
  context: SKRSContext2D,
  {
    scene,
    n,
    mirror,
    tint,
    oversampling,
    draw,
  }: {
    readonly scene: Scene;
    readonly n: GroupNode;
    readonly mirror: Reflection;
    readonly tint: Lch;
    readonly oversampling: number;
    readonly draw: (layer: SKRSContext2D) => void;
  },
): void {
  const { width: W, height: H, noise } = scene;
  const raw = boundsOfNode(n);
  const box = [
    Math.max(-20, Math.floor(raw[0])),
    Math.max(-20, Math.floor(raw[1])),
    Math.min(W + 20, Math.ceil(raw[2])),
    Math.min(H + 20, Math.ceil(raw[3])),
  ];
  const w = box[2] - box[0];
  const h = box[3] - box[1];
  if (w < 2 || h < 2) return;
  const layer = createCanvas(Math.ceil(w * oversampling), Math.ceil(h * oversampling));
  const tinted = createCanvas(layer.width, layer.height);
  try {
    const layerContext = layer.getContext('2d');
    layerContext.scale(oversampling, oversampling);
    layerContext.translate(-box[0], -box[1]);
    draw(layerContext);
    const tintedContext = tinted.getContext('2d');
    tintedContext.drawImage(layer, 0, 0);
    tintedContext.globalCompositeOperation = 'source-atop';
    tintedContext.fillStyle = cssOf(tint, mirror.tint ?? 0.38);
    tintedContext.fillRect(0, 0, tinted.width, tinted.height);
    const step = 1.5;
    const reach = Math.min(mirror.y - box[1], (H - mirror.y) * 1.3);
    for (let r = 0; r < reach; r += step) {
      const sourceY = (mirror.y - box[1] - (r + step)) * oversampling;
      if (sourceY < 0) break;
      const deep = r / (reach || 1);
      const sway =
        (noise.at(r * 0.35 + mirror.y, 3.3) * 1.6 + Math.sin(r * 0.9 + mirror.y) * 0.8) *
        (mirror.sway ?? 1.6) *
        (0.4 + deep * 1.5);
      context.globalAlpha = clamp(
        (mirror.alpha ?? 0.75) * (1 - deep * 0.65) * (0.75 + 0.25 * noise.at(r * 0.5, 9.1 + mirror.y)),
      );
      context.drawImage(
        tinted,
        0,
        sourceY,
        tinted.width,
        Math.max(1, step * oversampling),
        box[0] + sway,
        mirror.y + r * 0.9,
        w,
        step * 0.9 + 0.6,
      );
    }
    context.globalAlpha = 1;
    context.drawImage(layer, box[0], box[1], w, h);
    // a canvas draws when it is read
    context.getImageData(0, 0, 1, 1);
  } finally {
    releaseCanvas(layer, tinted);
  }
}
