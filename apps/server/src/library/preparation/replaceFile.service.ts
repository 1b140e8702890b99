import { Injectable } from '@nestjs/common';
import { rm } from 'fs/promises';
import { BlobStore, blobPath } from '../../platform/blobs/blobStore';
import { hashFile } from '../../platform/blobs/hashFile';
import { Problem } from '../../platform/problems/problem';
import { requireVersion } from '../../platform/versions';
import { taskProblem } from '../../platform/workers/taskProblem';
import { WorkersService } from '../../platform/workers/workers.service';
import { LibraryService } from '../library.service';
import { INGEST } from '../library.tasks';
import { toReferenceDto, type ReferenceDto } from '../reference.dto';
import { PreparationService } from './preparation.service';

/** Puts a new file in the place of a reference's: a drawing that was worked on, a better scan. */
@Injectable()
export class ReplaceFileService {
  constructor(
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
    private readonly library: LibraryService,
    private readonly preparation: PreparationService,
  ) {}

  /**
   * The picture file at `file`, which is then gone, becomes the newest version of a reference; mixes, looks and sheets that use it go by
   * it from now on, takes keep theirs. Throws a {@link Problem} where the file cannot be read, or is a reference of its own.
   */
  async replace(id: string, file: string, version: number): Promise<ReferenceDto> {
    try {
      const reference = await this.library.find(id);
      requireVersion(reference, version, (r) => toReferenceDto(r, 0));
      const hash = await hashFile(file);
      const there = await this.library.ofFile(hash);
      if (there?.id === id) return await this.library.get(id);
      if (there) throw Problem.conflict(`This file is in the library already, as “${there.title}”.`);
      await this.blobs.adopt(file, hash);
      const read = await this.workers
        .run(INGEST, { file: blobPath(this.blobs.dir, hash), of: reference.kind })
        .catch((error: unknown) => {
          throw taskProblem(error);
        });
      await this.preparation.redraw(id, hash, read, { version });
      return await this.library.get(id);
    } finally {
      await rm(file, { force: true });
    }
  }
}
