import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { arrivalText } from '@urbild/core';
import { stringify } from 'csv-stringify/sync';
import { ReferenceEntity } from '../library/reference.entity';
import { SourcesService } from '../mixes/sources.service';
import { BlobStore, blobPath } from '../platform/blobs/blobStore';
import { Problem } from '../platform/problems/problem';
import { SERIES_EXPORT } from './series.tasks';
import type { SheetPicture } from './tasks/contactSheet';
import { WorkersService } from '../platform/workers/workers.service';
import { arrivalsOf } from '../takes/arrivals';
import type { Take } from '../takes/take.entity';
import { ConsistencyService } from './consistency.service';
import type { Shot } from './series.entity';
import { SeriesPlanService, leadOf, type SeriesPlan } from './seriesPlan.service';
import { fileName, type MadeFile } from './sendMade';
import { SeriesService } from './series.service';

/** The forms in which a series can be handed over. */
export const EXPORT_FORMS = ['zip', 'pdf', 'png', 'csv'] as const;
export type ExportForm = (typeof EXPORT_FORMS)[number];

const TYPES: Readonly<Record<ExportForm, string>> = {
  zip: 'application/zip',
  pdf: 'application/pdf',
  png: 'image/png',
  csv: 'text/csv; charset=utf-8',
};

/** Hands series over: keepers as an archive, contact sheets, measurements. */
@Injectable()
export class SeriesExportService {
  constructor(
    private readonly em: EntityManager,
    private readonly series: SeriesService,
    private readonly plans: SeriesPlanService,
    private readonly sources: SourcesService,
    private readonly consistency: ConsistencyService,
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
  ) {}

  async make(seriesId: string, form: ExportForm): Promise<MadeFile> {
    const series = await this.series.find(seriesId);
    const shots = (await this.series.shotsOf(seriesId)).filter((s) => !s.skipped);
    const takes = await this.series.takesOf(shots);
    const plan = await this.plans.planOf(series, shots);
    const leads = shots.flatMap((shot, k) => {
      const take = leadOf(takes.filter((t) => t.shotId === shot.id));
      return take ? [{ shot, take, number: k + 1 }] : [];
    });
    const name = `${fileName(series.name)}.${form}`;
    const type = TYPES[form];
    if (form === 'csv') return { name, type, text: await this.measures(seriesId, shots, takes, plan) };
    if (!leads.length) throw Problem.conflict('No shot of this series has a picture yet. Render it first.');
    const file = this.blobs.temporaryPath();
    const pictures = leads.map(({ shot, take, number }): SheetPicture => ({
      file: blobPath(this.blobs.dir, take.pictureHash!),
      name: `${String(number).padStart(3, '0')}-${fileName(shot.title)}.png`,
      title: `${number} ${shot.title}`,
      lines: [shot.prompt, arrivalLine(plan, take)],
    }));
    const files: Record<string, string> =
      form === 'zip'
        ? {
            'measurements.csv': await this.measures(seriesId, shots, takes, plan),
            'credits.txt': (await this.credits(plan, shots)).join('\n') + '\n',
          }
        : {};
    await this.workers.run(SERIES_EXPORT, {
      form,
      to: file,
      pictures,
      text: { title: series.name, weights: weightLines(plan), credits: await this.credits(plan, shots) },
      files,
    });
    return { name, type, file };
  }

  /** Everything that was measured, one line for every take. */
  private async measures(
    seriesId: string,
    shots: readonly Shot[],
    takes: readonly Take[],
    plan: SeriesPlan,
  ): Promise<string> {
    const { falls } = await this.consistency.of(seriesId);
    const influences = plan.state.influences;
    const columns = [
      'shot',
      'title',
      'prompt',
      'take',
      'keeper',
      'rating',
      'quality',
      'seed',
      'width',
      'height',
      'words kept',
      ...influences.map((i) => `arrival of ${plan.nameOf(i)}`),
      'falls out',
    ];
    const rows = shots.flatMap((shot, k) =>
      takes
        .filter((t) => t.shotId === shot.id && t.status === 'done' && (!t.trial || t.trial.kept))
        .map((t) => {
          const { request } = t.origin;
          const fall = falls.find((f) => f.takeId === t.id);
          return [
            k + 1,
            shot.title,
            request.prompt,
            t.id,
            t.keeper ? 'yes' : '',
            t.rating || '',
            t.quality,
            request.seed,
            request.width,
            request.height,
            t.measurements?.wordsKept?.toFixed(4) ?? '',
            ...influences.map((i) => arrivalsOf(t)[i.id]?.overall?.toFixed(4) ?? ''),
            fall ? `${fall.name}: ${fall.sentence}` : '',
          ];
        }),
    );
    // a cell that begins like a formula would be run by programs for tables
    return stringify([columns, ...rows], { escape_formulas: true, bom: true });
  }

  /** Who made the references, and what may be done with them. */
  private async credits(plan: SeriesPlan, shots: readonly Shot[]): Promise<string[]> {
    const influences = new Map(shots.flatMap((s) => plan.stateOf(s).influences.map((i) => [i.id, i] as const)));
    const sources = await this.sources.of([...influences.values()]);
    const ids = [...sources.values()].flatMap((s) => s.pictures.map((p) => p.referenceId));
    const references = await this.em.find(ReferenceEntity, { id: { $in: ids } }, { orderBy: { title: 'asc' } });
    return [
      'References',
      ...references.map((r) => {
        const { credit, source, kind } = r.rights;
        return [r.title, credit && `made by ${credit}`, source && `from ${source}`, kind].filter(Boolean).join(', ');
      }),
    ];
  }
}

const weightLines = (plan: SeriesPlan): string[] =>
  plan.state.influences
    .filter((i) => i.on)
    .map((i) => `${plan.nameOf(i)}: ${i.gives}, ${Math.round(i.weight * 100) / 100}`);

const arrivalLine = (plan: SeriesPlan, take: Take): string =>
  [
    `seed ${take.origin.request.seed}`,
    ...plan.state.influences.flatMap((i) => {
      const arrival = arrivalsOf(take)[i.id]?.overall;
      return arrival === undefined ? [] : [`${plan.nameOf(i)} ${arrivalText(arrival)}`];
    }),
  ].join(', ');
