import { Migration } from '@mikro-orm/migrations';

/** Who approves in a project, and which keepers are approved. */
export class Migration202612028 extends Migration {
  override up(): void {
    this.addSql('alter table `member` add column `approver` integer not null default false');
    this.addSql('alter table `take` add column `approved_at` datetime null');
    this.addSql('alter table `take` add column `approved_by` text null');
  }

  override down(): void {
    this.addSql('alter table `take` drop column `approved_by`');
    this.addSql('alter table `take` drop column `approved_at`');
    this.addSql('alter table `member` drop column `approver`');
  }
}
