import { fuseTraits, pictureFromRgba, slotOf, type Picture, type Slot, type TraitSheet } from '@urbild/core';
import { frameOfMesh, readTraits } from '@urbild/engine';
import { DRESSED, PEOPLE_FAMILIES, type FamilyPicture, type ForeignFamily } from '@urbild/engine-tools';
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { toFace } from '../../apps/server/src/library/lookAt.service';
import { mainOf } from '../../apps/server/src/platform/vision/mainFace';
import { VisionService } from '../../apps/server/src/platform/vision/vision.service';
import { config } from './measure';

/** The longer side at which pictures are looked at, px. */
const SIDE = 1024;

/** Somebody of a foreign family, as an import of their pictures knows them. */
export interface Sitter {
  readonly name: string;
  readonly family: string;
  /** Fused over all pictures in which a face was found. */
  readonly sheet: TraitSheet;
  /** The same of every single picture. */
  readonly sheets: readonly TraitSheet[];
  readonly pictures: readonly Picture[];
  readonly rgba: readonly FamilyPicture[];
}

/** What was read of a picture, and in how many ms after the models had looked at it. */
interface ReadPerson {
  readonly traits: TraitSheet;
  /** What of a model sheet the picture would be. */
  readonly slot: Slot | undefined;
  readonly picture: Picture;
  readonly took: number;
}

/** What an import reads of a picture; undefined where no face is found. */
export type ReadPicture = (picture: FamilyPicture) => Promise<ReadPerson | undefined>;

/** Keeps a picture of a family as a PNG file. */
export const writePng = (file: string, { rgba, width, height }: FamilyPicture) =>
  sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } })
    .png()
    .toFile(file);

/** Runs `work` with the models that look at pictures on their way into a library. */
export async function withReader<T>(work: (read: ReadPicture) => Promise<T>): Promise<T> {
  const dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-sitters-'));
  const vision = new VisionService({ ...config(dir), vision: undefined });
  const read: ReadPicture = async (shown) => {
    // canvases are only cleared away between two turns of the event loop
    await new Promise(setImmediate);
    const file = path.join(dir, 'shown.png');
    await writePng(file, shown);
    const seen = await vision.look(file);
    const face = mainOf(seen.faces);
    if (!face) return undefined;
    const { data, info } = await sharp(file)
      .resize(SIDE, SIDE, { fit: 'inside' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    const start = performance.now();
    const picture = pictureFromRgba(new Uint8ClampedArray(data), info.width, info.height);
    const { traits } = readTraits(picture, frameOfMesh(face.mesh, face.yaw), { part: face.part, mesh: face.mesh });
    const slot = slotOf({ faces: seen.faces.map((f) => toFace(f, undefined)), joints: seen.joints });
    return { traits, slot, picture, took: performance.now() - start };
  };
  try {
    return await work(read);
  } finally {
    vision.onModuleDestroy();
    await rm(dir, { recursive: true, force: true });
  }
}

/** Nobody from this number on has been learnt from. */
const UNSEEN = DRESSED + 7000;

/** So many people, of all families in turn, each from so many pictures of their own. */
export async function sitters(read: ReadPicture, count: number, pictures: number): Promise<Sitter[]> {
  const out: Sitter[] = [];
  for (let k = 0; k < count; k++) {
    const family: ForeignFamily = PEOPLE_FAMILIES[k % PEOPLE_FAMILIES.length];
    const rgba = Array.from({ length: pictures }, (_, p) => family.make({ who: UNSEEN + k, seed: 31 * k + p }));
    const seen = [];
    for (const picture of rgba) seen.push(...[await read(picture)].flatMap((s) => s ?? []));
    const sheets = seen.map(({ traits }) => traits);
    const own = { sheet: fuseTraits(sheets), sheets, pictures: seen.map((s) => s.picture), rgba };
    out.push({ name: `${family.name} ${k}`, family: family.name, ...own });
  }
  return out;
}
