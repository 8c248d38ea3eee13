import { raw } from '@mikro-orm/core';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { WorkKind } from '@brine/contract/routes';
import { insert } from '../database/insert.ts';
import { workEntity, type StoredWork } from './work.entity.ts';

/** A runner that has not been heard of for so long is taken for dead: its work is taken up by another. */
export const DEAD_AFTER_S = 10;
/** Work that waits for so long was forgotten by the queue, perhaps in a restore: it is put there again. */
const FORGOTTEN_AFTER_S = 5;

/** What a runner must know of work it has claimed. */
export interface ClaimedWork {
  readonly id: string;
  readonly kind: WorkKind;
  readonly subject: unknown;
  readonly askedBy: string;
  /** Which try this is since the last step forward, 1 the first. */
  readonly tries: number;
}

export function workRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(workEntity, { id }),
    /** The row as it stands now, whatever was read of it before. */
    again: (work: StoredWork) => em.refresh(work).then((row) => row ?? work),
    newest: (askedBy: string | null, limit: number) =>
      em.find(workEntity, askedBy === null ? {} : { askedBy }, { orderBy: { askedAt: 'desc' }, limit }),
    create: (work: Pick<StoredWork, 'id' | 'kind' | 'title' | 'subject' | 'askedBy' | 'askedAt'>) =>
      insert(em, workEntity, work as StoredWork),

    /** Takes up work that waits, or whose runner is dead; null where another has it or it has ended. */
    async claim(id: string, runner: string): Promise<ClaimedWork | null> {
      const [row] = await em.execute<ClaimedWork[]>(
        `update work set state = 'running', runner = ?, alive_at = now(), tries = tries + 1
          where id = ? and (state = 'waiting' or (state = 'running' and alive_at < now() - make_interval(secs => ?)))
          returning id, kind, subject, asked_by as "askedBy", tries`,
        [runner, id, DEAD_AFTER_S],
      );
      return row ?? null;
    },
    /** Says that its runner lives; false where it is no longer this runner's, since it was stopped or taken up by another. */
    async renew(id: string, runner: string): Promise<boolean> {
      const rows = await em.execute<unknown[]>(
        `update work set alive_at = now() where id = ? and runner = ? and state = 'running' returning id`,
        [id, runner],
      );
      return rows.length > 0;
    },
    /** How far it is; the same as {@link renew} otherwise. */
    async progress(id: string, runner: string, done: number, total: number): Promise<boolean> {
      const rows = await em.execute<unknown[]>(
        `update work set alive_at = now(), tries = case when done < ? then 1 else tries end, done = ?, total = ?
          where id = ? and runner = ? and state = 'running' returning id`,
        [done, done, total, id, runner],
      );
      return rows.length > 0;
    },
    /** One more unit of it is done; how many that makes. Null where it is no longer this runner's. The row stays locked to the end of the transaction. */
    async count(id: string, runner: string): Promise<number | null> {
      const [row] = await em.execute<{ done: number }[]>(
        `update work set alive_at = now(), tries = 1, done = done + 1 where id = ? and runner = ? and state = 'running' returning done`,
        [id, runner],
      );
      return row?.done ?? null;
    },
    /** Ends this runner's work. */
    async end(
      id: string,
      runner: string,
      state: 'done' | 'failed',
      problem: string | null,
      now: Date,
    ): Promise<void> {
      await em.execute(
        `update work set state = ?, problem = ?, ended_at = ?, runner = null where id = ? and runner = ? and state = 'running'`,
        [state, problem, now, id, runner],
      );
    },
    /** Gives this runner's work back, to be taken up by another or at the next try. `counted`: the try counts. */
    async giveBack(id: string, runner: string, counted: boolean): Promise<void> {
      await em.execute(
        `update work set state = 'waiting', runner = null, tries = tries - ? where id = ? and runner = ? and state = 'running'`,
        [counted ? 0 : 1, id, runner],
      );
    },
    async stop(id: string, now: Date): Promise<void> {
      await em.execute(
        `update work set state = 'stopped', ended_at = ?, runner = null where id = ? and state in ('waiting', 'running')`,
        [now, id],
      );
    },
    /** Followings of a job, the newest first. */
    follows: (job: string, limit: number) =>
      em.find(
        workEntity,
        { kind: 'busFollow', [raw(`subject->>'job'`)]: job },
        { orderBy: { askedAt: 'desc' }, limit },
      ),
    /** Work that nobody does: whose runner is dead, or that the queue has forgotten. */
    async orphans(): Promise<readonly Pick<ClaimedWork, 'id' | 'kind'>[]> {
      return em.execute<Pick<ClaimedWork, 'id' | 'kind'>[]>(
        `select id, kind from work where (state = 'running' and alive_at < now() - make_interval(secs => ?))
                                or (state = 'waiting' and alive_at < now() - make_interval(secs => ?))`,
        [DEAD_AFTER_S, FORGOTTEN_AFTER_S],
      );
    },
    async dropBefore(time: Date): Promise<void> {
      await em.execute('delete from work where ended_at < ?', [time]);
    },

    /** The file it made, piece by piece. */
    async addPiece(id: string, position: number, bytes: Uint8Array): Promise<void> {
      await em.execute(
        'insert into work_piece (work_id, position, bytes) values (?, ?, ?) on conflict (work_id, position) do update set bytes = excluded.bytes',
        [id, position, Buffer.from(bytes)],
      );
    },
    async nameFile(id: string, name: string, pieces: number): Promise<void> {
      await em.execute('delete from work_piece where work_id = ? and position >= ?', [id, pieces]);
      await em.execute('update work set file_name = ? where id = ?', [name, id]);
    },
    async piece(id: string, position: number): Promise<Uint8Array | null> {
      const [row] = await em.execute<{ bytes: Uint8Array }[]>(
        'select bytes from work_piece where work_id = ? and position = ?',
        [id, position],
      );
      return row?.bytes ?? null;
    },
  };
}
