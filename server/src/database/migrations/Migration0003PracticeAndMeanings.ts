import { Migration } from '@mikro-orm/migrations';

/** Practice runs per person, and what a company's people took rows of booklets to mean. */
export class Migration0003PracticeAndMeanings extends Migration {
  override up(): void {
    this.addSql(`
      create table "practice_run" (
        "id" uuid primary key, "person_id" uuid not null references "person" ("id"), "definition_id" varchar(100) not null,
        "family" varchar(200) not null, "drill" varchar(40) not null, "passed" boolean not null, "seconds" int not null, "strokes" int not null,
        "fewest" int not null, "hints" int not null, "done_at" timestamptz not null
      );
      create index "practice_run_person_id_index" on "practice_run" ("person_id", "done_at");
      create table "meaning" (
        "id" uuid primary key, "person_id" uuid not null references "person" ("id"), "description" varchar(300) not null,
        "setting" varchar(100) null, "chosen_at" timestamptz not null
      );
      create index "meaning_chosen_at_index" on "meaning" ("chosen_at");
      create index "entry_control_index" on "entry" ("job_id", ("body" ->> 'role'), "sequence") where ("body" ->> 'kind') = 'control';
    `);
  }

  override down(): void {
    this.addSql('drop index "entry_control_index"; drop table "meaning", "practice_run";');
  }
}
