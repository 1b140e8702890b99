import { EntityManager } from '@mikro-orm/better-sqlite';
import { RequestContext, type EntityManager as Manager } from '@mikro-orm/core';
import { Injectable, OnModuleInit } from '@nestjs/common';
import { randomUUID } from 'crypto';
import { rm } from 'fs/promises';
import { BlobStore, blobPath } from '../../platform/blobs/blobStore';
import { hashFile } from '../../platform/blobs/hashFile';
import { together } from '../../platform/database/together';
import { EventsService } from '../../platform/events/events.service';
import type { Job } from '../../platform/jobs/job.entity';
import { JobsService, type JobHandler } from '../../platform/jobs/jobs.service';
import { Problem } from '../../platform/problems/problem';
import { INGEST, ONE_MOTIF } from '../library.tasks';
import type { IngestResult } from '../tasks/ingest';
import { TaskFailed } from '../../platform/workers/task';
import { WorkersService } from '../../platform/workers/workers.service';
import { CatalogueService } from '../catalogue/catalogue.service';
import { LibraryService, type KeptHashes } from '../library.service';
import { PreparationService } from '../preparation/preparation.service';
import { ReferenceEntity, type Kind } from '../reference.entity';
import { toImportFileDto, type DecideDto, type Decision, type ImportFileDto } from './import.dto';
import { ImportFileEntity, type ImportFile } from './importFile.entity';

/** How many files the panel lists. */
const LISTED = 1000;
/** How many files may wait to be read. */
const MOST_WAITING = 5000;
const REPAIRED = 'The file is damaged. What could be read of it was written anew; look whether the picture is whole.';

