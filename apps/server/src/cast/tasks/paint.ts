import { understand, type Medium } from '@urbild/core';
import { paintStage } from '@urbild/engine';
import { encodePng } from '../../platform/pictures/encodePng';

/** Paints a plate from words alone; for the demo studio. */
export interface PaintTask {
  readonly prompt: string;
  readonly medium: Medium;
  /** A palette of the medium by name. */
  readonly palette?: string;
  readonly width: number;
  readonly height: number;
  readonly seed: number;
  /** Which of all people whom the words fit; the usual one when absent. */
  readonly variant?: number;
}

/** Paints a plate of the demo world from words. */
export async function paint(task: PaintTask): Promise<{ png: Uint8Array }> {
  const { width, height, seed, medium, palette, variant } = task;
  const brief = understand(task.prompt);
  const entities = brief.entities.map((e) => (e.kind === 'person' && variant ? { ...e, variant } : e));
  const stage = paintStage({ ...brief, entities }, { width, height, seed, medium, palette });
  return { png: await encodePng(stage) };
}
