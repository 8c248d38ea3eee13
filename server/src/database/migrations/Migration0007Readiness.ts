import { Migration } from '@mikro-orm/migrations';

/** One row that is written to learn whether a write would succeed. */
export class Migration0007Readiness extends Migration {
  override up(): void {
    this.addSql(
      `create table readiness (one boolean primary key default true check (one), at timestamptz not null)`,
    );
  }

  override down(): void {
    this.addSql('drop table readiness');
  }
}
