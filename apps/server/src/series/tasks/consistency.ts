import {
  closerOf,
  comparedFor,
  decodeDescriptors,
  fallingOut,
  layoutLikeness,
  pairsOf,
  type Closer,
  type Descriptors,
  type FallsOut,
  type JudgedInfluence,
  type KnownName,
  type Pairs,
  type ShotFacts,
} from '@urbild/core';
import { readFile } from 'fs/promises';
import { blobPath } from '../../platform/blobs/blobStore';

/** A shot as it is compared, its descriptors still in their blob. */
export interface ComparedShot extends Omit<ShotFacts, 'picture'> {
  readonly descriptors: string;
  /** Hash of the descriptors of a picture whose layout it is compared with, e.g. of the take before a swap. */
  readonly layoutOf?: string;
}

/** Compares the takes of a series with each other and with their controls. */
export interface ConsistencyTask {
  readonly blobDir: string;
  readonly takes: readonly ComparedShot[];
  readonly controls: readonly ComparedShot[];
  readonly influences: readonly JudgedInfluence[];
  readonly names: readonly KnownName[];
  /** Names of what stands behind influences, by their id. */
  readonly titles: Readonly<Record<string, string>>;
  /** Height of the pictures in px. */
  readonly height: number;
}

export interface ConsistencyResult {
  readonly closer: Closer;
  readonly falls: readonly FallsOut[];
  /** Distance on surface of each take to each take before it. */
  readonly surface: Pairs;
  /** Likeness in layout to what each take was to be compared with, 0..1. */
  readonly layout: readonly (number | undefined)[];
}

/** Does a {@link ConsistencyTask}. */
export async function consistency(task: ConsistencyTask): Promise<ConsistencyResult> {
  const read = async (hash: string): Promise<Descriptors> =>
    decodeDescriptors(await readFile(blobPath(task.blobDir, hash)));
  const facts = async (shot: ComparedShot): Promise<ShotFacts> => ({ ...shot, picture: await read(shot.descriptors) });
  const takes = await Promise.all(task.takes.map(facts));
  const controls = await Promise.all(task.controls.map(facts));
  const context = { names: task.names, height: task.height, nameOf: (id: string) => task.titles[id] ?? id };
  return {
    closer: closerOf(takes, controls, task.influences),
    falls: fallingOut(takes, task.influences, context),
    surface: pairsOf(
      takes.map((t) => comparedFor(t)),
      'surface',
    ),
    layout: await Promise.all(
      task.takes.map(async ({ descriptors, layoutOf }) =>
        layoutOf ? layoutLikeness((await read(descriptors)).layout, (await read(layoutOf)).layout) : undefined,
      ),
    ),
  };
}
