import { Migration } from '@mikro-orm/migrations';

/** Takes away partitions of months without a reading: one wrong date in a log used to make thousands, and every query plans over them. */
export class Migration0006EmptyMonths extends Migration {
  override up(): void {
    this.addSql(`
      do $$
      declare month regclass; held boolean;
      begin
        for month in select inhrelid::regclass from pg_inherits where inhparent = 'log_point'::regclass loop
          execute format('select exists (select 1 from %s)', month) into held;
          if not held then execute format('drop table %s', month); end if;
        end loop;
      end $$;
    `);
  }

  // Empty months are made again when a log needs them.
  override down(): void {
    this.addSql('select 1');
  }
}
