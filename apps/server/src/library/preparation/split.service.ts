import { Injectable } from '@nestjs/common';
import { writeFile } from 'fs/promises';
import { BlobStore, blobPath } from '../../platform/blobs/blobStore';
import { Problem } from '../../platform/problems/problem';
import { WorkersService } from '../../platform/workers/workers.service';
import type { ImportFileDto } from '../imports/import.dto';
import { ImportsService } from '../imports/imports.service';
import { LibraryService } from '../library.service';
import { CROP } from '../library.tasks';

/** Splits collages into their single pictures. */
@Injectable()
export class SplitService {
  constructor(
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
    private readonly library: LibraryService,
    private readonly imports: ImportsService,
  ) {}

  /** Throws an invalid {@link Problem} for a picture that is no collage. */
  async split(id: string): Promise<ImportFileDto[]> {
    const reference = await this.library.find(id);
    const parts = await this.workers.run(CROP, { picture: blobPath(this.blobs.dir, reference.sourceHash) });
    if (parts.length < 2)
      throw Problem.invalid([{ field: 'id', message: 'no gutters run through this picture: it cannot be split' }]);
    const out: ImportFileDto[] = [];
    for (const [k, part] of parts.entries()) {
      const file = this.blobs.temporaryPath();
      await writeFile(file, part);
      const title = `${reference.title}, ${k + 1} of ${parts.length}`.slice(0, 200);
      out.push(await this.imports.take(file, { name: title, title, kind: reference.kind }));
    }
    return out;
  }
}
