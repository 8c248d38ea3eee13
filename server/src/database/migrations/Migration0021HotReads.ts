import { Migration } from '@mikro-orm/migrations';

/** Orders that a page can be continued in, each by an index; the control that a job names now, kept by the database as entries come in. */
export class Migration0021HotReads extends Migration {
  override up(): void {
    // Directions as the orders of lists have them (job.reads, site.reads, unit.reads): a page goes on after a row.
    this.addSql(`
      drop index job_newest;
      create index job_newest on job (created_at desc, id desc) where archived_at is null;
      create index job_planned on job ((coalesce(planned_for, 'infinity'::date)), created_at desc, id desc) where archived_at is null;
      create index site_in_order on site (name, id);
      create index unit_in_order on unit (tag, name, id) where archived_at is null;
      create index unit_of_site on unit (site_id, tag, name, id);
      drop index unit_site_id_index;
      create index entry_learned on entry ((body ->> 'kind'), received_at) where body ->> 'kind' in ('learned', 'boxChoice', 'heldAgainst');
    `);
    // Words in small letters are compared five times as fast as ilike does, which makes them small anew for each row.
    this.addSql(`
      alter table job add column words text generated always as (lower(title)) stored;
      alter table unit add column words text generated always as (lower(name || E'\\n' || tag || E'\\n' || plate)) stored;
      alter table site
        add column words text generated always as (lower(name || E'\\n' || place || E'\\n' || customer || E'\\n' || contact)) stored,
        add column digits text generated always as (regexp_replace(phone, '[^0-9]', '', 'g')) stored;
      drop index if exists job_words, unit_words, site_words, site_digits;
    `);
    // What a word in many jobs is counted in: a tenth of the table.
    this.addSql('create index job_counted on job (id) include (words, unit_id) where archived_at is null;');
    // A database of somebody else's may not have the extension: it searches row by row.
    this.addSql(`
      do $$
      begin
        create index job_words on job using gin (words gin_trgm_ops);
        create index unit_words on unit using gin (words gin_trgm_ops);
        create index site_words on site using gin (words gin_trgm_ops);
        create index site_digits on site using gin (digits gin_trgm_ops);
      exception when undefined_object then
        raise notice 'pg_trgm is not there: searches read every row';
      end $$;
    `);
    // Whether a unit was ever handed over, kept beside it: to look at every job of every unit takes longer than a page may.
    this.addSql(`
      alter table unit add column handed_over boolean not null default false;
      update unit set handed_over = true
       where exists (select 1 from job where unit_id = unit.id and jsonb_typeof(summary -> 'handedOver') = 'object');
      drop index job_with_sheet, unit_oldest;
      create index unit_without_sheet on unit (created_at, id) where archived_at is null and not handed_over;
      create function keep_handed_over() returns trigger language plpgsql as $$
      declare
        is_so boolean := exists (select 1 from job where unit_id = new.unit_id and jsonb_typeof(summary -> 'handedOver') = 'object');
      begin
        update unit set handed_over = is_so where id = new.unit_id and handed_over <> is_so;
        return null;
      end $$;
      create trigger job_keeps_handed_over after update on job for each row
        when (jsonb_typeof(old.summary -> 'handedOver') is distinct from jsonb_typeof(new.summary -> 'handedOver'))
        execute function keep_handed_over();
      create trigger job_made_handed_over after insert on job for each row
        when (jsonb_typeof(new.summary -> 'handedOver') = 'object') execute function keep_handed_over();
    `);
    this.addSql(`
      create table control_in_use (
        job_id uuid not null references job (id) on update cascade on delete cascade,
        role text not null,
        sequence int not null,
        definition_id text,
        version text,
        hash text,
        primary key (job_id, role)
      );
      create index control_in_use_of on control_in_use (definition_id);
      create function keep_control_in_use() returns trigger language plpgsql as $$
      begin
        insert into control_in_use (job_id, role, sequence, definition_id, version, hash)
        values (new.job_id, new.body ->> 'role', new.sequence, new.body -> 'definition' ->> 'id', new.body -> 'definition' ->> 'version',
                new.body -> 'definition' ->> 'hash')
        on conflict (job_id, role) do update
          set sequence = excluded.sequence, definition_id = excluded.definition_id, version = excluded.version, hash = excluded.hash
          where control_in_use.sequence < excluded.sequence;
        return null;
      end $$;
      insert into control_in_use (job_id, role, sequence, definition_id, version, hash)
        select distinct on (job_id, body ->> 'role') job_id, body ->> 'role', sequence, body -> 'definition' ->> 'id',
               body -> 'definition' ->> 'version', body -> 'definition' ->> 'hash'
          from entry where body ->> 'kind' = 'control' order by job_id, body ->> 'role', sequence desc;
      create trigger entry_keeps_control after insert on entry for each row when (new.body ->> 'kind' = 'control')
        execute function keep_control_in_use();
    `);
  }

  override down(): void {
    // What the words of before were found by is made anew as Migration0020 does, where the extension is there.
    this.addSql(`
      drop index if exists job_words, unit_words, site_words, site_digits, job_counted;
      alter table job drop column words;
      alter table unit drop column words;
      alter table site drop column words, drop column digits;
      do $$
      begin
        create index job_words on job using gin (title gin_trgm_ops);
        create index unit_words on unit using gin ((name || E'\\n' || tag || E'\\n' || plate) gin_trgm_ops);
        create index site_words on site using gin ((name || E'\\n' || place || E'\\n' || customer || E'\\n' || contact) gin_trgm_ops);
        create index site_digits on site using gin ((regexp_replace(phone, '[^0-9]', '', 'g')) gin_trgm_ops);
      exception when undefined_object then
        raise notice 'pg_trgm is not there: searches read every row';
      end $$;
    `);
    this.addSql(`
      drop trigger job_keeps_handed_over on job;
      drop trigger job_made_handed_over on job;
      drop function keep_handed_over;
      drop index unit_without_sheet;
      alter table unit drop column handed_over;
      create index job_with_sheet on job (unit_id) where jsonb_typeof(summary->'handedOver') = 'object';
      create index unit_oldest on unit (created_at, id) where archived_at is null;
      drop trigger entry_keeps_control on entry;
      drop function keep_control_in_use;
      drop table control_in_use;
      drop index job_newest, job_planned, site_in_order, unit_in_order, unit_of_site, entry_learned;
      create index job_newest on job (created_at desc, id) where archived_at is null;
      create index unit_site_id_index on unit (site_id);
    `);
  }
}
