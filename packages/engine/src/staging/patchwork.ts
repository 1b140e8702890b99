import { applyGuided, blur, fitGuided, Random, resample, type Picture } from '@urbild/core';
import { threadKernel } from '../synthesis/kernel';
import { PatchLevel } from '../synthesis/patchLevel';
import { heightsIn } from '../synthesis/places';

/** What the height in the picture counts when masses are filled. */
const HEIGHT = 0.08;

/** Patches of `source`, arranged as a guide says. */
export function patched(source: Picture, guide: Picture, seed: number, checkpoint: () => void): Picture {
  const kernel = threadKernel();
  kernel.seed(Math.imul(seed || 1, 0x9e3779b1) >>> 0);
  const random = new Random(seed || 1);
  const { width: w, height: h } = guide;
  const level = new PatchLevel(kernel, {
    width: w,
    height: h,
    references: [source],
    guides: [blur(source, 1)],
    places: [heightsIn(source.width, source.height, HEIGHT)],
  });
  const [rect] = level.rects;
  for (let i = 0; i < level.field.length; i++) {
    const x = rect.x0 + Math.floor(random.next() * (rect.x1 - rect.x0));
    const y = rect.y0 + Math.floor(random.next() * (rect.y1 - rect.y0));
    level.field[i] = y * level.atlasWidth + x;
  }
  level.setGuide(guide, heightsIn(w, h, HEIGHT), new Float32Array(w * h).fill(2));
  let current = guide;
  for (let round = 0; round < 3; round++) {
    level.match(
      current,
      {
        guide: 2.2,
        texture: round ? 0.8 : 0.2,
        usage: 0.0006,
        quota: 0,
        shares: [1],
        passes: round ? 2 : 4,
        probes: 8,
        phase: round,
      },
      checkpoint,
    );
    current = level.vote(2, 1.5);
  }
  return current;
}

/** The rearranged picture at full size: its edges are those of the guide, its grain that of the stage. */
export function upscaled(filled: Picture, stage: Picture, guide: Picture): Picture {
  const { width: w, height: h } = stage;
  const small = resample(guide, filled.width, filled.height);
  const fitted = applyGuided(fitGuided(small, filled, 2, 3e-4), guide);
  const direct = resample(filled, w, h);
  const soft = blur(direct, Math.max(0.8, (1.5 * w) / filled.width));
  const calm = blur(stage, Math.max(1, w / 160));
  fitted.planes.forEach((plane, c) => {
    const [d, s, g, q] = [direct.planes[c], soft.planes[c], stage.planes[c], calm.planes[c]];
    for (let i = 0; i < plane.length; i++) plane[i] += 0.8 * (d[i] - s[i]) + 0.4 * (g[i] - q[i]);
  });
  return fitted;
}
