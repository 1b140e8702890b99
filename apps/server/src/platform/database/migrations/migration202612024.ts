import { Migration } from '@mikro-orm/migrations';

/** Whose a job is, so that people take turns. */
export class Migration202612024 extends Migration {
  override up(): void {
    this.addSql("alter table `job` add column `person` text not null default ''");
  }

  override down(): void {
    this.addSql('alter table `job` drop column `person`');
  }
}
