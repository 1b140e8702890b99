import { Migration } from '@mikro-orm/migrations';

/** Mixes can be archived: they stay as they are and stand in no list of what is worked on. */
export class Migration202612012 extends Migration {
  override up(): void {
    this.addSql(`alter table mix add column archived integer not null default 0`);
  }

  override down(): void {
    this.addSql(`alter table mix drop column archived`);
  }
}
