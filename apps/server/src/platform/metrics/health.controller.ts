import { EntityManager } from '@mikro-orm/better-sqlite';
import { Controller, Get, Res } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { Response } from 'express';
import { JobsService } from '../jobs/jobs.service';
import { May } from '../access/may';

/** What somebody who watches over a studio asks. */
export interface Health {
  /** `full`: what is there can be seen, nothing new can be made until there is room. */
  readonly status: 'ok' | 'full' | 'broken';
  /** Seconds since the start. */
  readonly up: number;
}

@ApiExcludeController()
@Controller('health')
export class HealthController {
  constructor(
    private readonly em: EntityManager,
    private readonly jobs: JobsService,
  ) {}

  /** 200 while the studio can be worked with, 503 when its database does not answer or its disk is full. */
  @May('anybody')
  @Get()
  async ask(@Res() response: Response): Promise<void> {
    const health: Health = { status: await this.status(), up: Math.round(process.uptime()) };
    response.status(health.status === 'ok' ? 200 : 503).json(health);
  }

  private async status(): Promise<Health['status']> {
    try {
      await this.em.fork().execute('select 1');
    } catch {
      return 'broken';
    }
    return this.jobs.waitsForRoom ? 'full' : 'ok';
  }
}
