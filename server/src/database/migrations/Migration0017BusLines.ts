import { Migration } from '@mikro-orm/migrations';

/** Lines of sites that the server may call: addresses that leads entered, and which piece of work has each at present. */
export class Migration0017BusLines extends Migration {
  override up(): void {
    this.addSql(`
      create table bus_line (
        id uuid primary key,
        site_id uuid not null references site (id) on update cascade,
        name varchar(200) not null,
        host varchar(253) not null,
        port int not null check (port between 1 and 65535),
        kind varchar(20) not null check (kind in ('tcp', 'rtuOverTcp')),
        open boolean not null default true,
        entered_by uuid not null references person (id) on update cascade,
        entered_at timestamptz not null,
        held_by uuid,
        held_until timestamptz
      );
      create index bus_line_site on bus_line (site_id);
    `);
  }

  override down(): void {
    this.addSql('drop table bus_line;');
  }
}
