import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query, Res } from '@nestjs/common';
import { ApiAcceptedResponse, ApiCreatedResponse, ApiOkResponse, ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Problem } from '../platform/problems/problem';
import { ConsistencyDto, ShotRemedyDto, SwapDto } from './consistency.dto';
import { ConsistencyService } from './consistency.service';
import { ownFrom } from './ownSettings';
import { RenderedSeriesDto, RenderSeriesDto, FromMixDto } from './seriesRun.dto';
import { ChangeSeriesDto, NewSeriesDto, SeriesDto, SeriesSummaryDto } from './series.dto';
import { SeriesService } from './series.service';
import { EXPORT_FORMS, SeriesExportService, type ExportForm } from './seriesExport.service';
import { sendMade } from './sendMade';
import { SeriesRunService } from './seriesRun.service';
import { ShotsService } from './shots.service';
import { TrialTakesService } from './trialTakes.service';
import { May } from '../platform/access/may';

@ApiTags('series')
@Controller('series')
export class SeriesController {
  constructor(
    private readonly series: SeriesService,
    private readonly shots: ShotsService,
    private readonly runs: SeriesRunService,
    private readonly comparing: ConsistencyService,
    private readonly trials: TrialTakesService,
    private readonly exporting: SeriesExportService,
  ) {}

  @May('see')
  @Get()
  @ApiOkResponse({ type: [SeriesSummaryDto] })
  list(): Promise<SeriesSummaryDto[]> {
    return this.series.list();
  }

  @May('edit')
  @Post()
  @ApiCreatedResponse({ type: SeriesDto })
  create(@Body() fields: NewSeriesDto): Promise<SeriesDto> {
    return this.series.create(fields);
  }

  /** A series over a mix, with the mix's own prompt as its first shot. */
  @May('edit')
  @Post('from-mix')
  @ApiCreatedResponse({ type: SeriesDto })
  fromMix(@Body() { mixId, name }: FromMixDto): Promise<SeriesDto> {
    return this.shots.fromMix(mixId, name);
  }

  @May('see')
  @Get(':id')
  @ApiOkResponse({ type: SeriesDto })
  get(@Param('id') id: string): Promise<SeriesDto> {
    return this.series.get(id);
  }

  @May('edit')
  @Patch(':id')
  @ApiOkResponse({ type: SeriesDto })
  change(@Param('id') id: string, @Body() change: ChangeSeriesDto): Promise<SeriesDto> {
    return this.series.change(id, change);
  }

