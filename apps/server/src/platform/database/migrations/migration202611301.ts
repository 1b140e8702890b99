import { Migration } from '@mikro-orm/migrations';

/** One word for one thing: a check has a fix, a shot that falls out has a remedy. */
export class Migration202611301 extends Migration {
  override up(): void {
    this.addSql(`update reference set checks = replace(checks, '"mend":', '"fix":') where checks like '%"mend":%'`);
    this.addSql(
      `update take set trial = json_set(trial, '$.kind', 'remedy') where json_extract(trial, '$.kind') = 'mend'`,
    );
  }

  override down(): void {
    this.addSql(`update reference set checks = replace(checks, '"fix":', '"mend":') where checks like '%"fix":%'`);
    this.addSql(
      `update take set trial = json_set(trial, '$.kind', 'mend') where json_extract(trial, '$.kind') = 'remedy'`,
    );
  }
}
