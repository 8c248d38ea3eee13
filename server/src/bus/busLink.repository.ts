import type { EntityManager } from '@mikro-orm/postgresql';
import type { LinkAnswer, LinkCall } from '@brine/contract/routes';
import { insert } from '../database/insert.ts';
import { busLinkEntity, type StoredBusLink } from './busLink.entity.ts';

/** Calls that are handed out at once. */
const MOST_CALLS = 50;
/** A call that waited longer was given up by who asked, perhaps with its server: nothing is written late, when nobody stands at the unit any more, s. */
const STALE_S = 8;

export function busLinkRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(busLinkEntity, { id }),
    ofSite: (siteId: string) =>
      em.find(busLinkEntity, { siteId, endedAt: null }, { orderBy: { name: 'asc', id: 'asc' } }),
    byHash: (tokenHash: string) => em.findOne(busLinkEntity, { tokenHash, endedAt: null }),
    create: (link: Omit<StoredBusLink, 'seenAt' | 'endedAt'>) =>
      insert(em, busLinkEntity, { ...link, seenAt: null, endedAt: null }),
    save: () => em.flush(),
    async seen(id: string): Promise<void> {
      await em.execute('update bus_link set seen_at = now() where id = ?', [id]);
    },

    /** Asks something of a link. */
    async ask(link: string, call: LinkCall): Promise<void> {
      await em.execute('insert into bus_call (id, link_id, call) values (?, ?, ?::jsonb)', [
        call.id,
        link,
        JSON.stringify(call),
      ]);
    },
    /** What waits for a link, given to it once. */
    async take(link: string): Promise<readonly LinkCall[]> {
      const rows = await em.execute<{ call: LinkCall }[]>(
        `update bus_call set given_at = now() where id in (
           select id from bus_call where link_id = ? and given_at is null and asked_at > now() - make_interval(secs => ?)
            order by asked_at limit ? for update skip locked
         ) returning call`,
        [link, STALE_S, MOST_CALLS],
      );
      return rows.map(({ call }) => call);
    },
    /** Keeps an answer to something this link was asked. */
    async answer(link: string, answer: LinkAnswer): Promise<void> {
      await em.execute('update bus_call set answer = ?::jsonb where id = ? and link_id = ?', [
        JSON.stringify(answer),
        answer.call,
        link,
      ]);
    },
    /** How far a call is; null where it is not there any more. */
    async stateOf(
      call: string,
    ): Promise<{ readonly given: boolean; readonly answer: LinkAnswer | null } | null> {
      const [row] = await em.execute<{ given: boolean; answer: LinkAnswer | null }[]>(
        'select given_at is not null as given, answer from bus_call where id = ?',
        [call],
      );
      return row ?? null;
    },
    /** Takes a call back; false where it was given already. */
    async takeBack(call: string): Promise<boolean> {
      const rows = await em.execute<unknown[]>(
        'delete from bus_call where id = ? and given_at is null returning id',
        [call],
      );
      return rows.length > 0;
    },
    /** Drops what a server that died left behind. */
    async dropCallsBefore(moment: Date): Promise<void> {
      await em.execute('delete from bus_call where asked_at < ?', [moment]);
    },
    async forget(call: string): Promise<void> {
      await em.execute('delete from bus_call where id = ?', [call]);
    },
  };
}
