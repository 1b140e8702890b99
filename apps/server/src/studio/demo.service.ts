import type { EntityManager } from '@mikro-orm/core';
import { EntityManager as Manager, MikroORM, RequestContext } from '@mikro-orm/core';
import { Inject, Injectable, OnModuleInit } from '@nestjs/common';
import { writeFile } from 'fs/promises';
import { CastService } from '../cast/cast.service';
import { CharacterEntity } from '../cast/character.entity';
import { LibraryService } from '../library/library.service';
import { ReferenceEntity } from '../library/reference.entity';
import { LookEntity } from '../looks/look.entity';
import { LooksService } from '../looks/looks.service';
import { MixEntity } from '../mixes/mix.entity';
import type { NewMixDto } from '../mixes/mix.dto';
import { MixesService } from '../mixes/mixes.service';
import { BlobStore } from '../platform/blobs/blobStore';
import { CONFIG, type Config } from '../platform/config';
import { EventsService } from '../platform/events/events.service';
import { JobEntity, type Job } from '../platform/jobs/job.entity';
import { JobsService, type JobHandler } from '../platform/jobs/jobs.service';
import { WorkersService } from '../platform/workers/workers.service';
import { SeriesService } from '../series/series.service';
import { SeriesEntity } from '../series/series.entity';
import { SeriesRunService } from '../series/seriesRun.service';
import { SamplesService } from '../takes/samples.service';
import { TakesService } from '../takes/takes.service';
import { DEMO_CAST, DEMO_LOOKS } from './demoSheets';
import { DEMO_PICTURES, MIX_NEEDS } from './demoContent';
import { DEMO_MIX, DEMO_SERIES, DEMO_YEAR_MIX } from './demoMix';
import { PAINT } from '../cast/cast.tasks';

const MIX_ID = 'demo-mix';
const YEAR_MIX_ID = 'demo-year-mix';
const SERIES_ID = 'demo-series';
/** How long, in ms, the series waits until all of its pictures were looked at. */
const PATIENCE = 120_000;
const LANDSCAPE = { width: 720, height: 480 };
const UPRIGHT = { width: 480, height: 600 };

