import { Migration } from '@mikro-orm/migrations';

/**
 * Logs of a job: what each is, and its readings, partitioned by month and loaded in bulk. Links to the read-only page of a unit. Entries
 * that came from another installation say from whom.
 */
export class Migration0005LogsAndShares extends Migration {
  override up(): void {
    this.addSql(`
      create table "log" (
        "id" uuid primary key, "job_id" uuid not null references "job" ("id"), "author_id" uuid not null references "person" ("id"),
        "name" varchar(200) not null, "columns" jsonb not null, "layout" jsonb not null, "clock" jsonb not null, "samples" int not null,
        "tidied" jsonb not null, "created_at" timestamptz not null
      );
      create index "log_job_id_index" on "log" ("job_id");
      create table "log_point" (
        "log_id" uuid not null, "at" timestamptz not null,
        "air" real, "coil" real, "coil2" real, "product" real, "ambient" real, "outdoor" real, "liquid" real, "supply" real, "return" real,
        "compressor" real, "defrost" real, "fan" real, "door" real, "input" real, "alarm" real,
        "fanPercent" real, "humidity" real, "battery" real, "flow" real
      ) partition by range ("at");
      create index "log_point_log_id_at_index" on "log_point" ("log_id", "at");
      create table "share" (
        "token" varchar(40) primary key, "unit_id" uuid not null references "unit" ("id"), "created_by" uuid not null references "person" ("id"),
        "created_at" timestamptz not null, "revoked_at" timestamptz null
      );
      create unique index "share_one_open" on "share" ("unit_id") where "revoked_at" is null;
      alter table "entry" add column "foreign_from" jsonb null;
    `);
  }

  override down(): void {
    this.addSql(
      'alter table "entry" drop column "foreign_from"; drop table "share"; drop table "log_point"; drop table "log";',
    );
  }
}
