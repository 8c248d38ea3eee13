import { Migration } from '@mikro-orm/migrations';

/**
 * Work that goes on after its answer: how far it is, and who does it, so that any server can take it up. What a review says of each unit, and files that work
 * made, in pieces.
 */
export class Migration0009Work extends Migration {
  override up(): void {
    this.addSql(`
      create table work (
        id uuid primary key, kind varchar(20) not null, title varchar(300) not null, subject jsonb not null,
        asked_by uuid not null references person (id), asked_at timestamptz not null,
        state varchar(10) not null default 'waiting' check (state in ('waiting', 'running', 'done', 'failed', 'stopped')),
        done int not null default 0, total int not null default 0, tries int not null default 0,
        problem varchar(1000), ended_at timestamptz, file_name varchar(200),
        runner uuid, alive_at timestamptz not null default now()
      );
      create index work_asked_at_index on work (asked_at);
      create index work_open_index on work (alive_at) where state in ('waiting', 'running');
      create table review_line (
        work_id uuid not null references work (id) on delete cascade, position int not null, unit_id uuid not null,
        unit varchar(300) not null, site varchar(300) not null, job_id uuid not null,
        nth int, no_plan boolean not null default false, judged jsonb, problem varchar(1000),
        primary key (work_id, position)
      );
      create unique index review_line_nth_unique on review_line (work_id, nth);
      create table work_piece (
        work_id uuid not null references work (id) on delete cascade, position int not null, bytes bytea not null,
        primary key (work_id, position)
      );
    `);
  }

  override down(): void {
    this.addSql('drop table work_piece, review_line, work');
  }
}
