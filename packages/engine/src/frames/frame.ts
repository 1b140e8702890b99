import { clamp, lerp } from '@urbild/core';

/** A window of the scene: its middle and its size in parts of the scene; 1 sees all of it. */
export interface FrameView {
  readonly x: number;
  readonly y: number;
  readonly size: number;
}

/** How a sequence goes from its first frame to its last. */
export interface FrameMove {
  readonly camera?: { readonly from: FrameView; readonly to: FrameView };
  /** How far the first figure goes over the sequence, in parts of the width, -1..1; negative to the left. */
  readonly across?: number;
  /** The words of the last frame; its light comes gradually, its place and people from the middle on. */
  readonly towards?: string;
}

/** Which frame of a sequence a picture is. */
export interface RequestFrame extends FrameMove {
  /** 0 the first, 1 the last. */
  readonly at: number;
}

/** A finished frame of the same sequence that a frame is held by. */
export interface RequestHold {
  readonly content: string;
  /** Which frame it is, 0..1. */
  readonly at: number;
}

/** The smallest window of a scene. */
export const CLOSEST = 0.4;
/** A scene that is seen from nearer is painted larger, but at most so many times. */
const MOST_ENLARGED = 1.6;

/** The window at a moment: sizes grow by equal factors, so that coming nearer looks steady; never beyond the scene. */
export function viewAt(camera: NonNullable<FrameMove['camera']>, at: number): FrameView {
  const { from, to } = camera;
  const size = from.size * (to.size / from.size) ** at;
  // the middle follows the size, else the way bends where both change
  const t = Math.abs(to.size - from.size) < 1e-6 ? at : (size - from.size) / (to.size - from.size);
  const within = (v: number) => clamp(v, size / 2, 1 - size / 2);
  return { x: within(lerp(from.x, to.x, t)), y: within(lerp(from.y, to.y, t)), size };
}

/** How many times larger than the picture a scene is painted for a camera. */
export const enlargement = ({ from, to }: NonNullable<FrameMove['camera']>): number =>
  clamp(1 / Math.min(from.size, to.size), 1, MOST_ENLARGED);

/** Steps that a figure takes on its way: one for each sixteenth of the width. */
const STEPS = 16;

/** How far the first figure has gone at a moment, in parts of the width, and where in its stride it is, 0..1. */
export function strideAt(across: number, at: number): { dx: number; phase: number } {
  const gone = Math.abs(across) * at * (STEPS / 2);
  return { dx: across * (at - 0.5), phase: gone - Math.floor(gone) };
}
