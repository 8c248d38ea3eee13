import { Migration } from '@mikro-orm/migrations';

/** Calendars behind links, the company's mark on its papers, summaries that tell of drift. */
export class Migration0014CompanysPapers extends Migration {
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
      -- Nobody is told that a summary came to the same.
      drop trigger job_changed on job;
      create trigger job_made after insert on job for each row execute function tell_job_changed();
      create trigger job_changed after update on job for each row
        when (old.summary is distinct from new.summary or old.summary_of = new.summary_of) execute function tell_job_changed();
    `);
  }

  override down(): void {
    this.addSql(`
      drop trigger job_made on job;
      drop trigger job_changed on job;
      create trigger job_changed after insert or update on job for each row execute function tell_job_changed();
      alter table company drop column logo;
      drop table calendar_feed;
    `);
  }
}
