import { Inject, Injectable, OnModuleDestroy } from '@nestjs/common';
import path from 'path';
import { Piscina } from 'piscina';
import { CONFIG, type Config } from '../../platform/config';
import { databaseFile } from '../../platform/database/options';
import { workerOptions } from '../../platform/workers/threads';
import type { CatalogueQuery, RowVectors } from './catalogue';
import type { CatalogueTask } from './catalogue.worker';

/** Finding references: one thread keeps all of them in memory and answers. */
@Injectable()
export class CatalogueService implements OnModuleDestroy {
  private readonly file: string;
  private readonly thread: Piscina;

  constructor(@Inject(CONFIG) config: Config) {
    this.file = databaseFile(config.dataDir);
    this.thread = new Piscina({
      ...workerOptions(path.join(__dirname, 'catalogue.worker')),
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: 600_000,
      // searches are short, and better-sqlite3 answers at once
      concurrentTasksPerWorker: 1,
    });
  }

  /** The answer as JSON bytes: {@link SearchDto}. */
  search(query: CatalogueQuery, words?: string): Promise<Uint8Array> {
    return this.thread.run({
      ask: 'search',
      file: this.file,
      words,
      query,
    } satisfies CatalogueTask) as Promise<Uint8Array>;
  }

  /** The ids of references that a picture may be one with, the nearest first: to be looked at more closely. */
  doubles(vectors: RowVectors, hash: string): Promise<readonly string[]> {
    return this.thread.run({ ask: 'double', file: this.file, vectors, hash } satisfies CatalogueTask) as Promise<
      readonly string[]
    >;
  }

  async onModuleDestroy(): Promise<void> {
    await this.thread.destroy();
  }
}
