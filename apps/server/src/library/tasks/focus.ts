import { salientBox, type Box } from '@urbild/core';
import sharp from 'sharp';
import { measurable } from '../../platform/pictures/decode';

/** Proposes a focus where no face was found, and tells the size of what the engine gets. */
export interface FocusTask {
  readonly source: string;
  readonly picture: string;
}

export interface FocusResult {
  readonly focus: Box;
  readonly sourceWidth: number;
  readonly sourceHeight: number;
  readonly width: number;
  readonly height: number;
}

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
