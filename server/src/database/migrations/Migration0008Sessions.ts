import { Migration } from '@mikro-orm/migrations';

/** Sessions get a name a person can point at, and the browser they belong to. */
export class Migration0008Sessions extends Migration {
  override up(): void {
    this.addSql(`
      alter table session add column id uuid not null default gen_random_uuid();
      alter table session add column browser varchar(300) not null default '';
      create unique index session_id_unique on session (id);
    `);
  }

  override down(): void {
    this.addSql('alter table session drop column id, drop column browser');
  }
}
