import { Migration } from '@mikro-orm/migrations';

/** Pictures of a job: the bytes alone; caption and marks are entries of the stream. */
export class Migration0004Pictures extends Migration {
  override up(): void {
    this.addSql(`
      create table "picture" (
        "id" uuid primary key, "job_id" uuid not null references "job" ("id"), "author_id" uuid not null references "person" ("id"),
        "bytes" bytea not null, "created_at" timestamptz not null
      );
      create index "picture_job_id_index" on "picture" ("job_id");
    `);
  }

  override down(): void {
    this.addSql('drop table "picture";');
  }
}
