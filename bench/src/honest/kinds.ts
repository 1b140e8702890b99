import { checkReference, pictureFromRgba } from '@urbild/core';
import { FAMILIES } from '@urbild/engine-tools';
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { VisionService } from '../../../apps/server/src/platform/vision/vision.service';
import { kindBySight } from '../../../apps/server/src/library/kindBySight';
import { config } from '../measure';
import type { Line } from './line';

/** What a person would file a picture of a family under. */
const WANTED = {
  portrait: ['face'],
  figure: ['character', 'image'],
  scene: ['style', 'image'],
  thing: ['image'],
  plan: ['style', 'image'],
  pose: ['character', 'image'],
} as const;
const EACH = 12;

/** Kinds that are guessed at import, over 200 pictures that nobody here drew: a table, and how many a person would have to mend. */
export async function kinds(print: (text: string) => void): Promise<Line[]> {
  const dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-kinds-'));
  const vision = new VisionService({ ...config(dir), vision: undefined });
  const file = path.join(dir, 'one.png');
  let [right, all] = [0, 0];
  for (const family of FAMILIES) {
    const got: Record<string, number> = {};
    let own = 0;
    for (let k = 0; k < EACH; k++) {
      const { rgba, width, height, truth } = family.make({ who: 1 + k, seed: 30 + k });
      await sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } })
        .png()
        .toFile(file);
      const picture = pictureFromRgba(rgba, width, height);
      const checks = checkReference({ kind: 'image', picture, width, height, transparent: 0 });
      const plainBackground = checks.some(({ id }) => id === 'plain background');
      const kind = kindBySight({ ...(await vision.look(file)), plainBackground });
      got[kind] = (got[kind] ?? 0) + 1;
      if ((WANTED[truth.kind] as readonly string[]).includes(kind)) own++;
    }
    right += own;
    all += EACH;
    print(
      `  ${family.name}: ${Object.entries(got)
        .map(([kind, n]) => `${kind} ${n}`)
        .join(', ')}; as a person would ${own} of ${EACH}`,
    );
  }
  vision.onModuleDestroy();
  await rm(dir, { recursive: true, force: true });
  return [
    {
      what: `kinds of ${all} that are guessed as a person would file them`,
      figure: right,
      least: Math.ceil(all * 0.9),
    },
  ];
}
