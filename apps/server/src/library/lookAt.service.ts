import type { EntityManager } from '@mikro-orm/core';
import { Injectable, OnModuleInit } from '@nestjs/common';
import type { EntityManager as SqlEntityManager } from '@mikro-orm/better-sqlite';
import type { Check, FoundFace } from '@urbild/core';
import { frameOfBox, frameOfMesh, type FaceFrame } from '@urbild/engine';
import { BlobStore, blobPath } from '../platform/blobs/blobStore';
import { EventsService } from '../platform/events/events.service';
import type { Job } from '../platform/jobs/job.entity';
import { JobsService, type JobHandler } from '../platform/jobs/jobs.service';
import { VisionService, VisionUnavailable } from '../platform/vision/vision.service';
import { mainOf } from '../platform/vision/mainFace';
import type { Seen, SeenFace } from '../platform/vision/vision.worker';
import { WorkersService } from '../platform/workers/workers.service';
import { kindBySight } from './kindBySight';
import { ReferenceEntity, type Reference, type Vision } from './reference.entity';
import { PREPARE, TRAITS } from './library.tasks';
import { NO_MODEL, visionStateOf } from './visionState';

/** Outline of the face in the mesh: where it leaves the picture, the face is cut off. */
const OVAL = [
  10, 338, 297, 332, 284, 251, 389, 356, 454, 323, 361, 288, 397, 365, 379, 378, 400, 377, 152, 148, 176, 149, 150, 136,
  172, 58, 132, 93, 234, 127, 162, 21, 54, 103, 67, 109,
];
/**
 * The models and the version of what reads people after them. Raised with every change of what is read: what an older one looked at is
 * looked at again.
 */
export const READER = 'blazeface, facemesh, faceres, movenet-lightning, selfie; traits 3';

/**
 * Lets the vision models look at a reference after it has come in: faces, joints, then the traits of whoever it shows. The
 * reference is there and can be used before; without models it stays so.
 */
@Injectable()
export class LookAtService implements JobHandler, OnModuleInit {
  readonly concurrency = 1;

  constructor(
    private readonly jobs: JobsService,
    private readonly blobs: BlobStore,
    private readonly vision: VisionService,
    private readonly workers: WorkersService,
    private readonly events: EventsService,
  ) {}

  onModuleInit(): void {
    this.jobs.register('look-at', this);
  }

  async run(job: Job, em: EntityManager): Promise<void> {
    const r = await em.findOne(ReferenceEntity, { id: job.subject });
    if (!r || r.deletedAt) return;
    const file = blobPath(this.blobs.dir, r.sourceHash);
    let seen: Seen | undefined;
    try {
      seen = await this.vision.look(file);
    } catch (error) {
      if (!(error instanceof VisionUnavailable)) throw error;
    }
    const main = seen && mainOf(seen.faces);
    const byHand = r.corrections.faces?.[0];
    const painted = r.corrections.matte;
    const frame: FaceFrame | undefined = byHand ? frameOfBox(byHand.box) : main && frameOfMesh(main.mesh, main.yaw);
    // without models nothing new is seen, and what they once saw is not forgotten
    const known = r.vision?.model === NO_MODEL ? null : r.vision;
    if (!seen && known && !byHand && !painted) return;
    const wantsFace = r.kind === 'face' || r.kind === 'character';
    const read =
      frame || wantsFace || main || painted
        ? await this.workers.run(TRAITS, {
            ...{ picture: file, face: frame },
            // a box by hand is not where the mesh lies
            ...(byHand ? {} : { part: main?.part, mesh: main?.mesh }),
            ...(painted ? { matte: blobPath(this.blobs.dir, painted) } : {}),
          })
        : undefined;
    const faceHash = main
      ? await this.blobs.put(Buffer.from(JSON.stringify({ mesh: main.mesh, embedding: main.embedding })))
      : null;
    const vision: Vision = {
      model: seen ? READER : (known?.model ?? NO_MODEL),
      faces: seen ? seen.faces.map((f) => toFace(f, f === main ? read?.covered : undefined)) : (known?.faces ?? []),
      joints: (seen ?? known)?.joints ?? [],
      ...(read ? { traits: read.traits } : {}),
      ...(read?.mattePicture ? { matte: await this.blobs.put(Buffer.from(read.mattePicture)) } : {}),
      ...(read?.headPicture ? { head: await this.blobs.put(Buffer.from(read.headPicture)) } : {}),
    };
    const visionState = visionStateOf(vision, byHand !== undefined, r.kind);
    await em.refresh(r);
    // nobody has said anything of it yet: the kind is still a guess
    const guessed = job.payload.guessed === true && r.version === 1;
    const plainBackground = r.checks.some(({ id }) => id === 'plain background');
    const kind = seen && guessed ? kindBySight({ ...seen, plainBackground }) : r.kind;
    // what was seen is no change by a person: the version stays, so that nobody's edit becomes stale by it
    const fields = {
      vision,
      vision_state: visionState,
      face_hash: faceHash,
      kind,
      ...(await this.check(r, kind, vision, file)),
    };
    const plain = Object.values(fields).map((v) => (typeof v === 'object' && v !== null ? JSON.stringify(v) : v));
    await (em as SqlEntityManager).getConnection().execute(
      `update reference set ${Object.keys(fields)
        .map((k) => `${k} = ?`)
        .join(', ')} where id = ?`,
      [...plain, r.id],
    );
    em.clear();
    this.events.publish({ type: 'reference', id: r.id });
  }

  /** Checks the reference again, now that its faces are known. */
  private async check(
    r: Reference,
    kind: Reference['kind'],
    vision: Vision,
    source: string,
  ): Promise<{ checks?: readonly Check[]; check_state?: string }> {
    if (kind !== 'face' && kind !== 'character') return {};
    const { width, height, transparent, preparation } = r;
    const faces = preparation.focus ? undefined : (r.corrections.faces ?? vision.faces);
    const again = await this.workers.run(PREPARE, {
      source,
      preparation,
      known: { kind, width, height, transparent, faces },
    });
    return { checks: again.checks, check_state: again.checkState };
  }
}

/** A face as the library keeps it; `covered` is the part of it that something covers, 0..1. */
export function toFace(f: SeenFace, covered: number | undefined): FoundFace {
  const outside = OVAL.filter(
    (k) => f.mesh[k][0] < 0 || f.mesh[k][0] > 1 || f.mesh[k][1] < 0 || f.mesh[k][1] > 1,
  ).length;
  const limit = (v: number) => Math.min(1, Math.max(0, v));
  const [left, top, width, height] = f.box;
  return {
    box: { left: limit(left), top: limit(top), right: limit(left + width), bottom: limit(top + height) },
    score: f.score,
    yaw: f.yaw,
    roll: f.roll,
    outside: outside / OVAL.length,
    ...(covered === undefined ? {} : { covered }),
  };
}
