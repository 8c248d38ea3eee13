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
    this.addSql(`
      create table control_in_use (
        job_id uuid not null references job (id) on update cascade on delete cascade,
        role varchar(20) not null,
        sequence int not null,
        definition_id varchar(100),
        version varchar(40),
        hash varchar(64),
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
    this.addSql(`
      drop trigger entry_keeps_control on entry;
      drop function keep_control_in_use;
      drop table control_in_use;
      drop index job_newest, job_planned, site_in_order, unit_in_order, unit_of_site, entry_learned;
      create index job_newest on job (created_at desc, id) where archived_at is null;
      create index unit_site_id_index on unit (site_id);
    `);
  }
}
