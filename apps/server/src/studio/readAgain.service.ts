import { MikroORM } from '@mikro-orm/core';
import type { EntityManager as SqlEntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { READER } from '../library/lookAt.service';
import { NO_MODEL } from '../library/visionState';
import { JobsService } from '../platform/jobs/jobs.service';

/** After everything that somebody waits for, and after what has just been brought in. */
const PRIORITY = 9;

/** References that older readers looked at: those of the cast first, then those of mixes, then the newest. */
const OLDER = `select r.id from reference r
  where r.deleted_at is null and r.vision is not null and json_extract(r.vision, '$.model') not in (?, ?)
  order by
    exists (select 1 from character c, json_each(c.items) i where c.deleted_at is null and json_extract(i.value, '$.referenceId') = r.id) desc,
    exists (select 1 from mix m, json_each(m.influences) i where json_extract(i.value, '$.referenceId') = r.id) desc,
    r.created_at desc`;

/**
 * Has a library read again whose people were read by an older version of the readers. It goes on beside all other work: every picture is a
 * job of its own at the end of the line, so that a stop in between loses nothing, and what people set right stays.
 */
@Injectable()
export class ReadAgainService {
  constructor(
    private readonly orm: MikroORM,
    private readonly jobs: JobsService,
  ) {}

  /** Puts in line what older readers looked at; how many there are. */
  async begin(): Promise<number> {
    const em = this.orm.em.fork();
    const older = await (em as unknown as SqlEntityManager)
      .getConnection()
      .execute<{ id: string }[]>(OLDER, [READER, NO_MODEL]);
    if (older.length)
      await this.jobs.enqueue(em, ...older.map(({ id }) => ({ kind: 'look-at', subject: id, priority: PRIORITY })));
    return older.length;
  }
}
