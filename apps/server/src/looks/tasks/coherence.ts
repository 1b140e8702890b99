import { coherenceOf, describePalette, describeStrokes, mannerOf, type Coherence, type LookSample } from '@urbild/core';
import sharp from 'sharp';
import { measurable } from '../../platform/pictures/decode';

/** Compares the pictures of a look. */
export interface CoherenceTask {
  /** Paths of pictures. */
  readonly pictures: readonly string[];
}

const kept = new Map<string, LookSample>();
const KEPT = 400;

/** A picture as looks are compared by; read once. */
async function sampleOf(file: string): Promise<LookSample> {
  let sample = kept.get(file);
  if (!sample) {
    const picture = await measurable(sharp(file));
    sample = { manner: mannerOf(describeStrokes(picture)), palette: describePalette(picture) };
    kept.set(file, sample);
    if (kept.size > KEPT) kept.delete(kept.keys().next().value!);
  }
  return sample;
}

/** Compares the pictures of a look. */
export async function coherence({ pictures }: CoherenceTask): Promise<Coherence> {
  const samples: LookSample[] = [];
  for (const file of pictures) samples.push(await sampleOf(file));
  return coherenceOf(samples);
}
