import {
  identityChange,
  strokeChange,
  type Picture,
  type PictureWindow,
  type TraitSheet,
  type Unsteadiness,
} from '@urbild/core';
import { readFile, writeFile } from 'fs/promises';
import sharp from 'sharp';
import { animatedPng } from './apng';
import { measurable } from '../../platform/pictures/decode';
import { zipTo } from './zip';

/** Measures how much a sequence changes from frame to frame. */
export interface SteadinessTask {
  readonly files: readonly string[];
  /** What of each frame stands where the next one is, in parts of its sides. */
  readonly windows: readonly PictureWindow[];
  /** What each frame shows of whoever is seen. */
  readonly traits: readonly TraitSheet[];
}

/** Does a {@link SteadinessTask}. */
export async function steadiness({ files, windows, traits }: SteadinessTask): Promise<Unsteadiness> {
  let sum = 0;
  let before: Picture | undefined;
  for (const [k, file] of files.entries()) {
    const picture = await measurable(await readFile(file));
    if (before) sum += strokeChange(before, picture, windows[k - 1]);
    before = picture;
  }
  return { strokes: sum / Math.max(1, files.length - 1), identity: identityChange(traits) };
}

/** Writes the frames of a sequence into one file. */
export interface SequenceExportTask {
  readonly form: 'apng' | 'webp' | 'zip';
  readonly to: string;
  readonly files: readonly string[];
  /** Frames a second. */
  readonly rate: number;
}

/** Does a {@link SequenceExportTask}. */
export async function sequenceExport({ form, to, files, rate }: SequenceExportTask): Promise<{ done: true }> {
  if (form === 'zip')
    await zipTo(
      to,
      files.map((file, k) => ({ file, name: `frame-${String(k + 1).padStart(3, '0')}.png` })),
    );
  else if (form === 'apng') {
    // frames as they were rendered differ in how their pixels are packed: all are written alike
    const frames = await Promise.all(files.map((f) => sharp(f).removeAlpha().toColourspace('srgb').png().toBuffer()));
    await writeFile(to, animatedPng(frames, rate));
  } else {
    const frames = await Promise.all(files.map((f) => readFile(f)));
    await sharp(frames, { join: { animated: true } })
      .webp({ quality: 90, loop: 0, delay: files.map(() => Math.round(1000 / rate)) })
      .toFile(to);
  }
  return { done: true };
}
