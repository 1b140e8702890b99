import { EntityManager } from '@mikro-orm/better-sqlite';
import type { EntityManager as Manager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { focusOnFace, mainFace, sameData, samePreparation, type Preparation } from '@urbild/core';
import { BlobStore, blobPath } from '../../platform/blobs/blobStore';
import { together } from '../../platform/database/together';
import { EventsService } from '../../platform/events/events.service';
import { JobsService } from '../../platform/jobs/jobs.service';
import { Problem } from '../../platform/problems/problem';
import { requireVersion } from '../../platform/versions';
import { GIVES, PREPARE, PROPOSE_FOCUS } from '../library.tasks';
import type { GivesResult } from '../tasks/gives';
import type { IngestResult } from '../tasks/ingest';
import { WorkersService } from '../../platform/workers/workers.service';
import { LibraryService } from '../library.service';
import { measured, vectorsOf, versionHashes } from '../referenceFields';
import { facesOf, toReferenceDto, type ReferenceDto } from '../reference.dto';
import { blobUrl } from '../../platform/blobs/blobUrl';
import {
  ReferenceEntity,
  VectorEntity,
  type Corrections,
  type Reference,
  type ReferenceVersion,
} from '../reference.entity';
import { visionStateOf } from '../visionState';
import { corrected, layoutDtoOf } from './corrections';
import type { CorrectDto, EngineViewDto, PrepareDto, ReferenceVersionDto } from './preparation.dto';

/** How many versions of a reference are kept to go back to. */
const KEPT = 60;
const SMALLEST = 0.02;

/** What is read for the "gives" of a picture, by the hash of the picture. */
type GivesHashes = Pick<GivesResult, 'isLineDrawing' | 'isShape' | 'horizon' | 'flat' | 'planColours' | 'seen'> &
  Readonly<Record<'lines' | 'depth' | 'areas' | 'shape', string>>;

/** What the engine gets of a reference: crop, sharpening, cut-out, corrections by hand, and versions of it all. */
@Injectable()
export class PreparationService {
  private readonly kept = new Map<string, Promise<GivesHashes>>();

  constructor(
    private readonly em: EntityManager,
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
    private readonly jobs: JobsService,
    private readonly events: EventsService,
    private readonly library: LibraryService,
  ) {}

  /** Prepares a reference anew. The file as it came stays; the state before can be gone back to. */
  async prepare(id: string, { version, preparation }: PrepareDto): Promise<ReferenceDto> {
    const { focus } = preparation;
    if (focus && (focus.right - focus.left < SMALLEST || focus.bottom - focus.top < SMALLEST))
      throw Problem.invalid([{ field: 'preparation.focus', message: 'focus: at least 2 % of the picture each way' }]);
    const reference = await this.library.find(id);
    requireVersion(reference, version, (r) => toReferenceDto(r, 0));
    if (!samePreparation(reference.preparation, preparation))
      await this.apply(id, { version }, { ...preparation }, 'prepared');
    return this.library.get(id);
  }

  /**
   * Puts a new file in the place of a reference's; the old one stays among its versions. `also` is done in the same transaction; with
   * `version` it throws a stale {@link Problem} where somebody came before.
   */
  async redraw(
    id: string,
    originalHash: string,
    read: IngestResult,
    { version, also }: { readonly version?: number; readonly also?: (em: Manager) => Promise<unknown> },
  ): Promise<void> {
    const { sourceHash } = await this.library.keep(read, originalHash);
    const { format, width, height, transparent, metadata } = read;
    const file = { originalHash, sourceHash, format, width, height, transparent, metadata, version };
    // a focus set by hand is kept: a redrawn file usually has the same composition
    await this.apply(id, file, undefined, 'redrawn', async (reference, em) => {
      Object.assign(reference, { vision: null, visionState: 'waiting' });
      await this.jobs.enqueue(em, { kind: 'look-at', subject: id, priority: 6 });
      await also?.(em);
    });
  }

  /** Goes back to an earlier version, which becomes the newest. */
  async goBack(id: string, number: number, version: number): Promise<ReferenceDto> {
    const reference = await this.library.find(id);
    requireVersion(reference, version, (r) => toReferenceDto(r, 0));
    const old = reference.history.find((v) => v.number === number);
    if (!old) throw Problem.notFound(`Version ${number} of this reference`);
    const file = { originalHash: old.originalHash, sourceHash: old.sourceHash, version };
    await this.apply(id, file, old.preparation, 'went back');
    return this.library.get(id);
  }

  async versions(id: string): Promise<ReferenceVersionDto[]> {
    const { history } = await this.library.find(id);
    return history
      .map((v, k) => ({
        number: v.number,
        at: v.at,
        why: v.why,
        thumbnailUrl: blobUrl(v.thumbnailHash),
        current: k === history.length - 1,
      }))
      .reverse();
  }

  /**
   * Takes over what a person set right, and checks the reference again with it. Who it shows is read anew where a face was drawn or the
   * figure painted.
   */
  async correct(id: string, { version, ...wish }: CorrectDto): Promise<ReferenceDto> {
    const before = await this.library.find(id);
    requireVersion(before, version, (r) => toReferenceDto(r, 0));
    const corrections = corrected(before.corrections, wish);
    const { faces, matte } = corrections;
    if (matte && !(await this.blobs.has(matte)))
      throw Problem.invalid([{ field: 'matte', message: 'this painted mask is not here: paint it again' }]);
    const otherFaces = !sameData(faces, before.corrections.faces);
    const otherFigure = otherFaces || matte !== before.corrections.matte;
    const again = otherFaces && (await this.checkedWith(before, corrections));
    const saved = await together(this.em, async (em) => {
      const r = await em.findOneOrFail(ReferenceEntity, { id }, { refresh: true });
      requireVersion(r, version, (now) => toReferenceDto(now, 0));
      Object.assign(r, { corrections }, again);
      await em.flush();
      if (otherFigure) await this.jobs.enqueue(em, { kind: 'look-at', subject: id, priority: 6 });
      return r;
    });
    this.events.publish({ type: 'reference', id });
    return this.library.present(saved);
  }

  /** What changes of a reference when its faces are others. */
  private async checkedWith(
    r: Reference,
    corrections: Corrections,
  ): Promise<Pick<Reference, 'visionState' | 'checks' | 'checkState'>> {
    const { checks, checkState } = await this.workers.run(PREPARE, this.task({ ...r, corrections }, r.preparation));
    const visionState = visionStateOf(r.vision ?? null, corrections.faces !== undefined, r.kind);
    return { visionState, checks: [...checks], checkState };
  }

  /** What the engine gets, for every way of using the picture. */
  async gives(id: string): Promise<EngineViewDto> {
    const r = await this.library.find(id);
    const g = await this.givesOf(r.pictureHash);
    const pathOf = (hash: string) => blobPath(this.blobs.dir, hash);
    const read = await this.workers.run(PROPOSE_FOCUS, {
      source: pathOf(r.sourceHash),
      picture: pathOf(r.pictureHash),
    });
    const face = mainFace(facesOf(r) ?? []);
    return {
      pictureUrl: blobUrl(r.pictureHash),
      width: read.width,
      height: read.height,
      linesUrl: blobUrl(g.lines),
      isLineDrawing: g.isLineDrawing,
      depthUrl: blobUrl(g.depth),
      areasUrl: blobUrl(g.areas),
      areas: g.seen.map((a) => ({ ...a })),
      shapeUrl: blobUrl(g.shape),
      isShape: g.isShape,
      layout: layoutDtoOf(r.corrections.layout),
      flat: g.flat,
      planColours: g.planColours.map((c) => ({ ...c })),
      horizon: {
        at: r.corrections.horizon ?? g.horizon.at,
        confidence: r.corrections.horizon === undefined ? g.horizon.confidence : 1,
        byHand: r.corrections.horizon !== undefined,
      },
      faces: [...(facesOf(r) ?? [])],
      joints: [...(r.corrections.joints ?? r.vision?.joints ?? [])],
      proposedFocus: face ? focusOnFace(face.box, r.kind, read.sourceWidth, read.sourceHeight) : read.focus,
    };
  }

  private givesOf(pictureHash: string): Promise<GivesHashes> {
    let known = this.kept.get(pictureHash);
    if (!known) {
      known = this.workers.run(GIVES, { picture: blobPath(this.blobs.dir, pictureHash) }).then(async (g) => {
        const [lines, depth, areas, shape] = await Promise.all(
          [g.lines, g.depth, g.areas, g.shape].map((b) => this.blobs.put(b)),
        );
        const { isLineDrawing, isShape, horizon, flat, planColours, seen } = g;
        return { lines, depth, areas, shape, isLineDrawing, isShape, horizon, flat, planColours, seen };
      });
      this.kept.set(pictureHash, known);
      known.catch(() => this.kept.delete(pictureHash));
      if (this.kept.size > 500) this.kept.delete(this.kept.keys().next().value!);
    }
    return known;
  }

  private task(r: Reference, preparation: Preparation) {
    const { kind, width, height, transparent } = r;
    return {
      source: blobPath(this.blobs.dir, r.sourceHash),
      preparation,
      known: { kind, width, height, transparent, faces: preparation.focus ? undefined : facesOf(r) },
    };
  }

  /**
   * Makes what the engine gets of a reference anew, then writes it: the picture takes time, so the reference is read again for writing.
   * `file` is a new file (or an earlier one) in its place, and the version that this is based on.
   */
  private async apply(
    id: string,
    { version, ...file }: Partial<Reference>,
    wanted: Preparation | undefined,
    why: ReferenceVersion['why'],
    also?: (reference: Reference, em: Manager) => Promise<void>,
  ): Promise<void> {
    const before = Object.assign({ ...(await this.library.find(id)) }, file) as Reference;
    const preparation = wanted ?? before.preparation;
    const made = await this.workers.run(PREPARE, this.task(before, preparation));
    const { pictureHash, thumbnailHash, descriptorsHash } = await this.library.keep(made, before.sourceHash);
    await together(this.em, async (em) => {
      const r = await em.findOneOrFail(ReferenceEntity, { id }, { refresh: true });
      if (version !== undefined) requireVersion(r, version, (now) => toReferenceDto(now, 0));
      Object.assign(r, file, { preparation, pictureHash, thumbnailHash, descriptorsHash, ...measured(made) });
      r.history = [...r.history, versionOf(r, why)].slice(-KEPT);
      await em.upsert(VectorEntity, { id, ...vectorsOf(made) });
      await also?.(r, em);
    });
    this.events.publish({ type: 'reference', id });
  }
}

/** The present state of a reference as an entry of its history. */
const versionOf = (r: Reference, why: ReferenceVersion['why']): ReferenceVersion => ({
  number: (r.history[r.history.length - 1]?.number ?? 0) + 1,
  at: new Date().toISOString(),
  why,
  originalHash: r.originalHash,
  ...versionHashes(r),
  preparation: r.preparation,
});
