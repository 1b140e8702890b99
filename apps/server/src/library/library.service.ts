import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { createHash, randomUUID } from 'crypto';
import { createReadStream } from 'fs';
import { rm } from 'fs/promises';
import { MixEntity } from '../mixes/mix.entity';
import { BlobStore } from '../platform/blobs/blobStore';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { TaskFailed, WorkersService } from '../platform/workers/workers.service';
import { toReferenceDto, type ChangeReferenceDto, type ImportedDto, type ReferenceDto } from './reference.dto';
import { ReferenceEntity, type Kind, type Reference } from './reference.entity';

/** What is known of a picture before it is read. */
export interface NewReference {
  readonly kind?: Kind;
  readonly title: string;
  readonly tags?: string[];
  readonly demoKey?: string;
}

/** How a list of references is narrowed. */
export interface ReferenceFilter {
  readonly kind?: Kind;
  readonly words?: string;
}

/** The library: bringing pictures in, changing what is said of them, finding them. */
@Injectable()
export class LibraryService {
  constructor(
    private readonly em: EntityManager,
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
    private readonly events: EventsService,
  ) {}

  /**
   * Brings in the picture file at `file`, which is then gone. The same file twice gives the reference that is there.
   * Throws a {@link Problem} with the reason when it cannot be read.
   */
  async bringIn(file: string, about: NewReference): Promise<ImportedDto> {
    try {
      const originalHash = await hashFile(file);
      const twin = await this.em.findOne(ReferenceEntity, { originalHash, deletedAt: null });
      if (twin) return { reference: toReferenceDto(twin, await this.uses(twin.id)), duplicate: true };
      const read = await this.workers.ingest({ file });
      const [pictureHash, thumbnailHash, descriptorsHash] = await Promise.all([
        this.blobs.put(read.picture),
        this.blobs.put(read.thumbnail),
        this.blobs.put(read.descriptors),
      ]);
      await this.blobs.adopt(file, originalHash);
      const reference = this.em.create(ReferenceEntity, {
        id: randomUUID(),
        kind: about.kind ?? 'image',
        title: about.title,
        tags: about.tags ?? [],
        notes: '',
        originalHash,
        pictureHash,
        thumbnailHash,
        descriptorsHash,
        format: read.format,
        width: read.width,
        height: read.height,
        swatches: [...read.swatches],
        demoKey: about.demoKey ?? null,
        createdAt: new Date(),
        version: 1,
      });
      await this.em.flush();
      this.events.publish({ type: 'reference', id: reference.id });
      return { reference: toReferenceDto(reference, 0), duplicate: false };
    } catch (error) {
      if (error instanceof TaskFailed) {
        throw error.failure === 'too-large' ? Problem.tooLarge(error.message) : Problem.unreadable(error.message);
      }
      throw error;
    } finally {
      await rm(file, { force: true });
    }
  }

  async list({ kind, words }: ReferenceFilter): Promise<ReferenceDto[]> {
    const references = await this.em.find(
      ReferenceEntity,
      { deletedAt: null, ...(kind ? { kind } : {}) },
      { orderBy: { createdAt: 'desc', id: 'asc' } },
    );
    const wanted = (words ?? '').toLowerCase().split(/\s+/).filter(Boolean);
    const uses = await this.usesOfAll();
    return references
      .filter((r) => {
        const text = `${r.title} ${r.tags.join(' ')} ${r.notes}`.toLowerCase();
        return wanted.every((w) => text.includes(w));
      })
      .map((r) => toReferenceDto(r, uses.get(r.id) ?? 0));
  }

  async get(id: string): Promise<ReferenceDto> {
    return toReferenceDto(await this.find(id), await this.uses(id));
  }

  /** Throws a not-found {@link Problem} for an unknown or deleted reference. */
  async find(id: string): Promise<Reference> {
    const reference = await this.em.findOne(ReferenceEntity, { id, deletedAt: null });
    if (!reference) throw Problem.notFound('This reference');
    return reference;
  }

  async change(id: string, change: ChangeReferenceDto): Promise<ReferenceDto> {
    const reference = await this.find(id);
    const uses = await this.uses(id);
    requireVersion(reference, change.version, (r) => toReferenceDto(r, uses));
    if (change.kind !== undefined) reference.kind = change.kind;
    if (change.title !== undefined) reference.title = change.title;
    if (change.tags !== undefined) reference.tags = [...new Set(change.tags)];
    if (change.notes !== undefined) reference.notes = change.notes;
    await this.em.flush();
    this.events.publish({ type: 'reference', id });
    return toReferenceDto(reference, uses);
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
    return toReferenceDto(reference, await this.uses(id));
  }

  private async usesOfAll(): Promise<Map<string, number>> {
    const uses = new Map<string, number>();
    for (const mix of await this.em.find(MixEntity, { deletedAt: null }, { fields: ['influences'] })) {
      for (const id of new Set(mix.influences.map((i) => i.referenceId))) uses.set(id, (uses.get(id) ?? 0) + 1);
    }
    return uses;
  }

  private async uses(id: string): Promise<number> {
    return (await this.usesOfAll()).get(id) ?? 0;
  }
}

function hashFile(file: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const hash = createHash('sha256');
    createReadStream(file)
      .on('data', (chunk) => hash.update(chunk))
      .on('error', reject)
      .on('end', () => resolve(hash.digest('hex')));
  });
}
