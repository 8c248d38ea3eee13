import { Migration } from '@mikro-orm/migrations';

/** A second factor beside the password, and what was done that a lead should be able to look up. */
export class Migration0022SecondFactor extends Migration {
  override up(): void {
    this.addSql(`
      alter table person
        add column second_secret varchar(64),
        add column second_since timestamptz,
        add column second_step int not null default 0;
      alter table company add column second_factor varchar(20) not null default 'nobody'
        check (second_factor in ('nobody', 'leads', 'everybody'));
      create table recovery_code (
        hash varchar(64) primary key,
        person_id uuid not null references person (id) on update cascade,
        used_at timestamptz
      );
      create index recovery_code_of on recovery_code (person_id);
      create table audit (
        id bigint generated always as identity primary key,
        at timestamptz not null,
        kind varchar(40) not null,
        person_id uuid references person (id),
        login varchar(200) not null,
        address varchar(100) not null,
        browser varchar(300) not null,
        about jsonb not null
      );
      create index audit_of_person on audit (person_id, id desc);
      create index audit_of_kind on audit (kind, id desc);
      create trigger audit_append_only before update or delete on audit for each row execute function refuse_change();
    `);
  }

  override down(): void {
    this.addSql(`
      drop table audit;
      drop table recovery_code;
      alter table company drop column second_factor;
      alter table person drop column second_secret, drop column second_since, drop column second_step;
    `);
  }
}
