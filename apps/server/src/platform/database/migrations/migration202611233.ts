import { Migration } from '@mikro-orm/migrations';

const TAKE = [
  'rating integer not null default 0',
  'rejected integer not null default 0',
  `note text not null default ''`,
  'from_take_id text null',
];

/** The bench: what people say of takes, where takes come from, versions of mixes, test strips, searches for weights. */
export class Migration202611233 extends Migration {
  override up(): void {
    for (const column of TAKE) this.addSql(`alter table take add column ${column}`);
    this.addSql(
      'create table `mix_version` (`id` text not null, `mix_id` text not null, `number` integer not null, `state` json not null, `created_at` datetime not null, primary key (`id`))',
    );
    this.addSql('create index `mix_version_mix_id_index` on `mix_version` (`mix_id`)');
    this.addSql(
      'create table `strip` (`id` text not null, `mix_id` text not null, `name` text not null, `state` json not null, `axes` json not null, `quality` text not null, `take_ids` json not null, `created_at` datetime not null, `deleted_at` datetime null, `version` integer not null default 1, primary key (`id`))',
    );
    this.addSql('create index `strip_mix_id_index` on `strip` (`mix_id`)');
    this.addSql('create index `strip_created_at_index` on `strip` (`created_at`)');
    this.addSql(
      'create table `solve` (`id` text not null, `mix_id` text not null, `state` json not null, `targets` json not null, `path` json not null, `status` text not null, `best` integer null, `reason` text not null, `created_at` datetime not null, `version` integer not null default 1, primary key (`id`))',
    );
    this.addSql('create index `solve_mix_id_index` on `solve` (`mix_id`)');
    this.addSql('create index `solve_created_at_index` on `solve` (`created_at`)');
  }

  override down(): void {
    for (const table of ['solve', 'strip', 'mix_version']) this.addSql(`drop table \`${table}\``);
    for (const column of TAKE) this.addSql(`alter table take drop column ${column.split(' ')[0]}`);
  }
}
