import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { personEntity, type Person } from './person.entity.ts';

export function personRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(personEntity, { id }) as Promise<Person | null>,
    byLogin: (login: string) =>
      em.findOne(personEntity, { login: login.toLowerCase() }) as Promise<Person | null>,
    byIds: (ids: readonly string[]) => em.find(personEntity, { id: { $in: [...ids] } }) as Promise<Person[]>,
    all: () => em.find(personEntity, {}, { orderBy: { name: 'asc' } }) as Promise<Person[]>,
    countActiveLeads: () =>
      em.count(personEntity, { role: 'lead', disabledAt: null, passwordHash: { $ne: null } }),
    create: (person: Omit<Person, 'version'>) =>
      insert(em, personEntity, { ...person, login: person.login.toLowerCase() } as never),
    save: () => em.flush(),
  };
}
