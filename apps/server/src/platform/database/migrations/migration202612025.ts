import { Migration } from '@mikro-orm/migrations';

/** Takes that were tried for a mix, without standing among its own. */
const TRIED = [
  'select e.value as take_id, s.mix_id from strip s, json_each(s.take_ids) e',
  "select e.value->>'takeId' as take_id, s.mix_id from solve s, json_each(s.path) e",
  'select e.value as take_id, s.mix_id from sequence q join series s on s.id = q.series_id, json_each(q.free_ids) e',
  'select e.value as take_id, s.mix_id from sequence q join series s on s.id = q.series_id, json_each(q.held_ids) e',
];

/** Who works in which project, for which mix a take was tried, and pictures of takes found by their hash. */
export class Migration202612025 extends Migration {
  override up(): void {
    this.addSql('alter table `project` add column `restricted` integer not null default false');
    this.addSql(
      'create table `member` (`id` text not null primary key, `project_id` text not null, `person_id` text not null, `role` text not null, `created_at` datetime not null)',
    );
    this.addSql('create index `member_project_id_index` on `member` (`project_id`)');
    this.addSql('create index `member_person_id_index` on `member` (`person_id`)');
    this.addSql('alter table `take` add column `beside_mix_id` text null');
    this.addSql('create index `take_beside_mix_id_index` on `take` (`beside_mix_id`)');
    for (const tried of TRIED)
      this.addSql(
        `update take set beside_mix_id = t.mix_id from (${tried}) t where take.id = t.take_id and take.mix_id is null and take.is_control = 0`,
      );
    for (const column of ['picture_hash', 'thumbnail_hash', 'descriptors_hash'])
      this.addSql(`create index \`take_${column}_index\` on \`take\` (\`${column}\`)`);
  }

  override down(): void {
    for (const column of ['picture_hash', 'thumbnail_hash', 'descriptors_hash'])
      this.addSql(`drop index \`take_${column}_index\``);
    this.addSql('drop index `take_beside_mix_id_index`');
    this.addSql('alter table `take` drop column `beside_mix_id`');
    this.addSql('drop table `member`');
    this.addSql('alter table `project` drop column `restricted`');
  }
}
