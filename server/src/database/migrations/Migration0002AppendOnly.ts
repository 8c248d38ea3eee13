import { Migration } from '@mikro-orm/migrations';

/** Entries and definitions are append-only, and the database itself holds to it. */
export class Migration0002AppendOnly extends Migration {
  override up(): void {
    this.addSql(`
      create function "refuse_change"() returns trigger language plpgsql as $$
      begin
        raise exception 'rows of % are only ever added', tg_table_name using errcode = 'integrity_constraint_violation';
      end $$;
      create trigger "entry_append_only" before update or delete on "entry" for each row execute function "refuse_change"();
      create trigger "controller_append_only" before update or delete on "controller" for each row execute function "refuse_change"();
    `);
  }

  override down(): void {
    this.addSql(`
      drop trigger "controller_append_only" on "controller";
      drop trigger "entry_append_only" on "entry";
      drop function "refuse_change"();
    `);
  }
}
