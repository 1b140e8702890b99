import { Migration } from '@mikro-orm/migrations';

/** People, by which browsers they are in, and links that let others in. */
export class Migration202612023 extends Migration {
  override up(): void {
    this.addSql(
      'create table `person` (`id` text not null, `name` text not null, `login` text not null, `password` text not null, `hue` integer not null, `role` text not null, `may_export` integer not null default false, `created_at` datetime not null, `deleted_at` datetime null, `version` integer not null default 1, primary key (`id`))',
    );
    this.addSql('create unique index `person_login_unique` on `person` (`login`)');
    this.addSql(
      'create table `session` (`id` text not null, `token_hash` text not null, `person_id` text not null, `browser` text not null, `created_at` datetime not null, `seen_at` datetime not null, `expires_at` datetime not null, primary key (`id`))',
    );
    this.addSql('create unique index `session_token_hash_unique` on `session` (`token_hash`)');
    this.addSql('create index `session_person_id_index` on `session` (`person_id`)');
    this.addSql(
      'create table `invitation` (`id` text not null, `token_hash` text not null, `person_id` text null, `note` text not null, `role` text not null, `may_export` integer not null default false, `created_at` datetime not null, `expires_at` datetime not null, `used_at` datetime null, primary key (`id`))',
    );
    this.addSql('create unique index `invitation_token_hash_unique` on `invitation` (`token_hash`)');
  }

  override down(): void {
    for (const table of ['invitation', 'session', 'person']) this.addSql(`drop table \`${table}\``);
  }
}
