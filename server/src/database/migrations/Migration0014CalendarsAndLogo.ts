import { Migration } from '@mikro-orm/migrations';

/** The calendar of a person behind a link, and the company's mark on papers. */
export class Migration0014CalendarsAndLogo extends Migration {
  override up(): void {
    this.addSql(`
      create table calendar_feed (
        id uuid primary key,
        token_hash varchar(64) not null unique,
        person_id uuid not null references person (id),
        created_at timestamptz not null,
        revoked_at timestamptz null
      );
      create unique index calendar_feed_one_open on calendar_feed (person_id) where revoked_at is null;
      -- Every summary is made anew: it tells more.
      update job set summary_of = -1 where summary is not null;
      alter table company add column logo text null;
    `);
  }

  override down(): void {
    this.addSql(`
      alter table company drop column logo;
      drop table calendar_feed;
    `);
  }
}
