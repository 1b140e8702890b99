import { MikroORM } from '@mikro-orm/core';
import { Inject, Injectable, Logger, OnModuleDestroy } from '@nestjs/common';
import { readdir } from 'fs/promises';
import path from 'path';
import { Piscina } from 'piscina';
import { blobFields } from '../blobs/blobFields';
import type { Swept } from '../blobs/bin';
import { CONFIG, type Config } from '../config';
import { databaseFile } from '../database/options';
import { workerOptions } from '../workers/threads';
import { backupsDir, listBackups, manifestOf } from './backups';
import type { UpkeepTask } from './upkeep.worker';

const DAY = 24 * 3600 * 1000;
/** Milliseconds after the start until the first look whether a backup is due, and between looks. */
const LOOK = { first: 90_000, again: 3600 * 1000 };
/** How many backups are kept. */
export const KEPT_BACKUPS = 7;

/** Keeps the data folder in order: a backup a day, orphans into the bin. One thread, one thing at a time. */
@Injectable()
export class UpkeepService implements OnModuleDestroy {
  private readonly logger = new Logger('upkeep');
  private readonly pool = new Piscina({
    ...workerOptions(path.join(__dirname, 'upkeep.worker')),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 5_000,
  });
  private timer?: NodeJS.Timeout;
  private running?: Promise<string>;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly orm: MikroORM,
  ) {}

  /** Looks from now on whether a backup is due. */
  watch(): void {
    const look = () => {
      if (this.isDue()) void this.backup().catch((e: Error) => this.logger.error(`no backup: ${e.message}`));
      this.timer = setTimeout(look, LOOK.again).unref();
    };
    this.timer = setTimeout(look, LOOK.first).unref();
  }

  /** True when the newest backup is a day old, or there is none. */
  isDue(now = Date.now()): boolean {
    const newest = listBackups(this.config.dataDir).pop();
    if (!newest) return true;
    return now - Date.parse(manifestOf(path.join(backupsDir(this.config.dataDir), newest))!.made) >= DAY;
  }

  /** Makes a backup while people work; returns its name. Whoever asks while one is being made gets that one. */
  backup(): Promise<string> {
    this.running ??= this.run<string>({
      kind: 'backup',
      dataDir: this.config.dataDir,
      database: databaseFile(this.config.dataDir),
      fields: blobFields(this.orm),
      keep: KEPT_BACKUPS,
    }).finally(() => (this.running = undefined));
    return this.running;
  }

  /** Lays orphans into the bin; see {@link Swept}. */
  async sweep(): Promise<Swept> {
    const { dataDir } = this.config;
    const database = databaseFile(dataDir);
    // a new studio has nothing to sweep
    if (!(await readdir(path.join(dataDir, 'blobs'))).length)
      return { binned: 0, recovered: 0, missing: 0, emptied: 0 };
    const swept = await this.run<Swept>({ kind: 'sweep', dataDir, database, fields: blobFields(this.orm) });
    const { binned, recovered, missing, emptied } = swept;
    if (binned || recovered || emptied)
      this.logger.log(`${binned} unused files into the bin, ${recovered} fetched back, ${emptied} gone after 30 days`);
    if (missing)
      this.logger.warn(`${missing} pictures are named and not there: they were lost, or the database is not theirs`);
    return swept;
  }

  async onModuleDestroy(): Promise<void> {
    clearTimeout(this.timer);
    await this.pool.destroy();
  }

  private run<T>(task: UpkeepTask): Promise<T> {
    return this.pool.run(task) as Promise<T>;
  }
}
