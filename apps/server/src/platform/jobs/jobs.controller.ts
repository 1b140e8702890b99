import { EntityManager } from '@mikro-orm/better-sqlite';
import { Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiOkResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import { Problem } from '../problems/problem';
import { JobsService } from './jobs.service';
import { May } from '../access/may';
import { reachNow } from '../access/asker';
import { projectOfAny } from '../access/belonging';

/** A job that ended without being done. */
export class TroubledJobDto {
  @ApiProperty() id!: string;
  @ApiProperty({ example: 'take' }) kind!: string;
  @ApiProperty({ description: 'id of what it is about' }) subject!: string;
  @ApiProperty({ description: 'it took the studio with it several times, so it was set aside' }) setAside!: boolean;
  @ApiProperty({ description: 'why, as a sentence' }) reason!: string;
  @ApiProperty({ required: false }) at?: string;
}

/** Work that did not get done, and trying it again. */
@ApiTags('studio')
@Controller('jobs')
export class JobsController {
  constructor(
    private readonly jobs: JobsService,
    private readonly em: EntityManager,
  ) {}

  /** Jobs that failed for good or were set aside, newest first. */
  @May('see')
  @Get('troubled')
  @ApiOkResponse({ type: [TroubledJobDto] })
  async troubled(): Promise<TroubledJobDto[]> {
    const troubled = await this.jobs.troubled();
    const shown = await Promise.all(troubled.map((job) => this.isShown(job.subject)));
    return troubled
      .filter((_, k) => shown[k])
      .map(({ id, kind, subject, state, error, finishedAt }) => ({
        id,
        kind,
        subject,
        setAside: state === 'aside',
        reason: error ?? '',
        at: finishedAt?.toISOString(),
      }));
  }

  /** Puts a job back into the queue. */
  @May('edit')
  @Post(':id/retry')
  @HttpCode(204)
  async retry(@Param('id') id: string): Promise<void> {
    const job = await this.jobs.find(id);
    if (!job || !(await this.isShown(job.subject)) || !(await this.jobs.retry(id))) throw Problem.notFound('This job');
  }

  /** False for work for a project that whoever asks may not know of. */
  private async isShown(subject: string): Promise<boolean> {
    const { hidden } = reachNow();
    if (!hidden.length) return true;
    const project = await projectOfAny(this.em.fork(), subject);
    return project === undefined || !hidden.includes(project);
  }
}
