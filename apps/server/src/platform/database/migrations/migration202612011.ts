import { Migration } from '@mikro-orm/migrations';

/** Characters have outfits that words call by their names. */
export class Migration202612011 extends Migration {
  override up(): void {
    this.addSql(`alter table character add column outfits json not null default '[]'`);
  }

  override down(): void {
    this.addSql(`alter table character drop column outfits`);
  }
}
