import { Migration } from '@mikro-orm/migrations';

/** References, mixes, takes, series with their shots, and jobs. */
export class Migration202611231 extends Migration {
  override up(): void {
    this.addSql(
      `create table \`job\` (\`id\` text not null, \`kind\` text not null, \`subject\` text not null, \`payload\` json not null, \`state\` text not null, \`priority\` integer not null, \`sequence\` integer not null, \`attempts\` integer not null, \`lease_owner\` text null, \`lease_until\` datetime null, \`error\` text null, \`created_at\` datetime not null, \`finished_at\` datetime null, primary key (\`id\`))`,
    );
    this.addSql(`create index \`job_subject_index\` on \`job\` (\`subject\`)`);
    this.addSql(`create index \`job_state_index\` on \`job\` (\`state\`)`);
    this.addSql(
      `create table \`mix\` (\`id\` text not null, \`name\` text not null, \`prompt\` text not null, \`avoid\` text not null, \`settings\` json not null, \`influences\` json not null, \`created_at\` datetime not null, \`updated_at\` datetime not null, \`deleted_at\` datetime null, \`version\` integer not null default 1, primary key (\`id\`))`,
    );
    this.addSql(`create index \`mix_updated_at_index\` on \`mix\` (\`updated_at\`)`);
    this.addSql(
      `create table \`reference\` (\`id\` text not null, \`kind\` text not null, \`title\` text not null, \`tags\` json not null, \`notes\` text not null, \`original_hash\` text not null, \`picture_hash\` text not null, \`thumbnail_hash\` text not null, \`descriptors_hash\` text not null, \`format\` text not null, \`width\` integer not null, \`height\` integer not null, \`swatches\` json not null, \`demo_key\` text null, \`created_at\` datetime not null, \`deleted_at\` datetime null, \`version\` integer not null default 1, primary key (\`id\`))`,
    );
    this.addSql(`create index \`reference_kind_index\` on \`reference\` (\`kind\`)`);
    this.addSql(`create index \`reference_original_hash_index\` on \`reference\` (\`original_hash\`)`);
    this.addSql(`create unique index \`reference_demo_key_unique\` on \`reference\` (\`demo_key\`)`);
    this.addSql(`create index \`reference_created_at_index\` on \`reference\` (\`created_at\`)`);
    this.addSql(
      `create table \`series\` (\`id\` text not null, \`name\` text not null, \`mix_id\` text not null, \`created_at\` datetime not null, \`updated_at\` datetime not null, \`deleted_at\` datetime null, \`version\` integer not null default 1, primary key (\`id\`))`,
    );
    this.addSql(`create index \`series_mix_id_index\` on \`series\` (\`mix_id\`)`);
    this.addSql(
      `create table \`shot\` (\`id\` text not null, \`series_id\` text not null, \`position\` integer not null, \`title\` text not null, \`prompt\` text not null, \`seed\` integer not null, \`created_at\` datetime not null, \`deleted_at\` datetime null, \`version\` integer not null default 1, primary key (\`id\`))`,
    );
    this.addSql(`create index \`shot_series_id_index\` on \`shot\` (\`series_id\`)`);
    this.addSql(
      `create table \`take\` (\`id\` text not null, \`mix_id\` text null, \`shot_id\` text null, \`is_control\` integer not null, \`control_id\` text null, \`quality\` text not null, \`status\` text not null, \`request_hash\` text not null, \`origin\` json not null, \`picture_hash\` text null, \`thumbnail_hash\` text null, \`descriptors_hash\` text null, \`shares\` json null, \`understood\` json null, \`unheard\` json null, \`measurements\` json null, \`error\` text null, \`keeper\` integer not null, \`created_at\` datetime not null, \`finished_at\` datetime null, \`deleted_at\` datetime null, \`version\` integer not null default 1, primary key (\`id\`))`,
    );
    this.addSql(`create index \`take_mix_id_index\` on \`take\` (\`mix_id\`)`);
    this.addSql(`create index \`take_shot_id_index\` on \`take\` (\`shot_id\`)`);
    this.addSql(`create index \`take_control_id_index\` on \`take\` (\`control_id\`)`);
    this.addSql(`create index \`take_status_index\` on \`take\` (\`status\`)`);
    this.addSql(`create index \`take_request_hash_index\` on \`take\` (\`request_hash\`)`);
    this.addSql(`create index \`take_created_at_index\` on \`take\` (\`created_at\`)`);
  }

  override down(): void {
    for (const table of ['job', 'shot', 'series', 'take', 'mix', 'reference']) this.addSql(`drop table \`${table}\``);
  }
}
