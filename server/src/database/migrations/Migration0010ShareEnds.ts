import { Migration } from '@mikro-orm/migrations';

/**
 * Links to the page of a unit are kept as hashes and have an end. A unit may have several, since a hash cannot be printed again: each sheet carries one of its
 * own. Those that were out before go on for three years.
 */
export class Migration0010ShareEnds extends Migration {
  override up(): void {
    this.addSql(`
      drop index share_one_open;
      alter table share add column id uuid not null default gen_random_uuid();
      alter table share add column token_hash varchar(64);
      update share set token_hash = encode(sha256(convert_to(token, 'UTF8')), 'hex');
      alter table share alter column token_hash set not null;
      alter table share drop constraint share_pkey;
      alter table share drop column token;
      alter table share add primary key (id);
      create unique index share_token_hash_unique on share (token_hash);
      alter table share add column ends_at timestamptz not null default now() + interval '3 years';
      create index share_unit_id_index on share (unit_id) where revoked_at is null;
    `);
  }

  override down(): void {
    // A link cannot be made from its hash: going back, those that are out end.
    this.addSql(`
      delete from share;
      drop index share_unit_id_index;
      alter table share drop column id, drop column token_hash, drop column ends_at;
      alter table share add column token varchar(40) primary key;
      create unique index share_one_open on share (unit_id) where revoked_at is null;
    `);
  }
}
