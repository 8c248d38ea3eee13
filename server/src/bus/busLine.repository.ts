import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { busLineEntity, type StoredBusLine } from './busLine.entity.ts';

/** Work that has not said for so long that it lives has lost its line, s. */
const HELD_FOR_S = 5;

/** Whoever waits says so more often than this, s. */
const WANTED_FOR_S = 1;

export function busLineRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(busLineEntity, { id }),
    ofSite: (siteId: string) => em.find(busLineEntity, { siteId }, { orderBy: { name: 'asc', id: 'asc' } }),
    create: (line: Omit<StoredBusLine, 'heldBy' | 'heldUntil' | 'wantedAt'>) =>
      insert(em, busLineEntity, { ...line, heldBy: null, heldUntil: null, wantedAt: null }),
    save: () => em.flush(),
    /** Takes a line for a piece of work, or says again that it has it; false where it is shut, or another has it. One owner a line, whatever the number of servers. */
    async hold(id: string, work: string): Promise<boolean> {
      const rows = await em.execute<unknown[]>(
        `update bus_line set held_by = ?, held_until = now() + make_interval(secs => ?)
          where id = ? and open and (held_by is null or held_by = ? or held_until < now()) returning id`,
        [work, HELD_FOR_S, id, work],
      );
      return rows.length > 0;
    },
    /** Says that something waits for it: what follows there gives way. */
    async want(id: string): Promise<void> {
      await em.execute('update bus_line set wanted_at = now() where id = ?', [id]);
    },
    async isWanted(id: string): Promise<boolean> {
      const rows = await em.execute<unknown[]>(
        'select 1 from bus_line where id = ? and wanted_at > now() - make_interval(secs => ?)',
        [id, WANTED_FOR_S],
      );
      return rows.length > 0;
    },
    async letGo(id: string, work: string): Promise<void> {
      await em.execute(`update bus_line set held_by = null, held_until = null where id = ? and held_by = ?`, [
        id,
        work,
      ]);
    },
  };
}
