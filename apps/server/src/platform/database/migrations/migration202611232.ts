import { Migration } from '@mikro-orm/migrations';

const LATER = [
  'rating integer not null default 0',
  'favourite integer not null default 0',
  `rights json not null default '{"kind":"not cleared"}'`,
  `source_hash text not null default ''`,
  `preparation json not null default '{"sharpen":0,"cutOut":false,"flatten":true}'`,
  `history json not null default '[]'`,
  `corrections json not null default '{}'`,
  'transparent double not null default 0',
  `perceptual_hash text not null default '0000000000000000'`,
  `metadata json not null default '{}'`,
  `checks json not null default '[]'`,
  `check_state text not null default 'fine'`,
  'reading json null',
  'vision json null',
  `vision_state text not null default 'waiting'`,
  'face_hash text null',
  `derived_words text not null default ''`,
];

/** The words of a row, as the full-text index holds them. */
const words = (row: string) =>
  `${row}.rowid, ${row}.title, (select group_concat(value, ' ') from json_each(${row}.tags)), ${row}.notes, ${row}.derived_words`;

/**
 * The library: what is known of a reference, its vectors, looks, characters, imports, shelf. Triggers keep the full-text index
 * (SQLite FTS5) and the list of changes that the catalogue follows.
 */
export class Migration202611232 extends Migration {
  override up(): void {
    for (const column of LATER) this.addSql(`alter table reference add column ${column}`);
    this.addSql('update reference set source_hash = picture_hash');
    this.addSql(
      'create table `reference_vector` (`id` text not null, `likeness` blob not null, `mirrored` blob not null, `style` blob not null, primary key (`id`))',
    );
    this.addSql(
      'create table `import_file` (`id` text not null, `name` text not null, `title` text not null, `kind` text null, `state` text not null, `reason` text null, `hash` text not null, `reference_id` text null, `twin_id` text null, `twin_is` text null, `created_at` datetime not null, `cleared_at` datetime null, primary key (`id`))',
    );
    this.addSql('create index `import_file_state_index` on `import_file` (`state`)');
    this.addSql('create index `import_file_created_at_index` on `import_file` (`created_at`)');
    this.addSql(
      'create table `look` (`id` text not null, `name` text not null, `notes` text not null, `items` json not null, `is_default` integer not null, `sample_take_id` text null, `created_at` datetime not null, `updated_at` datetime not null, `deleted_at` datetime null, `version` integer not null default 1, primary key (`id`))',
    );
    this.addSql('create index `look_updated_at_index` on `look` (`updated_at`)');
    this.addSql(
      'create table `character` (`id` text not null, `name` text not null, `species` text not null, `description` text not null, `items` json not null, `usual_weight` double not null, `corrected` json not null, `created_at` datetime not null, `updated_at` datetime not null, `deleted_at` datetime null, `version` integer not null default 1, primary key (`id`))',
    );
    this.addSql('create index `character_updated_at_index` on `character` (`updated_at`)');
    this.addSql(
      'create table `shelf_item` (`id` text not null, `kind` text not null, `name` text not null, `text` text not null, `created_at` datetime not null, primary key (`id`))',
    );
    this.addSql('create index `shelf_item_kind_index` on `shelf_item` (`kind`)');
    this.addSql('create table reference_change (seq integer primary key autoincrement, id text not null unique)');
    this.addSql(
      `create virtual table reference_words using fts5(title, tags, notes, derived, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3')`,
    );
    const noted = (id: string) =>
      `delete from reference_change where id = ${id}; insert into reference_change (id) values (${id});`;
    this.addSql(
      `create trigger reference_added after insert on reference begin ${noted('new.id')} insert into reference_words (rowid, title, tags, notes, derived) select ${words('new')}; end`,
    );
    this.addSql(`create trigger reference_changed after update on reference begin ${noted('new.id')} end`);
    this.addSql(
      `create trigger reference_reworded after update of title, tags, notes, derived_words on reference begin delete from reference_words where rowid = new.rowid; insert into reference_words (rowid, title, tags, notes, derived) select ${words('new')}; end`,
    );
    this.addSql(
      `create trigger reference_gone after delete on reference begin ${noted('old.id')} delete from reference_words where rowid = old.rowid; end`,
    );
    this.addSql(`create trigger vector_added after insert on reference_vector begin ${noted('new.id')} end`);
    this.addSql(`create trigger vector_changed after update on reference_vector begin ${noted('new.id')} end`);
    this.addSql('insert into reference_change (id) select id from reference');
    this.addSql(
      `insert into reference_words (rowid, title, tags, notes, derived) select ${words('reference')} from reference`,
    );
  }

  override down(): void {
    for (const name of ['added', 'changed', 'reworded', 'gone']) this.addSql(`drop trigger reference_${name}`);
    for (const table of [
      'reference_words',
      'reference_change',
      'shelf_item',
      'character',
      'look',
      'import_file',
      'reference_vector',
    ])
      this.addSql(`drop table \`${table}\``);
    for (const column of LATER) this.addSql(`alter table reference drop column ${column.split(' ')[0]}`);
  }
}
