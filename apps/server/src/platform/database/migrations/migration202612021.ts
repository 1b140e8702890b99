import { Migration } from '@mikro-orm/migrations';

/** Collections of references: put together by hand, or found by a search. Saved searches become such. */
export class Migration202612021 extends Migration {
  override up(): void {
    this.addSql(
      'create table `collection` (`id` text not null, `name` text not null, `items` json not null, `search` text null, `created_at` datetime not null, `updated_at` datetime not null, `deleted_at` datetime null, `version` integer not null default 1, primary key (`id`))',
    );
    this.addSql(
      "insert into collection (id, name, items, search, created_at, updated_at) select id, name, '[]', text, created_at, created_at from shelf_item where kind = 'search'",
    );
    this.addSql("delete from shelf_item where kind = 'search'");
  }

  override down(): void {
    this.addSql(
      "insert into shelf_item (id, kind, name, text, created_at) select id, 'search', name, search, created_at from collection where search is not null and deleted_at is null",
    );
    this.addSql('drop table `collection`');
  }
}
