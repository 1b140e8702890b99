import type { Box } from '../mask/salience';

/** A face as the vision models found it, or as a person drew it. */
export interface FoundFace {
  /** Part of the picture. */
  readonly box: Box;
  /** 0..1; 1 when drawn by hand. */
  readonly score: number;
  /** Turn of the head in degrees, 0 to the viewer, negative to the left; absent when unknown. */
  readonly yaw?: number;
  /** Tilt of the head in degrees. */
  readonly roll?: number;
  /** Part of the outline of the face that lies outside the picture, 0..1. */
  readonly outside?: number;
  /** Part of the face that something covers, 0..1. */
  readonly covered?: number;
  readonly byHand?: boolean;
}

/** Reported turns are about three quarters of the true ones: up to here a face counts as seen from the front ... */
export const FRONTAL = 12;
/** ... and up to here as three-quarter. */
export const THREE_QUARTER = 35;

/** The view of a face by its reported turn. */
export const viewOf = (yaw: number): 'front' | 'three-quarter' | 'profile' =>
  Math.abs(yaw) < FRONTAL ? 'front' : Math.abs(yaw) < THREE_QUARTER ? 'three-quarter' : 'profile';

/** The largest face; undefined without one. */
export const mainFace = (faces: readonly FoundFace[]): FoundFace | undefined =>
  [...faces].sort((a, b) => areaOf(b.box) - areaOf(a.box))[0];

/** Area of a box as part of the picture, 0..1. */
export const areaOf = (b: Box): number => Math.max(0, b.right - b.left) * Math.max(0, b.bottom - b.top);
