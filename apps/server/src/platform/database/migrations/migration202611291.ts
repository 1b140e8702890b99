import { Migration } from '@mikro-orm/migrations';

const OPEN = `('queued', 'held', 'running')`;
const UNFINISHED = `('queued', 'rendering')`;

/** Jobs are unique and know how often they took the process with them; ghosts of older versions go. */
export class Migration202611291 extends Migration {
  override up(): void {
    this.addSql('alter table `job` add column `crashes` integer not null default 0');
    this.addSql('alter table `take` add column `controlled` integer not null default 1');
    this.addSql('update `take` set `controlled` = 0 where `is_control` = 0 and `control_id` is null');
    // finished jobs are no longer kept, but for those that the demo counts
    this.addSql("delete from `job` where `state` in ('done', 'cancelled') and `kind` <> 'demo'");
    this.addSql(
      `delete from job where state in ${OPEN} and rowid not in (select min(rowid) from job where state in ${OPEN} group by kind, subject)`,
    );
    this.addSql(`create unique index job_open_unique on job (kind, subject) where state in ${OPEN}`);
    this.addSql('create index job_next_index on job (state, priority, sequence)');
    // takes that wait for a job that is not there any more
    this.addSql(
      `update take set status = 'cancelled' where is_control = 0 and status in ${UNFINISHED}
         and id not in (select subject from job where kind = 'take' and state in ${OPEN})`,
    );
    // controls that nobody waits for
    const ghosts = `select c.id from take c where c.is_control = 1 and c.status <> 'done' and not exists
      (select 1 from take t where t.control_id = c.id and t.status in ${UNFINISHED} and t.deleted_at is null)`;
    this.addSql(`update take set control_id = null where control_id in (${ghosts})`);
    this.addSql(`delete from take where id in (${ghosts})`);
  }

  override down(): void {
    this.addSql('drop index job_next_index');
    this.addSql('drop index job_open_unique');
    this.addSql('alter table `take` drop column `controlled`');
    this.addSql('alter table `job` drop column `crashes`');
  }
}
