import { pictureFromRgba, resampleToLongSide, type FoundFace, type Picture } from '@urbild/core';
import { frameOfMesh, readTraits } from '@urbild/engine';
import { FAMILIES, type FamilyPicture, type ForeignFamily } from '@urbild/engine-tools';
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { kindBySight } from '../../../apps/server/src/library/kindBySight';
import { describeReference, type ReferenceDescription } from '../../../apps/server/src/library/tasks/describeReference';
import { toFace } from '../../../apps/server/src/library/lookAt.service';
import type { Kind } from '../../../apps/server/src/library/reference.entity';
import { VisionService } from '../../../apps/server/src/platform/vision/vision.service';
import type { Seen } from '../../../apps/server/src/platform/vision/vision.worker';
import { config } from '../measure';

/** A foreign picture with everything that the studio finds in it at import. */
export interface Foreign {
  readonly family: ForeignFamily;
  readonly made: FamilyPicture;
  readonly seen: Seen;
  readonly kind: Kind;
  readonly faces: readonly FoundFace[];
  readonly traits?: ReturnType<typeof readTraits>['traits'];
  readonly described: ReferenceDescription;
}

/** Sides at which the studio measures pictures and reads people, px. */
const [MEASURED, READ] = [512, 1024];

/** Looks at `each` pictures of every family, as the studio does at import, one after the other. */
export async function* foreignPictures(each: number, firstSeed: number): AsyncGenerator<Foreign> {
  const dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-foreign-'));
  const vision = new VisionService({ ...config(dir), vision: undefined });
  const file = path.join(dir, 'one.png');
  try {
    for (const family of FAMILIES)
      for (let k = 0; k < each; k++) {
        const made = family.make({ who: 1 + k, seed: firstSeed + k });
        const { rgba, width, height } = made;
        await sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } })
          .png()
          .toFile(file);
        yield found(family, made, await vision.look(file));
      }
  } finally {
    vision.onModuleDestroy();
    await rm(dir, { recursive: true, force: true });
  }
}

function found(family: ForeignFamily, made: FamilyPicture, seen: Seen): Foreign {
  const { rgba, width, height } = made;
  const whole: Picture = pictureFromRgba(rgba, width, height);
  const small = resampleToLongSide(whole, MEASURED);
  const file = { width, height, transparent: 0 };
  const plainBackground = describeReference(small, file).checks.some(({ id }) => id === 'plain background');
  const kind = kindBySight({ ...seen, plainBackground });
  const [main] = [...seen.faces].sort((a, b) => b.box[2] * b.box[3] - a.box[2] * a.box[3]);
  const read =
    main &&
    readTraits(resampleToLongSide(whole, READ), frameOfMesh(main.mesh, main.yaw), { part: main.part, mesh: main.mesh });
  const faces = seen.faces.map((f) => toFace(f, f === main ? read?.covered : undefined));
  return {
    family,
    made,
    seen,
    kind,
    faces,
    traits: read?.traits,
    described: describeReference(small, { ...file, kind, faces }),
  };
}
