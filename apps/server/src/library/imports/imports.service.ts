import { EntityManager } from '@mikro-orm/better-sqlite';
import { RequestContext, type EntityManager as Manager } from '@mikro-orm/core';
import { Injectable, OnModuleInit } from '@nestjs/common';
import { randomUUID } from 'crypto';
import { rm } from 'fs/promises';
import { BlobStore, blobPath } from '../../platform/blobs/blobStore';
import { EventsService } from '../../platform/events/events.service';
import type { Job } from '../../platform/jobs/job.entity';
import { JobsService, type JobHandler } from '../../platform/jobs/jobs.service';
import { Problem } from '../../platform/problems/problem';
import type { IngestResult } from '../../platform/workers/tasks';
import { TaskFailed, WorkersService } from '../../platform/workers/workers.service';
import { TakeEntity } from '../../takes/take.entity';
import { CatalogueService } from '../catalogue/catalogue.service';
import { hashFile, LibraryService } from '../library.service';
import { PreparationService } from '../preparation/preparation.service';
import { ReferenceEntity, type Kind } from '../reference.entity';
import { toImportFileDto, type DecideDto, type FromTakeDto, type ImportFileDto } from './import.dto';
import { ImportFileEntity, type ImportFile } from './importFile.entity';

/** How many files the panel lists. */
const LISTED = 1000;

/**
 * Files on their way into the library. A file is stored before anything else is done with it; reading it is a job, so that it
 * goes on after a restart. What seems to be there already is asked about.
 */
