import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { companyEntity, type Company } from './company.entity.ts';

type NewCompany = Pick<Company, 'id' | 'name' | 'phone' | 'schools' | 'displayUnit'>;

export function companyRepository(em: EntityManager) {
  return {
    find: async () => (await em.findAll(companyEntity, { limit: 1 }))[0] ?? null,
    create: (company: NewCompany) => insert(em, companyEntity, company),
    /** Makes the company where there is none yet; two that do it at once make one. */
    async makeOnce({ id, name, schools, displayUnit }: NewCompany): Promise<void> {
      await em.execute(
        'insert into company (id, name, schools, display_unit) values (?, ?, ?::jsonb, ?) on conflict do nothing',
        [id, name, JSON.stringify(schools), displayUnit],
      );
    },
    save: () => em.flush(),
  };
}
