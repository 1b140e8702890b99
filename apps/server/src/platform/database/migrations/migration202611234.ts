import { Migration } from '@mikro-orm/migrations';

const COLUMNS: Readonly<Record<string, readonly string[]>> = {
  series: ['mix_version integer null', 'paused integer not null default 0'],
  shot: [`notes text not null default ''`, 'skipped integer not null default 0', `own json not null default '{}'`],
  take: ['trial json null'],
  strip: ['shots json null'],
  solve: ['shots json null'],
};

/** The series: own settings of shots, tries beside takes, trials over several shots. */
export class Migration202611234 extends Migration {
  override up(): void {
    for (const [table, columns] of Object.entries(COLUMNS))
      for (const column of columns) this.addSql(`alter table \`${table}\` add column ${column}`);
  }

  override down(): void {
    for (const [table, columns] of Object.entries(COLUMNS))
      for (const column of columns) this.addSql(`alter table \`${table}\` drop column ${column.split(' ')[0]}`);
  }
}
