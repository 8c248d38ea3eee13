import type { EntityManager } from '@mikro-orm/postgresql';
import type { EntityName, RequiredEntityData } from '@mikro-orm/core';

/** Persists a new row and returns it. Flushed at once, so that a broken constraint is told at the place that caused it. */
export async function insert<Entity extends object>(
  em: EntityManager,
  entity: EntityName<Entity>,
  data: RequiredEntityData<Entity>,
): Promise<Entity> {
  const row = em.create(entity, data);
  await em.persist(row).flush();
  return row;
}

/** The ids of rows, in their order. */
export const idsOf = (rows: readonly { readonly id: string }[]): string[] => rows.map(({ id }) => id);
