import { Migration } from '@mikro-orm/migrations';

/** Who somebody is in the directory. */
export class Migration202612026 extends Migration {
  override up(): void {
    this.addSql('alter table `person` add column `directory_id` text null');
    this.addSql('create unique index `person_directory_id_unique` on `person` (`directory_id`)');
  }

  override down(): void {
    this.addSql('drop index `person_directory_id_unique`');
    this.addSql('alter table `person` drop column `directory_id`');
  }
}
