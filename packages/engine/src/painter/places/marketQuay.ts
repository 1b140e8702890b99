import { paintThing } from '../things';
import { harbour } from './harbour';
import type { Place } from './place';

/** The quay on a market day: stalls with awnings before the harbour. */
export const marketQuay: Place = (scene, setting) => {
  const { width: W, height: H, unit: u } = scene;
  const staging = harbour(scene, setting);
  paintThing(scene, 'stall', { x: W * 0.17, y: H * 0.85, size: 190 * u, depth: 0.06, colour: [0.56, 0.17, 28] });
  paintThing(scene, 'stall', { x: W * 0.86, y: H * 0.84, size: 180 * u, depth: 0.06, colour: [0.52, 0.1, 200] });
  if (!setting.named.has('barrel'))
    paintThing(scene, 'barrel', { x: W * 0.34, y: H * 0.85, size: 56 * u, depth: 0.05 });
  if (!setting.named.has('crate')) paintThing(scene, 'crate', { x: W * 0.71, y: H * 0.86, size: 46 * u, depth: 0.05 });
  return { ...staging, x: W * 0.5, y: H * 0.8 + 44 * u, left: W * 0.3, right: W * 0.76 };
};
