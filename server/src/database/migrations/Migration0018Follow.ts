import { Migration } from '@mikro-orm/migrations';

/** What controllers told while they were followed, and who waits for a line that another has. */
export class Migration0018Follow extends Migration {
  override up(): void {
    this.addSql(`
      alter table bus_line add column wanted_at timestamptz;
      create table bus_point (
        work_id uuid not null references work (id) on update cascade on delete cascade,
        at timestamptz not null,
        readings jsonb,
        primary key (work_id, at)
      );
      create index work_bus_follow on work ((subject->>'job'), asked_at) where kind = 'busFollow';
    `);
  }

  override down(): void {
    this.addSql(
      'drop index work_bus_follow; drop table bus_point; alter table bus_line drop column wanted_at;',
    );
  }
}