@Injectable()
export class ImportsService implements JobHandler, OnModuleInit {
  readonly concurrency = 3;
  /** Looking for doubles and adding goes one after the other, so that two equal files cannot pass each other. */
  private gate: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly em: EntityManager,
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
    private readonly jobs: JobsService,
    private readonly events: EventsService,
    private readonly catalogue: CatalogueService,
    private readonly library: LibraryService,
    private readonly preparation: PreparationService,
  ) {}

  onModuleInit(): void {
    this.jobs.register('import', this);
  }

  /** Takes a file over from its temporary place and puts it in line. */
  async take(file: string, name: string, title: string, kind?: Kind, id?: string): Promise<ImportFileDto> {
    const known = id && (await this.em.findOne(ImportFileEntity, { id }));
    if (known) {
      await rm(file, { force: true });
      return toImportFileDto(known);
    }
    const hash = await hashFile(file);
    if (await this.blobs.has(hash)) await rm(file, { force: true });
    else await this.blobs.adopt(file, hash);
    return this.line(hash, name, title, kind, id);
  }

  /** Makes a reference of a finished take, by the same way as a file. */
  async takeOver({ takeId, kind }: FromTakeDto): Promise<ImportFileDto> {
    const take = await this.em.findOne(TakeEntity, { id: takeId, deletedAt: null });
    if (!take?.pictureHash) throw Problem.notFound('A finished take with this id');
    const words = take.origin.request.prompt.slice(0, 80) || 'A take';
    return this.line(take.pictureHash, words, words, kind);
  }

  /** All files that are not cleared from the list, in the order in which they came. */
  async list(): Promise<ImportFileDto[]> {
    const files = await this.em.find(
      ImportFileEntity,
      { clearedAt: null },
      { orderBy: { createdAt: 'asc', id: 'asc' }, limit: LISTED },
    );
    const twins = new Map(
      (await this.library.many(files.flatMap((f) => (f.state === 'question' && f.twinId ? [f.twinId] : [])))).map(
        (r) => [r.id, r],
      ),
    );
    return files.map((f) => toImportFileDto(f, f.twinId ? twins.get(f.twinId) : undefined));
  }

  /** Answers the question about doubles. */
  async decide({ ids, decision }: DecideDto): Promise<ImportFileDto[]> {
    const files = await this.em.find(ImportFileEntity, { id: { $in: ids }, state: 'question' });
    for (const file of files) {
      if (decision === 'skip') file.state = 'skipped';
      else {
        const read = await this.workers.ingest({
          file: blobPath(this.blobs.dir, file.hash),
          of: file.kind ?? undefined,
        });
        if (decision === 'replace' && file.twinId) {
          file.referenceId = await this.preparation.redraw(file.twinId, file.hash, read);
        } else {
          const reference = await this.library.add(file.hash, read, {
            kind: file.kind ?? undefined,
            title: file.title,
          });
          file.referenceId = reference.id;
        }
        file.state = 'done';
      }
      await this.em.flush();
      this.tell(file);
    }
    return files.map((f) => toImportFileDto(f));
  }

  /** Takes finished files off the list; questions and files in line stay. */
  async clear(): Promise<void> {
    await this.em.nativeUpdate(
      ImportFileEntity,
      { clearedAt: null, state: { $in: ['done', 'refused', 'skipped'] } },
      { clearedAt: new Date() },
    );
    this.events.publish({ type: 'import' });
  }

  async run(job: Job, em: Manager): Promise<void> {
    await RequestContext.create(em, () => this.read(job.subject, em));
  }

  async failed(job: Job, error: Error, em: Manager): Promise<void> {
    await em.nativeUpdate(
      ImportFileEntity,
      { id: job.subject },
      { state: 'refused', reason: `It could not be brought in: ${error.message}` },
    );
    this.events.publish({ type: 'import' });
  }

  private async line(
    hash: string,
    name: string,
    title: string,
    kind?: Kind,
    id: string = randomUUID(),
  ): Promise<ImportFileDto> {
    const file = this.em.create(ImportFileEntity, {
      id,
      name: name.slice(0, 300),
      title,
      kind: kind ?? null,
      state: 'waiting',
      hash,
      createdAt: new Date(),
    });
    await this.jobs.enqueue(this.em, { kind: 'import', subject: file.id, priority: 1 });
    this.tell(file);
    return toImportFileDto(file);
  }

  private async read(id: string, em: Manager): Promise<void> {
    const file = await em.findOne(ImportFileEntity, { id });
    if (!file || (file.state !== 'waiting' && file.state !== 'reading')) return;
    file.state = 'reading';
    await em.flush();
    if (await this.isThere(file, em)) return this.ask(file, em);
    let read: IngestResult;
    try {
      read = await this.workers.ingest({ file: blobPath(this.blobs.dir, file.hash), of: file.kind ?? undefined });
    } catch (error) {
      if (!(error instanceof TaskFailed)) throw error;
      file.state = 'refused';
      file.reason = error.message;
      await em.flush();
      return this.tell(file);
    }
    const turn = this.gate.then(() => this.settle(file, read, em));
    this.gate = turn.catch(() => undefined);
    await turn;
  }

  /** Adds a file that was read, or asks, when something like it is there. */
  private async settle(file: ImportFile, read: IngestResult, em: Manager): Promise<void> {
    // a crash between adding and noting it must not add it twice
    if (await this.isThere(file, em)) return this.ask(file, em);
    const twin = await this.catalogue.double(read.vectors, read.perceptualHash);
    if (twin) {
      file.twinId = twin;
      file.twinIs = 'nearly the same';
      return this.ask(file, em);
    }
    const reference = await this.library.add(file.hash, read, { kind: file.kind ?? undefined, title: file.title }, em);
    file.referenceId = reference.id;
    file.state = 'done';
    await em.flush();
    this.tell(file);
  }

  private async isThere(file: ImportFile, em: Manager): Promise<boolean> {
    const twin = await em.findOne(ReferenceEntity, { originalHash: file.hash, deletedAt: null });
    if (!twin) return false;
    file.twinId = twin.id;
    file.twinIs = 'the same file';
    return true;
  }

  private async ask(file: ImportFile, em: Manager): Promise<void> {
    file.state = 'question';
    await em.flush();
    this.tell(file);
  }

  private tell(file: ImportFile): void {
    this.events.publish({ type: 'import', id: file.id, state: file.state });
  }
}
