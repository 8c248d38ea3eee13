import { Migration } from '@mikro-orm/migrations';

/** Programs on site that hold lines which the server cannot reach, and what is asked of them. */
export class Migration0019Links extends Migration {
  override up(): void {
    this.addSql(`
      create table bus_link (
        id uuid primary key,
        site_id uuid not null references site (id) on update cascade,
        name varchar(200) not null,
        token_hash varchar(64) not null unique,
        made_by uuid not null references person (id) on update cascade,
        made_at timestamptz not null,
        seen_at timestamptz,
        ended_at timestamptz
      );
      create index bus_link_site on bus_link (site_id);
      alter table bus_line add column link_id uuid references bus_link (id) on update cascade;
      create table bus_call (
        id uuid primary key,
        link_id uuid not null references bus_link (id) on update cascade on delete cascade,
        call jsonb not null,
        asked_at timestamptz not null default now(),
        given_at timestamptz,
        answer jsonb
      );
      create index bus_call_waiting on bus_call (link_id, asked_at) where given_at is null;
    `);
  }

  override down(): void {
    this.addSql('drop table bus_call; alter table bus_line drop column link_id; drop table bus_link;');
  }
}
