import { blurPlane, pictureFromRgba } from '@urbild/core';
import type { Raster } from '@urbild/engine';
import { SEED, STAGES, takeOf, type Look } from './takes';

/** The scene of the test for mud, small: colours and contrast are told as well there. */
const SCENE = { prompt: STAGES[4], width: 256, height: 192, seed: SEED };
/** A mix may have so much less colour, or local contrast, than the weaker of its parts. */
const CLEAN = 0.85;

type Clarity = readonly [chroma: number, contrast: number];

/** How colourful the more colourful half of a picture is, and how much lightness varies around each place, OKLab. */
function clarity({ rgba, width, height }: Raster): Clarity {
  const [L, a, b] = pictureFromRgba(rgba, width, height).planes;
  const chroma = a.map((v, i) => Math.hypot(v, b[i])).sort();
  const half = chroma.subarray(chroma.length >> 1);
  const around = blurPlane(L, width, height, 6);
  const contrast = L.reduce((sum, v, i) => sum + Math.abs(v - around[i]), 0) / L.length;
  return [half.reduce((sum, v) => sum + v, 0) / half.length, contrast];
}

/** Two looks together, each pair of them: neither greyer nor flatter than the weaker of both alone. */
export async function clean(looks: readonly Look[]): Promise<boolean> {
  const alone: Clarity[] = [];
  for (const look of looks) alone.push(clarity(await takeOf(SCENE, [[look, 1]])));
  let [pairs, muddy] = [0, 0];
  for (const [i, a] of looks.entries())
    for (let j = i + 1; j < looks.length; j++) {
      const mix = [a, looks[j]].map((look) => [look, 0.5] as const);
      const mixed = clarity(await takeOf(SCENE, mix));
      const [chroma, contrast] = mixed.map((v, c) => v / Math.min(alone[i][c], alone[j][c]));
      pairs++;
      if (chroma >= CLEAN && contrast >= CLEAN) continue;
      muddy++;
      console.log(`  ${a.name} with ${looks[j].name}: chroma ${chroma.toFixed(2)}, contrast ${contrast.toFixed(2)}`);
    }
  console.log(`\n${pairs - muddy} of ${pairs} pairs of looks are as clear as the weaker of both (to ${CLEAN})`);
  return muddy === 0;
}
