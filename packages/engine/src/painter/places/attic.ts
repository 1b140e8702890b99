import { wobble } from '../geometry/curve';
import { REGION } from '../scene/region';
import { paintThing } from '../things';
import type { Place } from './place';
import { beams, hangingLamp, room, windowView } from './room';

/** A room under the roof: slanting beams, a bed, books, a window high up. */
export const attic: Place = (scene, setting) => {
  const { width: W, height: H, unit: u } = scene;
  const floor = room(scene, { floorAt: 0.7, wall: [0.62, 0.06, 60], floor: [0.52, 0.06, 56], planks: true });
  windowView(scene, { x: W * 0.5 - 58 * u, y: H * 0.17, w: 116 * u, h: 122 * u, floorY: floor });
  const roof = scene.pen({ region: REGION.building, depth: 0.1 });
  for (const s of [0, 1]) {
    const X = (t: number) => (s ? W * (1 - t) : W * t);
    roof.shape(
      wobble(
        [
          [X(-0.02), -10],
          [X(0.34), -10],
          [X(0.1), floor - 60 * u],
          [X(-0.02), floor - 40 * u],
        ],
        0.9,
        18,
        s,
      ),
      [0.5, 0.055, 56],
      { strokes: s ? -1 : 1, texture: 1.3 },
    );
    scene.pen({ region: REGION.wood, depth: 0.08 }).shape(
      wobble(
        [
          [X(0.34), -10],
          [X(0.37), -10],
          [X(0.13), floor - 50 * u],
          [X(0.1), floor - 60 * u],
        ],
        0.8,
        16,
        s + 3,
      ),
      [0.37, 0.05, 50],
      { strokes: s ? -1 : 1 },
    );
  }
  beams(scene, [0.37, 0.05, 50], [], floor);
  if (!setting.named.has('shelf')) paintThing(scene, 'shelf', { x: W * 0.25, y: floor, size: 150 * u, depth: 0.1 });
  if (!setting.named.has('rug')) paintThing(scene, 'rug', { x: W * 0.47, y: H * 0.91, size: 20 * u, depth: 0.07 });
  if (!setting.named.has('bed'))
    paintThing(scene, 'bed', { x: W * 0.82, y: floor + 62 * u, size: 104 * u, depth: 0.08 });
  paintThing(scene, 'crate', { x: W * 0.12, y: H * 0.86, size: 58 * u, depth: 0.06 });
  if (!setting.named.has('candle'))
    paintThing(scene, 'candle', { x: W * 0.12, y: H * 0.86 - 56 * u, size: 34 * u, depth: 0.06 });
  hangingLamp(scene, W * 0.66, H * 0.2, 280 * u);
  return {
    x: W * 0.44,
    y: H * 0.9,
    head: 53 * u,
    depth: 0.05,
    horizon: H * 0.46,
    sill: { x: W * 0.5, y: H * 0.17 + 128 * u },
    wall: floor,
    left: W * 0.2,
    right: W * 0.7,
    table: { x: W * 0.14, y: H * 0.86 - 56 * u },
  };
};
