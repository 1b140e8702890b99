import type { Medium } from '@urbild/core';
import { frameOfMesh, readTraits, type ReadTraits } from '@urbild/engine';
import { mkdtemp, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { VisionService } from '../../apps/server/src/platform/vision/vision.service';
import type { SeenFace } from '../../apps/server/src/platform/vision/vision.worker';
import { paintPersonFrom, type PaintedPerson } from '@urbild/engine-tools';
import { config } from './measure';

/** Somebody painted, and what the vision models and the readers made of the picture, by the same way as an import. */
export interface SeenPerson {
  readonly painted: PaintedPerson;
  /** Absent when no face was found. */
  readonly face?: SeenFace;
  readonly read?: ReadTraits;
}

/** Paints people from words and looks at them; `done` ends the models. */
export async function peopleWatcher(width: number, height: number) {
  const dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-people-'));
  const vision = new VisionService({ ...config(dir), vision: undefined });
  const file = path.join(dir, 'one.png');
  return {
    see: async (who: string, medium: Medium, seed: number): Promise<SeenPerson> => {
      const words = `half figure of ${who}, front, meadow at noon`;
      const painted = paintPersonFrom(words, medium, seed, undefined, width, height)!;
      const raw = { raw: { width, height, channels: 4 as const } };
      await writeFile(file, await sharp(Buffer.from(painted.rgba.buffer), raw).png().toBuffer());
      const [face] = (await vision.look(file)).faces;
      return face
        ? {
            painted,
            face,
            read: readTraits(painted.picture, frameOfMesh(face.mesh, face.yaw), { part: face.part, mesh: face.mesh }),
          }
        : { painted };
    },
    done: async (): Promise<void> => {
      vision.onModuleDestroy();
      await rm(dir, { recursive: true, force: true });
    },
  };
}
