import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { personEntity, type Person } from './person.entity.ts';

export function personRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(personEntity, { id }),
    byLogin: (login: string) => em.findOne(personEntity, { login: login.toLowerCase() }),
    byIds: (ids: readonly string[]) => em.find(personEntity, { id: { $in: [...ids] } }),
    all: () => em.find(personEntity, {}, { orderBy: { name: 'asc' } }),
    /** Until the transaction ends nobody else changes what belongs to this person alone. */
    lock: (id: string) => em.execute('select 1 from person where id = ? for no key update', [id]),
    /** The secret of a second factor and the step of its last code, as they stand now. */
    async secondOf(id: string): Promise<{ readonly secret: string; readonly step: number } | null> {
      const [row] = await em.execute<{ secret: string | null; step: number }[]>(
        'select second_secret as secret, second_step as step from person where id = ?',
        [id],
      );
      return row?.secret ? { secret: row.secret, step: row.step } : null;
    },
    /** Apart from the version: signing in is no edit of a person. */
    keepSecondStep: (id: string, step: number) =>
      em.execute('update person set second_step = ? where id = ?', [step, id]),
    lockLeads: () => em.execute(`select id from person where role = 'lead' order by id for update`),
    countActiveLeads: () =>
      em.count(personEntity, { role: 'lead', disabledAt: null, passwordHash: { $ne: null } }),
    create: (person: Omit<Person, 'version'>) =>
      insert(em, personEntity, { ...person, login: person.login.toLowerCase() }),
    save: () => em.flush(),
  };
}
