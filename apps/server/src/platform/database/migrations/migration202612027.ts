import { Migration } from '@mikro-orm/migrations';

/** Comments, and how far somebody has read them. */
export class Migration202612027 extends Migration {
  override up(): void {
    this.addSql(
      'create table `comment` (`id` text not null, `kind` text not null, `thing_id` text not null, `thread_id` text not null, `person_id` text null, `text` text not null, `point` json null, `mentioned` json not null, `resolved_at` datetime null, `resolved_by` text null, `created_at` datetime not null, `edited_at` datetime null, `deleted_at` datetime null, `version` integer not null default 1, primary key (`id`))',
    );
    for (const column of ['thing_id', 'thread_id', 'person_id', 'created_at'])
      this.addSql(`create index \`comment_${column}_index\` on \`comment\` (\`${column}\`)`);
    this.addSql(
      'create table `thread_read` (`id` text not null, `person_id` text not null, `thread_id` text not null, `until` datetime not null, primary key (`id`))',
    );
    this.addSql('create index `thread_read_person_id_index` on `thread_read` (`person_id`)');
  }

  override down(): void {
    this.addSql('drop table `thread_read`');
    this.addSql('drop table `comment`');
  }
}
