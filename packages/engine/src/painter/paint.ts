import type { Medium, SceneBrief } from '@urbild/core';
import { compose } from './compose';
import { renderScene } from './media';
import type { LinocutInks } from './media/linocut';
import type { LayoutHints } from './places';
import { labelMap } from './stage/labels';

/** A painted stage: opaque sRGB pixels and what each pixel is a picture of. */
export interface Stage {
  readonly width: number;
  readonly height: number;
  /** 4 bytes a pixel. */
  readonly rgba: Uint8ClampedArray;
  /** One region code a pixel. */
  readonly labels: Uint8Array;
}

/** What is painted, and how. */
export interface PaintOptions {
  readonly width: number;
  readonly height: number;
  readonly seed: number;
  /** 0 the same composition for every seed, 1 a free one (usual). */
  readonly spread?: number;
  readonly hints?: LayoutHints;
  /** The words' medium, or gouache, when absent. */
  readonly medium?: Medium;
  readonly inks?: LinocutInks;
  /** Called often while painting; throws to stop. */
  readonly checkpoint?: () => void;
}

/** Paints a brief: the same brief, size and seed give the same pixels. */
export function paintStage(brief: SceneBrief, options: PaintOptions): Stage {
  const { width, height } = options;
  const scene = compose(brief, options);
  const canvas = renderScene(scene, options.medium ?? brief.medium ?? 'gouache', options.inks, options.checkpoint);
  const { data } = canvas.getContext('2d').getImageData(0, 0, width, height);
  return { width, height, rgba: data, labels: labelMap(scene) };
}
