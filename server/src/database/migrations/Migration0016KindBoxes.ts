import { Migration } from '@mikro-orm/migrations';

/** What a company's learned units of a kind have in common, for the next ones. */
export class Migration0016KindBoxes extends Migration {
  override up(): void {
    this.addSql(`alter table company add column kinds jsonb not null default '{}';`);
  }

  override down(): void {
    this.addSql(`alter table company drop column kinds;`);
  }
}
