import type { Medium, SceneBrief } from '@urbild/core';
import { compose, type ComposeOptions } from './compose';
import type { FigureRecord } from './scene/figureRecord';
import { paletteFor, renderScene, type MediumPalette } from './media';
import { releaseCanvas } from './media/release';
import type { LayoutHints } from './places';
import { areaMap } from './scene/areas';
import { depthMap, labelMap } from './scene/labels';
import { seenOf, type SceneSeen } from './scene/seen';
import { lineMap } from './scene/lines';
import { ornament } from './scene/ornament';

/** A painted stage: opaque sRGB pixels and what each pixel is a picture of. */
export interface Stage {
  readonly width: number;
  readonly height: number;
  /** 4 bytes a pixel. */
  readonly rgba: Uint8ClampedArray;
  /** One region code a pixel. */
  readonly labels: Uint8Array;
  /** People and creatures: boxes, joints, landmarks of the face. */
  readonly figures: readonly FigureRecord[];
  /** What can be seen of everything that the words name. */
  readonly seen: SceneSeen;
  /** How far away each pixel is: 0 at the viewer, 255 at the horizon and in the sky; made anew each time. */
  depth(): Uint8Array;
  /** The same scene in another medium: 4 bytes a pixel. `checkpoint` is called often and may throw to stop. */
  paintIn(medium: Medium, palette?: MediumPalette, checkpoint?: () => void): Uint8ClampedArray;
}

/** All that is known of a painted picture, one byte a pixel each. */
export interface StageMaps {
  readonly labels: Uint8Array;
  /** 0 at the viewer, 255 at the horizon. */
  readonly depth: Uint8Array;
  /** 255 on an outline. */
  readonly lines: Uint8Array;
  readonly figures: readonly FigureRecord[];
}

/** What is painted, and how. */
export interface PaintOptions {
  readonly width: number;
  readonly height: number;
  readonly seed: number;
  /** 0 the same composition for every seed, 1 a free one (usual). */
  readonly spread?: number;
  readonly hints?: LayoutHints;
  readonly identities?: ComposeOptions['identities'];
  readonly light?: ComposeOptions['light'];
  readonly unpainted?: ComposeOptions['unpainted'];
  /** 0 plain .. 1 ornate; .5 (usual) as it is composed. */
  readonly ornateness?: number;
  /** The words' medium, or gouache, when absent. */
  readonly medium?: Medium;
  /** A palette of the medium by name; the words' own inks, or the usual one, when absent. */
  readonly palette?: string;
  /** Called often while painting; throws to stop. */
  readonly checkpoint?: () => void;
}

/** Paints a brief: the same brief, size and seed give the same pixels. */
export function paintStage(brief: SceneBrief, options: PaintOptions): Stage {
  const { width, height } = options;
  const scene = compose(brief, options);
  ornament(scene, options.ornateness ?? 0.5);
  const medium = options.medium ?? brief.medium ?? 'gouache';
  const paintIn = (m: Medium, palette?: MediumPalette, checkpoint?: () => void) => {
    const canvas = renderScene(scene, m, palette, checkpoint);
    const { data } = canvas.getContext('2d').getImageData(0, 0, width, height);
    releaseCanvas(canvas);
    return data;
  };
  const rgba = paintIn(medium, paletteFor(medium, options.palette, brief.inks), options.checkpoint);
  options.checkpoint?.();
  const areas = areaMap(scene);
  return {
    width,
    height,
    rgba,
    labels: labelMap(scene, areas),
    figures: scene.figures,
    seen: seenOf(scene, areas, medium),
    depth: () => depthMap(scene, areas),
    paintIn,
  };
}

/** The ground truth of a brief's picture, without painting it. */
export function mapsOf(brief: SceneBrief, options: PaintOptions): StageMaps {
  const scene = compose(brief, options);
  const areas = areaMap(scene);
  return {
    labels: labelMap(scene, areas),
    depth: depthMap(scene, areas),
    lines: lineMap(scene),
    figures: scene.figures,
  };
}
