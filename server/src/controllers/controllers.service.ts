import type { ControllerLine } from '@brine/contract/routes';
import { createHash } from 'node:crypto';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import type { PinnedDefinition } from '@brine/core/record/entries';
import { readController as checkController } from '@brine/core/controllers/panel';
import type { Repositories } from '../database/database.ts';
import type { Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import type { StoredController } from './controller.entity.ts';

/** The library, newest version of each family marked. */
export function listControllers(services: Services): Promise<readonly ControllerLine[]> {
  return services.database.transaction(async (repositories) => {
    const rows = await repositories.controllers.all();
    const seen = new Set<string>();
    return rows.map((row) => {
      const newest = !seen.has(row.definitionId);
      seen.add(row.definitionId);
      return { ...pinOf(row), summary: row.summary, parameters: row.data.parameters.length, newest };
    });
  });
}

/** One version of a definition by its hash. */
export function readController(
  services: Services,
  hash: string,
): Promise<{ readonly pin: PinnedDefinition; readonly definition: ControllerDefinition }> {
  return services.database.transaction(async (repositories) => {
    const row = await repositories.controllers.byHash(hash);
    if (!row) throw new AppError('notFound', 'No such version of a controller definition');
    return { pin: pinOf(row), definition: row.data };
  });
}

/** Takes a definition into the library after the same check as `brine controller check`. The same content twice is one version. */
export function importController(
  services: Services,
  data: unknown,
  addedBy: string,
): Promise<PinnedDefinition> {
  const read = checkController(data);
  if ('faults' in read)
    throw new AppError(
      'badInput',
      `The definition has ${read.faults.length} ${read.faults.length === 1 ? 'fault' : 'faults'}: ${read.faults[0]!.path}: ${read.faults[0]!.message}`,
      {
        problems: read.faults.map(({ path, message }) => ({ field: path, message })),
      },
    );
  return services.database.transaction((repositories) =>
    storeDefinition(repositories, read.definition, services.now(), addedBy),
  );
}

export async function storeDefinition(
  repositories: Repositories,
  definition: ControllerDefinition,
  now: Date,
  addedBy: string | null = null,
): Promise<PinnedDefinition> {
  const hash = definitionHash(definition);
  const known = await repositories.controllers.byHash(hash);
  const row =
    known ??
    (await repositories.controllers.create({
      hash,
      definitionId: definition.id,
      family: definition.family,
      summary: definition.summary ?? '',
      definitionVersion: definition.version ?? '1',
      data: definition,
      createdAt: now,
      addedBy,
    }));
  return pinOf(row);
}

/** SHA-256 of the definition with its keys in order, so that the same content has the same hash whoever wrote the file. */
export function definitionHash(definition: ControllerDefinition): string {
  return createHash('sha256').update(canonical(definition)).digest('hex');
}

function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (typeof value !== 'object' || value === null)
    return value === undefined ? 'null' : JSON.stringify(value);
  const entries = Object.entries(value)
    .filter(([, v]) => v !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  return `{${entries.map(([key, v]) => `${JSON.stringify(key)}:${canonical(v)}`).join(',')}}`;
}

function pinOf(row: StoredController): PinnedDefinition {
  return { id: row.definitionId, family: row.family, version: row.definitionVersion, hash: row.hash };
}
