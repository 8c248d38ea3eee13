import { Migration } from '@mikro-orm/migrations';

/** How long the company lets a device work without contact. */
export class Migration0012OfflineDays extends Migration {
  override up(): void {
    this.addSql(`
      alter table company add column offline_days int not null default 14;
      alter table company add constraint company_offline_days_check check (offline_days between 1 and 30);
    `);
  }

  override down(): void {
    this.addSql('alter table company drop column offline_days;');
  }
}
