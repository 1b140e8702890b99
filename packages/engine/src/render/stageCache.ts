import {
  clonePicture,
  give,
  givesFactor,
  hashText,
  pictureFromRgba,
  type Gives,
  type Medium,
  type Picture,
} from '@urbild/core';
import { enlargement } from '../frames/frame';
import type { MediumPalette } from '../painter/media';
import type { Stage } from '../painter/paint';
import type { RenderRequest } from '../contract/request';
import { LeastRecentlyUsed } from '../synthesis/cache';

/** True for a give that the painter hears of; the others only lie over a finished stage. */
const onStage = ({ gives }: { readonly gives: Gives }): boolean => give(gives).stage;
/** True for a give whose part of the stage depends on everything that pulls on colour. */
const hearsAll = (influence: { readonly gives: Gives }): boolean =>
  onStage(influence) && givesFactor(influence.gives, 'colour') > 0;

/** Names what the painter makes of a request: equal names are equal stages. */
export function stageName(request: RenderRequest): string {
  // pictures to start from, masks and frames to be held by come after the stage
  const { balance, influences, frame, start: _, mask: __, hold: ___, ...painted } = request;
  const heard = influences.filter((i) => i.on && i.weight > 0);
  const told = heard.filter(onStage);
  const directing = told.some(hearsAll) ? heard : told;
  // a camera looks at one stage, wherever it looks
  const moved = frame && (frame.across || frame.towards ? frame : undefined);
  const enlarged = frame?.camera && enlargement(frame.camera);
  return JSON.stringify([painted, directing.length ? [balance, directing] : [], moved, enlarged]);
}

/** A stage as a pass uses it: whatever is handed out is the caller's own copy. */
export interface PaintedStage {
  readonly figures: Stage['figures'];
  /** What can be seen of everything that the words name, in the whole stage. */
  readonly seen: Stage['seen'];
  labels(): Uint8Array;
  /** 0 at the viewer .. 255 at the horizon. */
  depth(): Uint8Array;
  painted(): Picture;
  /** The same scene in another medium. */
  drawnIn(medium: Medium, palette: MediumPalette, checkpoint: () => void): Picture;
}

/** A painted stage that may be asked for again: whatever is handed out is the caller's own copy. */
export class KeptStage implements PaintedStage {
  #painted?: Picture;
  #depth?: Uint8Array;
  readonly #drawn = new LeastRecentlyUsed<Picture>(2);

  /** `keeps` is false for a stage that is asked once for everything. */
  constructor(
    private readonly stage: Stage,
    private readonly keeps = true,
  ) {}

  get figures(): Stage['figures'] {
    return this.stage.figures;
  }

  get seen(): Stage['seen'] {
    return this.stage.seen;
  }

  labels(): Uint8Array {
    return this.stage.labels.slice();
  }

  depth(): Uint8Array {
    return (this.#depth ??= this.stage.depth());
  }

  painted(): Picture {
    const { rgba, width, height } = this.stage;
    if (!this.keeps) return pictureFromRgba(rgba, width, height);
    return clonePicture((this.#painted ??= pictureFromRgba(rgba, width, height)));
  }

  drawnIn(medium: Medium, palette: MediumPalette, checkpoint: () => void): Picture {
    const { width, height } = this.stage;
    const draw = () => pictureFromRgba(this.stage.paintIn(medium, palette, checkpoint), width, height);
    return this.keeps ? clonePicture(this.#drawn.get(JSON.stringify([medium, palette]), draw)) : draw();
  }
}

/** Larger pictures than this are not worth their memory: nobody waits at a slider for them. */
const KEPT_PIXELS = 1024 * 768;
const stages = new LeastRecentlyUsed<KeptStage>(6);

/**
 * The stage of a request, painted by `paint` unless it was kept: while a weight is moved the words stay the same, and so does
 * what the painter makes of them.
 */
export function keptStage(request: RenderRequest, paint: () => Stage): KeptStage {
  if (request.width * request.height > KEPT_PIXELS) return new KeptStage(paint(), false);
  return stages.get(stageName(request), () => new KeptStage(paint()));
}

/** Names the stage of a request, as it is after everything that changes it, in the caches of synthesis. */
export const stageKey = (request: RenderRequest): string =>
  String(hashText(stageName(request) + JSON.stringify([request.start, request.frame])));
