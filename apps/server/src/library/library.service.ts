import { EntityManager } from '@mikro-orm/better-sqlite';
import type { EntityManager as Manager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { UNPREPARED } from '@urbild/core';
import { randomUUID } from 'crypto';
import { rm } from 'fs/promises';
import { BlobStore } from '../platform/blobs/blobStore';
import { shownNow } from '../platform/access/belonging';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { JobsService } from '../platform/jobs/jobs.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { INGEST } from './library.tasks';
import type { IngestResult } from './tasks/ingest';
import { hashFile } from '../platform/blobs/hashFile';
import { taskProblem } from '../platform/workers/taskProblem';
import { WorkersService } from '../platform/workers/workers.service';
import {
  toReferenceDto,
  type BulkChangeDto,
  type BulkChangedDto,
  type ChangeReferenceDto,
  type ImportedDto,
  type ReferenceDto,
  type RememberedDto,
} from './reference.dto';
import { measured, vectorsOf, versionHashes } from './referenceFields';
import { ReferenceEntity, VectorEntity, type Kind, type Reference } from './reference.entity';

/** What is known of a picture before it is read. */
export interface NewReference {
  readonly kind?: Kind;
  readonly title: string;
  readonly tags?: string[];
  readonly demoKey?: string;
}

/** The pictures and measurements of a reference in the store. */
export type KeptHashes = Pick<Reference, 'sourceHash' | 'pictureHash' | 'thumbnailHash' | 'descriptorsHash'>;

/** How many references are answered at once. */
const AT_ONCE = 200;

/** The library: bringing pictures in, changing what is said of them, putting them away. Finding is the catalogue's matter. */
@Injectable()
export class LibraryService {
  constructor(
    private readonly em: EntityManager,
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
    private readonly jobs: JobsService,
    private readonly events: EventsService,
  ) {}

  /**
   * Brings in the picture file at `file`, which is then gone. The same file twice gives the reference that is there.
   * Throws a {@link Problem} with the reason when it cannot be read.
   */
  async bringIn(file: string, about: NewReference): Promise<ImportedDto> {
    try {
      const originalHash = await hashFile(file);
      const there = await this.ofFile(originalHash);
      if (there) return { reference: await this.present(there), duplicate: true };
      const read = await this.workers.run(INGEST, { file, of: about.kind });
      await this.blobs.adopt(file, originalHash);
      const hashes = await this.keep(read, originalHash);
      // looked for once more where nobody can come between: the same file may have come in meanwhile
      const { reference, twin } = await together(this.em, async () => {
        const twin = await this.ofFile(originalHash);
        return { reference: twin ?? (await this.add(originalHash, read, hashes, about)), twin };
      });
      return { reference: await this.present(reference), duplicate: !!twin };
    } catch (error) {
      throw taskProblem(error);
    } finally {
      await rm(file, { force: true });
    }
  }

  /** The reference that was made of a file, by the hash of the file; null when there is none, or when it was deleted. */
  ofFile(originalHash: string, em: Manager = this.em): Promise<Reference | null> {
    return em.findOne(ReferenceEntity, { originalHash, deletedAt: null });
  }

  /** Makes a reference of a file that was read and whose pictures lie in the store, and lets the models look at it. One transaction. */
  async add(
    originalHash: string,
    read: IngestResult,
    hashes: KeptHashes,
    about: NewReference,
    em: Manager = this.em,
  ): Promise<Reference> {
    const reference = await together(em, async (tx) => {
      const made = this.create(tx, originalHash, read, hashes, about);
      await tx.flush();
      await this.jobs.enqueue(tx, {
        kind: 'look-at',
        subject: made.id,
        priority: 6,
        // nobody said what it is: who can be seen in it decides
        payload: { guessed: about.kind === undefined && !about.demoKey },
      });
      return made;
    });
    this.events.publish({ type: 'reference', id: reference.id });
    return reference;
  }

  private create(
    em: Manager,
    originalHash: string,
    read: IngestResult,
    hashes: KeptHashes,
    about: NewReference,
  ): Reference {
    const now = new Date();
    const reference = em.create(ReferenceEntity, {
      id: randomUUID(),
      kind: about.kind ?? suggestedKind(read),
      title: about.title,
      tags: about.tags ?? [],
      notes: '',
      rating: 0,
      favourite: false,
      rights: {
        kind: about.demoKey ? 'own work' : 'not cleared',
        credit: read.metadata.credit ?? read.metadata.creator,
      },
      originalHash,
      ...hashes,
      preparation: UNPREPARED,
      history: [
        {
          number: 1,
          at: now.toISOString(),
          why: 'brought in',
          originalHash,
          ...versionHashes(hashes),
          preparation: UNPREPARED,
        },
      ],
      corrections: {},
      format: read.format,
      width: read.width,
      height: read.height,
      transparent: read.transparent,
      ...measured(read),
      metadata: read.metadata,
      visionState: 'waiting',
      demoKey: about.demoKey ?? null,
      createdAt: now,
      version: 1,
    });
    em.create(VectorEntity, { id: reference.id, ...vectorsOf(read) });
    return reference;
  }

  /** Stores the pictures and descriptors of a file that was read. */
  async keep(
    read: Pick<IngestResult, 'picture' | 'thumbnail' | 'descriptors'>,
    sourceHash: string,
  ): Promise<KeptHashes> {
    const [pictureHash, thumbnailHash, descriptorsHash] = await Promise.all([
      read.picture ? this.blobs.put(read.picture) : sourceHash,
      this.blobs.put(read.thumbnail),
      this.blobs.put(read.descriptors),
    ]);
    return { sourceHash: pictureHash, pictureHash, thumbnailHash, descriptorsHash };
  }

  /** References by id, in the order of the ids; unknown ones are left out. */
  async many(ids: readonly string[]): Promise<ReferenceDto[]> {
    const wanted = [...new Set(ids)].slice(0, AT_ONCE);
    const found = new Map((await this.em.find(ReferenceEntity, { id: { $in: wanted } })).map((r) => [r.id, r]));
    const uses = await this.uses(wanted);
    return wanted.flatMap((id) => {
      const r = found.get(id);
      return r ? [toReferenceDto(r, uses.get(id) ?? 0)] : [];
    });
  }

  async get(id: string): Promise<ReferenceDto> {
    return this.present(await this.find(id));
  }

  async present(reference: Reference): Promise<ReferenceDto> {
    return toReferenceDto(reference, (await this.uses([reference.id])).get(reference.id) ?? 0);
  }

  /** Throws a not-found {@link Problem} for an unknown or deleted reference. */
  async find(id: string): Promise<Reference> {
    const reference = await this.em.findOne(ReferenceEntity, { id, deletedAt: null });
    if (!reference) throw Problem.notFound('This reference');
    return reference;
  }

  async change(id: string, change: ChangeReferenceDto): Promise<ReferenceDto> {
    const reference = await this.find(id);
    const uses = (await this.uses([id])).get(id) ?? 0;
    requireVersion(reference, change.version, (r) => toReferenceDto(r, uses));
    const { kind, title, notes, rating, favourite, rights } = change;
    const said = { kind, title, notes, rating, favourite, rights: rights && { ...rights } };
    Object.assign(reference, Object.fromEntries(Object.entries(said).filter(([, v]) => v !== undefined)));
    if (change.tags !== undefined) reference.tags = [...new Set(change.tags)];
    await this.em.flush();
    this.events.publish({ type: 'reference', id });
    return toReferenceDto(reference, uses);
  }

  /** One change to many references at once; the answer says how to undo it. */
  async changeMany({ ids, addTags = [], removeTags = [], away, ...fields }: BulkChangeDto): Promise<BulkChangedDto> {
    const references = await this.em.find(ReferenceEntity, { id: { $in: ids } });
    const before = references.map(remember);
    for (const r of references) {
      const { kind, rating, favourite, rights } = fields;
      if (kind !== undefined) r.kind = kind;
      if (rating !== undefined) r.rating = rating;
      if (favourite !== undefined) r.favourite = favourite;
      if (rights !== undefined) r.rights = { ...rights };
      if (addTags.length || removeTags.length)
        r.tags = [...new Set([...r.tags, ...addTags])].filter((t) => !removeTags.includes(t));
      if (away !== undefined) r.deletedAt = away ? (r.deletedAt ?? new Date()) : null;
    }
    await this.em.flush();
    for (const r of references) this.events.publish({ type: 'reference', id: r.id });
    return { changed: references.length, before };
  }

  /** Puts back what was said of references before a change of many. */
  async undoMany(before: readonly RememberedDto[]): Promise<BulkChangedDto> {
    const found = new Map(
      (await this.em.find(ReferenceEntity, { id: { $in: before.map((b) => b.id) } })).map((r) => [r.id, r]),
    );
    const now = [...found.values()].map(remember);
    for (const b of before) {
      const r = found.get(b.id);
      if (!r) continue;
      r.kind = b.kind ?? r.kind;
      r.rating = b.rating ?? r.rating;
      r.favourite = b.favourite ?? r.favourite;
      if (b.rights) r.rights = { ...b.rights };
      r.tags = [...b.tags];
      r.deletedAt = b.away ? (r.deletedAt ?? new Date()) : null;
    }
    await this.em.flush();
    for (const id of found.keys()) this.events.publish({ type: 'reference', id });
    return { changed: found.size, before: now };
  }

  /** Puts a reference away; takes and mixes that use it keep working, and it can be brought back. */
  async remove(id: string): Promise<void> {
    const reference = await this.find(id);
    reference.deletedAt = new Date();
    await this.em.flush();
    this.events.publish({ type: 'reference', id });
  }

  async restore(id: string): Promise<ReferenceDto> {
    const reference = await this.em.findOne(ReferenceEntity, { id });
    if (!reference) throw Problem.notFound('This reference');
    reference.deletedAt = null;
    await this.em.flush();
    this.events.publish({ type: 'reference', id });
    return this.present(reference);
  }

  /** In how many mixes each of some references is used. */
  private async uses(ids: readonly string[]): Promise<Map<string, number>> {
    if (!ids.length) return new Map();
    const shown = shownNow('mix', 'm');
    const rows = await this.em.execute<{ id: string; mixes: number }[]>(
      `select e.value->>'referenceId' as id, count(distinct m.id) as mixes from mix m, json_each(m.influences) e
         where m.deleted_at is null and e.value->>'referenceId' in (${ids.map(() => '?').join(', ')}) and ${shown.sql} group by 1`,
      [...ids, ...shown.parameters],
    );
    return new Map(rows.map((r) => [r.id, r.mixes]));
  }
}

const remember = (r: Reference): RememberedDto => ({
  id: r.id,
  kind: r.kind,
  rating: r.rating,
  favourite: r.favourite,
  rights: r.rights,
  tags: r.tags,
  away: r.deletedAt !== null,
});

/** A first guess at the kind, before anybody has looked for faces: pictures without a horizon are surfaces. */
function suggestedKind({ reading, checks }: IngestResult): Kind {
  const surface = !reading.horizon && reading.medium.probability > 0.8 && reading.places[0].probability < 0.35;
  return surface && !checks.some((c) => c.id === 'plain background') ? 'style' : 'image';
}
