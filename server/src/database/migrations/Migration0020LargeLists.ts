import { Migration } from '@mikro-orm/migrations';

/** As `FINISHED` of the jobs' repository has it: a query finds an index by the same words. */
const FINISHED = `coalesce(jsonb_typeof(summary->'handedOver') = 'object' and (summary->>'unanswered')::int = 0, false)`;

/** Lists, searches and the company's day of tens of thousands of units, each by an index of its own. */
export class Migration0020LargeLists extends Migration {
  override up(): void {
    this.addSql(`
      create index job_newest on job (created_at desc, id) where archived_at is null;
      create index job_unfinished on job (planned_for, created_at desc) where archived_at is null and not (${FINISHED});
      create index job_handed_over on job ((summary->'handedOver'->>'at')) where archived_at is null and ${FINISHED};
      create index job_due on job ((least(summary->'followUp'->>'due', summary->>'calibrationDue'))) where archived_at is null and ${FINISHED};
      create index job_with_sheet on job (unit_id) where jsonb_typeof(summary->'handedOver') = 'object';
      create index unit_oldest on unit (created_at, id) where archived_at is null;
      create index site_by_name on site (name, id) where archived_at is null;
    `);
    // A database of somebody else's may not have the extension: it searches as before then, row by row.
    this.addSql(`
      do $$
      begin
        create extension if not exists pg_trgm;
        create index job_words on job using gin (title gin_trgm_ops);
        create index unit_words on unit using gin ((name || E'\\n' || tag || E'\\n' || plate) gin_trgm_ops);
        create index site_words on site using gin ((name || E'\\n' || place || E'\\n' || customer || E'\\n' || contact) gin_trgm_ops);
        create index site_digits on site using gin ((regexp_replace(phone, '[^0-9]', '', 'g')) gin_trgm_ops);
      exception when insufficient_privilege or undefined_file or feature_not_supported then
        raise notice 'pg_trgm is not there: searches read every row';
      end $$;
    `);
  }

  override down(): void {
    this.addSql(`
      drop index if exists job_words, unit_words, site_words, site_digits;
      drop index job_newest, job_unfinished, job_handed_over, job_due, job_with_sheet, unit_oldest, site_by_name;
    `);
  }
}
