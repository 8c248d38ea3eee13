import { Migration } from '@mikro-orm/migrations';

/** Whom to call, who goes where and when, and how far each job is. */
export class Migration0013CompanysDay extends Migration {
  override up(): void {
    this.addSql(`
      alter table company add column phone varchar(60) not null default '';
      alter table site add column customer varchar(200) not null default '';
      alter table site add column contact varchar(200) not null default '';
      alter table site add column phone varchar(60) not null default '';
      alter table job add column assigned_to uuid null references person (id);
      alter table job add column planned_for date null;
      alter table job add column waits_for varchar(200) not null default '';
      alter table job add column summary jsonb null;
      alter table job add column summary_of int not null default -1;
      create index job_open_by_person on job (assigned_to, planned_for) where archived_at is null;
      create index job_to_summarise on job (created_at) where summary_of < last_sequence;
      create index site_phone on site (regexp_replace(phone, '[^0-9]', '', 'g'));
    `);
    // Every server tells its pages of a job that changed, whichever server changed it.
    this.addSql(`
      create function tell_job_changed() returns trigger language plpgsql as $$
      begin
        perform pg_notify('brine_changes', new.id::text);
        return null;
      end $$;
      create trigger job_changed after insert or update on job for each row execute function tell_job_changed();
    `);
  }

  override down(): void {
    this.addSql(`
      drop trigger job_changed on job;
      drop function tell_job_changed();
      alter table job drop column summary_of, drop column summary, drop column waits_for, drop column planned_for, drop column assigned_to;
      alter table site drop column phone, drop column contact, drop column customer;
      alter table company drop column phone;
    `);
  }
}