  @May('edit')
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.series.remove(id);
  }

  @May('edit')
  @Post(':id/restore')
  @HttpCode(204)
  restore(@Param('id') id: string): Promise<void> {
    return this.series.remove(id, false);
  }

  /** Renders what is missing or has changed. */
  @May('edit')
  @Post(':id/render')
  @HttpCode(202)
  @ApiAcceptedResponse({ type: RenderedSeriesDto })
  async render(@Param('id') id: string, @Body() wish: RenderSeriesDto): Promise<RenderedSeriesDto> {
    const series = await this.series.find(id);
    const all = await this.series.shotsOf(id);
    const shots = wish.shotIds ? all.filter((s) => wish.shotIds!.includes(s.id)) : all;
    const { quality = 'proof', takes } = wish;
    return { queued: await this.runs.render(series, shots, await this.series.takesOf(shots), { quality, takes }) };
  }

  /** What waits of a series waits until it goes on. */
  @May('edit')
  @Post(':id/pause')
  @HttpCode(200)
  @ApiOkResponse({ type: SeriesDto })
  async pause(@Param('id') id: string): Promise<SeriesDto> {
    await this.runs.pause(await this.series.find(id), await this.series.takesOf(await this.series.shotsOf(id)));
    return this.series.get(id);
  }

  @May('edit')
  @Post(':id/go-on')
  @HttpCode(200)
  @ApiOkResponse({ type: SeriesDto })
  async resume(@Param('id') id: string): Promise<SeriesDto> {
    await this.runs.resume(await this.series.find(id), await this.series.takesOf(await this.series.shotsOf(id)));
    return this.series.get(id);
  }

  /** Stops what waits and what is rendered; finished takes stay. */
  @May('edit')
  @Post(':id/stop')
  @HttpCode(200)
  @ApiOkResponse({ type: SeriesDto })
  async stop(@Param('id') id: string): Promise<SeriesDto> {
    const series = await this.series.find(id);
    await this.runs.stop(await this.series.takesOf(await this.series.shotsOf(id)), series);
    return this.series.get(id);
  }

  /** How far the takes hold together; those of a batch of tries when one is named. */
  @May('see')
  @Get(':id/consistency')
  @ApiOkResponse({ type: ConsistencyDto })
  consistency(@Param('id') id: string, @Query('batch') batch?: string): Promise<ConsistencyDto> {
    return this.comparing.of(id, batch?.slice(0, 60));
  }

  /** Finds out which remedies of a shot that falls out help: tries each once, out of sight. Answers what is known by now. */
  @May('edit')
  @Post(':id/shots/:shotId/remedies')
  @HttpCode(202)
  @ApiAcceptedResponse({ type: ConsistencyDto })
  async tryOut(@Param('id') id: string, @Param('shotId') shotId: string): Promise<ConsistencyDto> {
    const fall = (await this.comparing.of(id)).falls.find((f) => f.shotId === shotId);
    if (!fall) throw Problem.notFound('A shot of this series that falls out');
    const untried = fall.remedies.filter((r) => r.state === 'untried');
    await this.trials.tryOut(
      shotId,
      untried.map(({ label, plan }) => ({ label, plan: { ...plan, own: ownFrom(plan.own) } })),
    );
    return this.comparing.of(id);
  }

  /** Tries something for one shot, beside its takes. */
  @May('edit')
  @Post(':id/shots/:shotId/tries')
  @ApiCreatedResponse({ type: SeriesDto })
  tryRemedy(@Param('shotId') shotId: string, @Body() { label, plan }: ShotRemedyDto): Promise<SeriesDto> {
    return this.trials.tryRemedy(shotId, label, { ...plan, own: ownFrom(plan.own) });
  }

  /** Tries another source for one influence of the mix, over all shots. */
  @May('edit')
  @Post(':id/swaps')
  @ApiCreatedResponse({ type: SeriesDto })
  trySwap(@Param('id') id: string, @Body() { quality = 'draft', ...swap }: SwapDto): Promise<SeriesDto> {
    return this.trials.trySwap(id, swap, quality);
  }

  @May('edit')
  @Post(':id/tries/:batch/keep')
  @HttpCode(200)
  @ApiOkResponse({ type: SeriesDto })
  keep(@Param('id') id: string, @Param('batch') batch: string): Promise<SeriesDto> {
    return this.trials.keep(id, batch);
  }

  @May('edit')
  @Post(':id/tries/:batch/take-back')
  @HttpCode(200)
  @ApiOkResponse({ type: SeriesDto })
  takeBack(@Param('id') id: string, @Param('batch') batch: string): Promise<SeriesDto> {
    return this.trials.takeBack(id, batch);
  }

  @May('edit')
  @Delete(':id/tries/:batch')
  @ApiOkResponse({ type: SeriesDto })
  drop(@Param('id') id: string, @Param('batch') batch: string): Promise<SeriesDto> {
    return this.trials.drop(id, batch);
  }

  /** The keepers (or newest takes) as an archive, a contact sheet as PDF or PNG, or all measurements as CSV. */
  @May('export')
  @Get(':id/export/:form')
  @ApiProduces('application/zip', 'application/pdf', 'image/png', 'text/csv')
  async export(@Param('id') id: string, @Param('form') form: string, @Res() response: Response): Promise<void> {
    if (!EXPORT_FORMS.includes(form as ExportForm))
      throw Problem.invalid([{ field: 'form', message: `One of ${EXPORT_FORMS.join(', ')}, not "${form}".` }]);
    sendMade(response, await this.exporting.make(id, form as ExportForm));
  }
}
