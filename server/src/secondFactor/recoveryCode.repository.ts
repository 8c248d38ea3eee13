import type { EntityManager } from '@mikro-orm/postgresql';

export function recoveryCodeRepository(em: EntityManager) {
  return {
    /** Another set instead of the one before. */
    async replace(personId: string, hashes: readonly string[]): Promise<void> {
      await em.execute('delete from recovery_code where person_id = ?', [personId]);
      for (const hash of hashes)
        await em.execute('insert into recovery_code (hash, person_id) values (?, ?)', [hash, personId]);
    },
    /** Uses a code up; whether it was there and unused. One statement: of two at once one has it. */
    async use(personId: string, hash: string, now: Date): Promise<boolean> {
      const rows = await em.execute<{ hash: string }[]>(
        'update recovery_code set used_at = ? where hash = ? and person_id = ? and used_at is null returning hash',
        [now, hash, personId],
      );
      return rows.length > 0;
    },
    async left(personId: string): Promise<number> {
      const [row] = await em.execute<{ n: number }[]>(
        'select count(*)::int as n from recovery_code where person_id = ? and used_at is null',
        [personId],
      );
      return row?.n ?? 0;
    },
    endAllOf: (personId: string) => em.execute('delete from recovery_code where person_id = ?', [personId]),
  };
}