/** Draws the demo studio into an empty library, one picture after the other, in the background. */
@Injectable()
export class DemoService implements JobHandler, OnModuleInit {
  readonly concurrency = 1;
  readonly waits = true;
  readonly keepsRecord = true;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly orm: MikroORM,
    private readonly jobs: JobsService,
    private readonly workers: WorkersService,
    private readonly blobs: BlobStore,
    private readonly library: LibraryService,
    private readonly mixes: MixesService,
    private readonly looks: LooksService,
    private readonly samples: SamplesService,
    private readonly cast: CastService,
    private readonly series: SeriesService,
    private readonly runs: SeriesRunService,
    private readonly takes: TakesService,
    private readonly events: EventsService,
  ) {}

  onModuleInit(): void {
    this.jobs.register('demo', this);
  }

  /** Puts the demo in line if it is wanted and the studio was never used. */
  async begin(): Promise<void> {
    if (!this.config.demo) return;
    const em = this.orm.em.fork();
    if (
      (await em.count(ReferenceEntity)) ||
      (await em.count(JobEntity, { kind: 'demo' })) ||
      (await em.count(MixEntity))
    )
      return;
    const pictures = DEMO_PICTURES.map((p) => p.key);
    // the mix comes as soon as its pictures are there, so that takes are rendered while the rest is drawn
    const subjects = [...pictures.slice(0, MIX_NEEDS), 'mix', ...pictures.slice(MIX_NEEDS), 'sheets', 'series'];
    await this.jobs.enqueue(em, ...subjects.map((subject) => ({ kind: 'demo', subject, priority: 5 })));
  }

  /** How much of the demo is drawn. */
  async progress(em: Manager): Promise<{ done: number; total: number }> {
    const total = await em.count(JobEntity, { kind: 'demo' });
    return { total, done: await em.count(JobEntity, { kind: 'demo', state: { $in: ['done', 'failed'] } }) };
  }

  async run(job: Job, em: EntityManager): Promise<void> {
    await RequestContext.create(em, () => {
      switch (job.subject) {
        case 'mix':
          return this.makeMix(em);
        case 'sheets':
          return this.makeSheets(em);
        case 'series':
          return this.makeSeries(em);
        default:
          return this.draw(job.subject, em);
      }
    });
    const { done, total } = await this.progress(em.fork());
    this.events.publish({ type: 'studio', demo: { done: done + 1, total } });
  }

  private async draw(key: string, em: EntityManager): Promise<void> {
    const picture = DEMO_PICTURES.find((p) => p.key === key);
    if (!picture || (await em.count(ReferenceEntity, { demoKey: key }))) return;
    const { png } = await this.workers.run(PAINT, { ...picture, ...(picture.upright ? UPRIGHT : LANDSCAPE) });
    const file = this.blobs.temporaryPath();
    await writeFile(file, png);
    await this.library.bringIn(file, {
      kind: picture.kind,
      title: picture.title,
      tags: [...picture.tags],
      demoKey: key,
    });
  }

  /** Looks and model sheets, when all pictures are there. */
  private async makeSheets(em: EntityManager): Promise<void> {
    const references = await this.drawn(em);
    const found = <T>(pictures: readonly (readonly [string, T])[]) =>
      pictures.flatMap(([key, value]) => {
        const referenceId = references.get(key);
        return referenceId ? [{ referenceId, value }] : [];
      });
    for (const { id, name, notes, pictures } of DEMO_LOOKS) {
      if (await em.count(LookEntity, { id })) continue;
      const items = found(pictures).map(({ referenceId, value }) => ({ referenceId, weight: value }));
      await this.looks.create({ name, notes, items }, id);
    }
    for (const { id, name, species, description, outfits = [], pictures } of DEMO_CAST) {
      if (await em.count(CharacterEntity, { id })) continue;
      const items = found(pictures).map(({ referenceId, value }) => ({ referenceId, slot: value }));
      const dressed = outfits.map((o, k) => ({ ...o, id: `${id}-outfit-${k + 1}`, pictures: [] }));
      await this.cast.create({ name, species, description, items, outfits: dressed }, id);
    }
    await this.samples.ask(DEMO_LOOKS[0].id);
  }

  /** Ids of the demo's pictures by their keys. */
  private async drawn(em: EntityManager): Promise<Map<string | null | undefined, string>> {
    return new Map((await em.find(ReferenceEntity, { demoKey: { $ne: null } })).map((r) => [r.demoKey, r.id]));
  }

  private async makeMix(em: EntityManager): Promise<void> {
    await this.makeOf(DEMO_MIX, MIX_ID, em);
    if (!(await this.takes.list({ mixId: MIX_ID })).length) await this.takes.ask({ mixId: MIX_ID, quality: 'proof' });
  }

  /** Makes a demo mix unless it is there; its references are given by the keys of pictures. */
  private async makeOf(mix: NewMixDto, id: string, em: EntityManager): Promise<void> {
    if (await em.count(MixEntity, { id })) return;
    const references = await this.drawn(em);
    const influences = mix.influences!.flatMap((i) => {
      const referenceId = i.of === 'character' ? i.referenceId : references.get(i.referenceId);
      return referenceId ? [{ ...i, referenceId }] : [];
    });
    await this.mixes.create({ ...mix, influences }, id);
  }

  /** The demo series, rendered after everything that somebody asks for. */
  private async makeSeries(em: EntityManager): Promise<void> {
    // what is found in its pictures is part of what the shots are made from: takes would be stale if it came later
    for (let waited = 0; waited < PATIENCE; waited += 500) {
      if (!(await em.fork().count(ReferenceEntity, { visionState: 'waiting', deletedAt: null }))) break;
      await new Promise((resolve) => setTimeout(resolve, 500));
    }
    await this.makeOf(DEMO_YEAR_MIX, YEAR_MIX_ID, em);
    if (!(await em.count(SeriesEntity, { id: SERIES_ID })))
      await this.series.create(
        { name: DEMO_SERIES.name, mixId: YEAR_MIX_ID, shots: [...DEMO_SERIES.shots] },
        SERIES_ID,
      );
    const [series, shots] = [await this.series.find(SERIES_ID), await this.series.shotsOf(SERIES_ID)];
    await this.runs.render(series, shots, await this.series.takesOf(shots), { quality: 'proof', background: true });
  }
}
