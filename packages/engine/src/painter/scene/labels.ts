import { areaMap, bytesOf, type AreaMap } from './areas';
import type { Scene } from './scene';

/**
 * The label map of a scene: one region code per pixel, from the same polygons that are painted (see
 * {@link REGION}). Nothing is left unlabelled where the scene covers its picture.
 */
export const labelMap = (scene: Scene, areas: AreaMap = areaMap(scene)): Uint8Array =>
  bytesOf(areas, ({ region }) => region);

/** How far away each pixel is: 0 at the viewer, 255 at the horizon and in the sky. */
export const depthMap = (scene: Scene, areas: AreaMap = areaMap(scene)): Uint8Array =>
  bytesOf(areas, ({ depth }) => Math.round(Math.min(1, Math.max(0, depth)) * 255));
