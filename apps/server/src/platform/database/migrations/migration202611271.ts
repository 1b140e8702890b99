import { Migration } from '@mikro-orm/migrations';

/** Frame sequences over shots. */
export class Migration202611271 extends Migration {
  override up(): void {
    this.addSql(
      'create table `sequence` (`id` text not null, `series_id` text not null, `shot_id` text not null, `name` text not null, `state` json not null, `move` json not null, `quality` text not null, `free_ids` json not null, `hold` integer null, `held_ids` json null, `created_at` datetime not null, `deleted_at` datetime null, `version` integer not null default 1, primary key (`id`))',
    );
    this.addSql('create index `sequence_series_id_index` on `sequence` (`series_id`)');
    this.addSql('create index `sequence_created_at_index` on `sequence` (`created_at`)');
  }

  override down(): void {
    this.addSql('drop table `sequence`');
  }
}
