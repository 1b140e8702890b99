import { Migration } from '@mikro-orm/migrations';

/** Projects: every mix belongs to one, those that were there to the first. */
export class Migration202612022 extends Migration {
  override up(): void {
    this.addSql(
      'create table `project` (`id` text not null, `name` text not null, `look_id` text null, `settings` json not null, `pictures` json not null, `looks` json not null, `cast` json not null, `archived` integer not null default false, `created_at` datetime not null, `updated_at` datetime not null, `deleted_at` datetime null, `version` integer not null default 1, primary key (`id`))',
    );
    this.addSql(
      "insert into project (id, name, settings, pictures, looks, cast, created_at, updated_at) values ('first', 'My first project', '{}', '[]', '[]', '[]', unixepoch() * 1000, unixepoch() * 1000)",
    );
    this.addSql("alter table mix add column project_id text not null default 'first'");
    this.addSql('create index `mix_project_id_index` on `mix` (`project_id`)');
  }

  override down(): void {
    this.addSql('drop index `mix_project_id_index`');
    this.addSql('alter table mix drop column project_id');
    this.addSql('drop table `project`');
  }
}
