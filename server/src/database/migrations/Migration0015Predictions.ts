import { Migration } from '@mikro-orm/migrations';

/** What is known of units across their jobs is found without reading every entry. */
export class Migration0015Predictions extends Migration {
  override up(): void {
    this.addSql(`
      create index entry_of_unit_index on entry ((body ->> 'kind'), job_id)
        where (body ->> 'kind') in ('learned', 'boxChoice', 'predicted', 'heldAgainst');
    `);
  }

  override down(): void {
    this.addSql(`drop index entry_of_unit_index;`);
  }
}
