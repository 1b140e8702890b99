import { salientBox } from '@urbild/core';
import sharp from 'sharp';
import { measurable } from './decode';
import type { FocusResult, FocusTask } from './tasks';

/** Proposes a focus by what stands out in the source. */
export async function proposeFocus({ source, picture }: FocusTask): Promise<FocusResult> {
  const [own, prepared] = await Promise.all([sharp(source).metadata(), sharp(picture).metadata()]);
  return {
    focus: salientBox(await measurable(sharp(source))),
    sourceWidth: own.width,
    sourceHeight: own.height,
    width: prepared.width,
    height: prepared.height,
  };
}