/** What is known of a file that comes in. */
export interface NewImport {
  readonly name: string;
  readonly title: string;
  readonly kind?: Kind;
  /** By which the sender knows it again, when it is sent a second time. */
  readonly id?: string;
}

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

  /** Takes a file over from its temporary place and puts it into the queue. A file with an id that is known is taken once. */
  async take(file: string, about: NewImport): Promise<ImportFileDto> {
    try {
      const hash = await hashFile(file);
      await this.blobs.adopt(file, hash);
      return await this.enqueue(hash, about);
    } finally {
      await rm(file, { force: true });
    }
  }

  /** Makes a reference of a picture that the studio has already, by the same way as a file. */
  takeOver(hash: string, about: NewImport): Promise<ImportFileDto> {
    return this.enqueue(hash, about);
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
      // whoever answers a question first takes it
      const next = decision === 'skip' ? 'skipped' : 'reading';
      if (!(await this.em.nativeUpdate(ImportFileEntity, { id: file.id, state: 'question' }, { state: next })))
        continue;
      if (decision !== 'skip') await this.settleDecided(file, decision);
      await this.em.refresh(file);
      this.tell(file);
    }
    return files.map((f) => toImportFileDto(f));
  }

  /** Does what was answered; a question that cannot be answered so is asked again. */
  private async settleDecided(file: ImportFile, decision: Decision): Promise<void> {
    const { id, hash, title, twinId } = file;
    const kind = file.kind ?? undefined;
    try {
      const read = await this.workers.run(INGEST, { file: blobPath(this.blobs.dir, hash), of: kind });
      const done = (referenceId: string, em: Manager) =>
        em.nativeUpdate(ImportFileEntity, { id }, { state: 'done', referenceId });
      if (decision === 'replace' && twinId)
        await this.preparation.redraw(twinId, hash, read, { also: (em) => done(twinId, em) });
      else {
        const hashes = await this.library.keep(read, hash);
        await together(this.em, async (em) => {
          await done((await this.library.add(hash, read, hashes, { kind, title }, em)).id, em);
        });
      }
    } catch (error) {
      await this.em.nativeUpdate(ImportFileEntity, { id, state: 'reading' }, { state: 'question' });
      throw error;
    }
  }

  /** Takes finished files off the list; questions and files in the queue stay. */
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
    const refused = { state: 'refused' as const, reason: `It could not be added: ${error.message}` };
    await em.nativeUpdate(ImportFileEntity, { id: job.subject }, refused);
    this.events.publish({ type: 'import' });
  }

  async again(job: Job, em: Manager): Promise<void> {
    await em.nativeUpdate(ImportFileEntity, { id: job.subject }, { state: 'waiting', reason: null });
    this.events.publish({ type: 'import' });
  }

  private async enqueue(hash: string, { name, title, kind, id = randomUUID() }: NewImport): Promise<ImportFileDto> {
    const file = await together(this.em, async (em) => {
      const known = await em.findOne(ImportFileEntity, { id });
      if (known) return known;
      if ((await this.jobs.unfinished(em, 'import')) >= MOST_WAITING)
        throw Problem.busy(
          `${MOST_WAITING} files are being added already. This one stays with you and can be sent later.`,
        );
      await this.jobs.enqueue(em, { kind: 'import', subject: id, priority: 1 });
      return em.create(ImportFileEntity, {
        id,
        name: name.slice(0, 300),
        title,
        kind: kind ?? null,
        state: 'waiting',
        hash,
        createdAt: new Date(),
      });
    });
    this.tell(file);
    return toImportFileDto(file);
  }

  private async read(id: string, em: Manager): Promise<void> {
    const file = await em.findOne(ImportFileEntity, { id });
    if (!file || (file.state !== 'waiting' && file.state !== 'reading')) return;
    file.state = 'reading';
    await em.flush();
    // what was added before a crash is not added again
    if (file.referenceId) return this.done(file, file.referenceId, em);
    if (await this.isThere(file, em)) return this.ask(file, em);
    let read: IngestResult;
    try {
      read = await this.workers.run(INGEST, { file: blobPath(this.blobs.dir, file.hash), of: file.kind ?? undefined });
    } catch (error) {
      if (!(error instanceof TaskFailed)) throw error;
      file.state = 'refused';
      file.reason = error.message;
      await em.flush();
      return this.tell(file);
    }
    const hashes = await this.library.keep(read, file.hash);
    const turn = this.gate.then(() => this.settle(file, read, hashes, em));
    this.gate = turn.catch(() => undefined);
    await turn;
  }

  /** Adds a file that was read, or asks, when something like it is there. */
  private async settle(file: ImportFile, read: IngestResult, hashes: KeptHashes, em: Manager): Promise<void> {
    const twin = await this.doubleOf(read, hashes, em);
    const asked = await together(em, async (tx) => {
      if (await this.isThere(file, tx)) return true;
      if (twin) {
        Object.assign(file, { twinId: twin, twinIs: 'nearly the same' });
        return true;
      }
      const about = { kind: file.kind ?? undefined, title: file.title };
      file.referenceId = (await this.library.add(file.hash, read, hashes, about, tx)).id;
      file.reason = read.repaired ? REPAIRED : null;
      file.state = 'done';
      return false;
    });
    if (asked) await this.ask(file, em);
    else this.tell(file);
  }

  /** The reference that a picture is one with but for how it was saved, cut or brightened. */
  private async doubleOf(read: IngestResult, hashes: KeptHashes, em: Manager): Promise<string | null> {
    const ids = await this.catalogue.doubles(read.vectors, read.perceptualHash);
    if (!ids.length) return null;
    const rows = await em.find(ReferenceEntity, { id: { $in: [...ids] }, deletedAt: null });
    const path = (hash: string) => blobPath(this.blobs.dir, hash);
    const others = ids.flatMap((id) => {
      const row = rows.find((r) => r.id === id);
      return row ? [{ id, picture: path(row.thumbnailHash) }] : [];
    });
    return this.workers.run(ONE_MOTIF, { picture: path(hashes.thumbnailHash), others });
  }

  private async done(file: ImportFile, referenceId: string, em: Manager): Promise<void> {
    Object.assign(file, { referenceId, state: 'done' });
    await em.flush();
    this.tell(file);
  }

  private async isThere(file: ImportFile, em: Manager): Promise<boolean> {
    const twin = await this.library.ofFile(file.hash, em);
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
