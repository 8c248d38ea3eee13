import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { companyEntity, type Company } from './company.entity.ts';

export function companyRepository(em: EntityManager) {
  return {
    find: async () => (await em.findAll(companyEntity, { limit: 1 }))[0] ?? null,
    create: (company: Omit<Company, 'version'>) => insert(em, companyEntity, company),
    save: () => em.flush(),
  };
}
