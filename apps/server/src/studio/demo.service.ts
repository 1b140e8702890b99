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
import { MixEntity, type Quality } from '../mixes/mix.entity';
import type { NewMixDto } from '../mixes/mix.dto';
import { MixesService } from '../mixes/mixes.service';
import { BlobStore } from '../platform/blobs/blobStore';
import { CONFIG, type Config } from '../platform/config';
import { EventsService } from '../platform/events/events.service';
import { JobEntity, type Job } from '../platform/jobs/job.entity';
import { JobsService, type JobHandler } from '../platform/jobs/jobs.service';
import { WorkersService } from '../platform/workers/workers.service';
import { ProjectEntity } from '../projects/project.entity';
import { ProjectsService } from '../projects/projects.service';
import type { NewShotDto } from '../series/series.dto';
import { SeriesService } from '../series/series.service';
import { SeriesEntity } from '../series/series.entity';
import { SeriesRunService } from '../series/seriesRun.service';
import { SamplesService } from '../takes/samples.service';
import { TakesService } from '../takes/takes.service';
import { DEMO_CAST, DEMO_LOOKS } from './demoSheets';
import { DEMO_PICTURES, MIX_NEEDS } from './demoContent';
import { DEMO_MIX, DEMO_SERIES, DEMO_YEAR_MIX } from './demoMix';
import { DEMO_BOOK, DEMO_CARDS, DEMO_CARDS_MIX, DEMO_CARDS_SERIES, type DemoProject } from './demoProjects';
import { PAINT } from '../cast/cast.tasks';

const MIX_ID = 'demo-mix';
const YEAR_MIX_ID = 'demo-year-mix';
const SERIES_ID = 'demo-series';
const CARDS_MIX_ID = 'demo-cards-mix';
const CARDS_SERIES_ID = 'demo-cards-series';
/** How long, in ms, the series waits until all of its pictures were looked at. */
const PATIENCE = 120_000;
const LANDSCAPE = { width: 720, height: 480 };
const UPRIGHT = { width: 480, height: 600 };

/** A series of the demo: its name, its mix, its shots. */
interface DemoSeries {
  readonly name: string;
  readonly mixId: string;
  readonly shots: readonly NewShotDto[];
}

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
    private readonly projects: ProjectsService,
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
    const subjects = [
      ...pictures.slice(0, MIX_NEEDS),
      'mix',
      ...pictures.slice(MIX_NEEDS),
      'sheets',
      'series',
      'cards',
    ];
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
        case 'cards':
          return this.makeCards(em);
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
    await this.makeProject(DEMO_BOOK, em);
    const { version, lookId } = await this.projects.get(DEMO_BOOK.id);
    if (!lookId) await this.projects.change(DEMO_BOOK.id, { version, lookId: DEMO_BOOK.lookId });
    await this.samples.ask(DEMO_LOOKS[0].id);
  }

  /** Ids of the demo's pictures by their keys. */
  private async drawn(em: EntityManager): Promise<Map<string | null | undefined, string>> {
    return new Map((await em.find(ReferenceEntity, { demoKey: { $ne: null } })).map((r) => [r.demoKey, r.id]));
  }

  private async makeMix(em: EntityManager): Promise<void> {
    await this.makeProject(DEMO_BOOK, em);
    await this.makeOf({ ...DEMO_MIX, projectId: DEMO_BOOK.id }, MIX_ID, em);
    if (!(await this.takes.list({ mixId: MIX_ID })).length) await this.takes.ask({ mixId: MIX_ID, quality: 'proof' });
  }

  /** Makes a demo project unless it is there. Looks come later than the first mix: the book gets its own with the sheets. */
  private async makeProject({ id, pictures, ...fields }: DemoProject, em: EntityManager): Promise<void> {
    if (await em.count(ProjectEntity, { id })) return;
    const known = fields.lookId && (await em.count(LookEntity, { id: fields.lookId })) ? fields.lookId : undefined;
    await this.projects.create({ ...fields, lookId: known }, id);
    const references = await this.drawn(em);
    const place = pictures.flatMap((key) => references.get(key) ?? []).map((one) => ({ id: one }));
    if (place.length) await this.projects.arrange(id, { place });
  }

  /** Makes a demo mix unless it is there; its references are given by the keys of pictures. */
  private async makeOf(mix: NewMixDto, id: string, em: EntityManager): Promise<void> {
    if (await em.count(MixEntity, { id })) return;
    const references = await this.drawn(em);
    const influences = mix.influences!.flatMap((i) => {
      const referenceId = i.of && i.of !== 'reference' ? i.referenceId : references.get(i.referenceId);
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
    await this.makeOf({ ...DEMO_YEAR_MIX, projectId: DEMO_BOOK.id }, YEAR_MIX_ID, em);
    await this.renderSeries(SERIES_ID, { ...DEMO_SERIES, mixId: YEAR_MIX_ID }, 'proof', em);
  }

  /** The second project: a set of cards over the same library, as drafts, after all that somebody asks for. */
  private async makeCards(em: EntityManager): Promise<void> {
    await this.makeProject(DEMO_CARDS, em);
    await this.makeOf({ ...DEMO_CARDS_MIX, projectId: DEMO_CARDS.id }, CARDS_MIX_ID, em);
    if (!(await this.takes.list({ mixId: CARDS_MIX_ID })).length)
      await this.takes.ask({ mixId: CARDS_MIX_ID, quality: 'draft' });
    await this.renderSeries(CARDS_SERIES_ID, { ...DEMO_CARDS_SERIES, mixId: CARDS_MIX_ID }, 'draft', em);
  }

  private async renderSeries(id: string, made: DemoSeries, quality: Quality, em: EntityManager): Promise<void> {
    if (!(await em.count(SeriesEntity, { id }))) await this.series.create({ ...made, shots: [...made.shots] }, id);
    const [series, shots] = [await this.series.find(id), await this.series.shotsOf(id)];
    await this.runs.render(series, shots, await this.series.takesOf(shots), { quality, background: true });
  }
}
