import { Migration } from '@mikro-orm/migrations';

/** The tables of the first version. */
export class Migration0001Foundations extends Migration {
  override up(): void {
    this.addSql(`
      create table "company" (
        "id" uuid primary key, "name" varchar(200) not null, "schools" jsonb not null, "display_unit" varchar(20) not null,
        "version" int not null default 1
      );
      -- One company an installation.
      create unique index "company_only_one" on "company" ((true));
      create table "person" (
        "id" uuid primary key, "login" varchar(200) not null constraint "person_login_unique" unique, "name" varchar(200) not null,
        "role" varchar(20) not null check ("role" in ('viewer', 'technician', 'lead')), "password_hash" varchar(400) null,
        "disabled_at" timestamptz null, "demo" boolean not null, "created_at" timestamptz not null, "version" int not null default 1
      );
      create table "session" (
        "hash" varchar(64) primary key, "person_id" uuid not null references "person" ("id"), "created_at" timestamptz not null,
        "last_used_at" timestamptz not null, "expires_at" timestamptz not null
      );
      create index "session_person_id_index" on "session" ("person_id");
      create table "ticket" (
        "hash" varchar(64) primary key, "person_id" uuid not null references "person" ("id"), "device" varchar(100) not null,
        "created_at" timestamptz not null, "expires_at" timestamptz not null
      );
      create index "ticket_person_id_index" on "ticket" ("person_id");
      create table "invitation" (
        "hash" varchar(64) primary key, "kind" varchar(20) not null, "role" varchar(20) not null, "name" varchar(200) not null,
        "login" varchar(200) null, "person_id" uuid null references "person" ("id"), "created_at" timestamptz not null,
        "expires_at" timestamptz not null, "used_at" timestamptz null
      );
      create table "attempt" ("key" varchar(300) primary key, "failures" int not null, "window_ends_at" timestamptz not null);
      create table "site" (
        "id" uuid primary key, "name" varchar(200) not null, "place" varchar(300) not null, "note" text not null,
        "archived_at" timestamptz null, "created_at" timestamptz not null, "version" int not null default 1
      );
      create table "unit" (
        "id" uuid primary key, "site_id" uuid not null references "site" ("id"), "name" varchar(200) not null, "tag" varchar(60) not null,
        "plate" varchar(500) not null, "archived_at" timestamptz null, "created_at" timestamptz not null, "version" int not null default 1
      );
      create index "unit_site_id_index" on "unit" ("site_id");
      create table "job" (
        "id" uuid primary key, "unit_id" uuid not null references "unit" ("id"), "title" varchar(300) not null,
        "last_sequence" int not null, "created_by" uuid not null references "person" ("id"), "created_at" timestamptz not null,
        "archived_at" timestamptz null, "version" int not null default 1
      );
      create index "job_unit_id_index" on "job" ("unit_id");
      create table "entry" (
        "id" uuid primary key, "job_id" uuid not null references "job" ("id"), "sequence" int not null, "device" varchar(100) not null,
        "device_sequence" int not null, "device_time" varchar(40) not null, "seen" int not null,
        "author_id" uuid not null references "person" ("id"), "body" jsonb not null, "received_at" timestamptz not null,
        constraint "entry_job_id_sequence_unique" unique ("job_id", "sequence"),
        constraint "entry_job_id_device_device_sequence_unique" unique ("job_id", "device", "device_sequence")
      );
      create table "controller" (
        "hash" varchar(64) primary key, "definition_id" varchar(100) not null, "family" varchar(200) not null,
        "summary" varchar(500) not null, "definition_version" varchar(40) not null, "data" jsonb not null, "created_at" timestamptz not null
      );
      create index "controller_definition_id_index" on "controller" ("definition_id");
    `);
  }

  override down(): void {
    this.addSql(
      'drop table "controller", "entry", "job", "unit", "site", "attempt", "invitation", "ticket", "session", "person", "company";',
    );
  }
}
