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

/** A `like` pattern that finds text typed by a person: its own wildcards are taken literally. */
export function containing(text: string): string {
  return `%${text.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;
}

/** SQL of the columns as one text, a line each, to be searched in one comparison: what a person types in a field has no line break. */
export const holding = (columns: readonly string[]): string => `concat_ws(E'\\n', ${columns.join(', ')})`;
