import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { controllerEntity, type StoredController } from './controller.entity.ts';

export function controllerRepository(em: EntityManager) {
  return {
    byHash: (hash: string) => em.findOne(controllerEntity, { hash }),
    all: () =>
      em.find(controllerEntity, {}, { orderBy: { family: 'asc', createdAt: 'desc' } }) as Promise<
        StoredController[]
      >,
    create: (controller: StoredController) => insert(em, controllerEntity, controller),
  };
}
