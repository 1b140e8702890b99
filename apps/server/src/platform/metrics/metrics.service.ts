import { MikroORM } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';
import { EventsService } from '../events/events.service';
import { JobEntity } from '../jobs/job.entity';
import { JobsService } from '../jobs/jobs.service';

/** Seconds by which jobs are counted: a draft takes parts of one, a print minutes. */
const SECONDS = [0.1, 0.25, 0.5, 1, 2.5, 5, 10, 30, 60, 180, 600];

/**
 * What a machine room wants to know of a studio, in the Prometheus exposition format: jobs by kind (a render is a `take`, a picture that is
 * read an `import`) with their seconds, what waits, open windows, and what Node tells of itself, the delay of its event loop included.
 */
@Injectable()
export class MetricsService {
  private readonly registry = new Registry();

  constructor(orm: MikroORM, jobs: JobsService, events: EventsService) {
    const registers = [this.registry];
    collectDefaultMetrics({ register: this.registry });
    const seconds = new Histogram({
      name: 'urbild_job_seconds',
      help: 'Seconds from the beginning of a job to its end',
      labelNames: ['kind', 'outcome'],
      buckets: SECONDS,
      registers,
    });
    jobs.whenEnded(({ kind, outcome, milliseconds }) => seconds.observe({ kind, outcome }, milliseconds / 1000));
    new Gauge({
      name: 'urbild_jobs',
      help: 'Jobs that are not done, by kind and state',
      labelNames: ['kind', 'state'],
      registers,
      async collect() {
        this.reset();
        const rows = await orm.em.fork().find(JobEntity, { state: { $ne: 'done' } }, { fields: ['kind', 'state'] });
        for (const { kind, state } of rows) this.inc({ kind, state });
      },
    });
    new Gauge({
      name: 'urbild_connections',
      help: 'Windows that listen to what happens in the studio',
      registers,
      collect() {
        this.set(events.listeners);
      },
    });
    new Gauge({
      name: 'urbild_disk_full',
      help: '1 while the queue waits because the disk is full',
      registers,
      collect() {
        this.set(jobs.waitsForRoom ? 1 : 0);
      },
    });
  }

  /** The type of what {@link text} gives. */
  get contentType(): string {
    return this.registry.contentType;
  }

  /** Everything that is counted, as it is now. */
  text(): Promise<string> {
    return this.registry.metrics();
  }
}
