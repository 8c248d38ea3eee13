import type { Unit as UnitView } from '@brine/contract/routes';
import { randomUUID } from 'node:crypto';
import type { Repositories } from '../database/database.ts';
import type { Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { MOST_LISTED, mustFindSite } from '../sites/sites.service.ts';
import type { Unit } from './unit.entity.ts';

export function listUnits(
  services: Services,
  search: string,
  siteId: string | null,
  archived: boolean,
): Promise<readonly UnitView[]> {
  return services.database.transaction(async (repositories) => {
    const units = await repositories.units.search(search, siteId, archived, MOST_LISTED);
    return viewsOf(repositories, units);
  });
}

export function readUnit(services: Services, id: string): Promise<UnitView> {
  return services.database.transaction(
    async (repositories) => (await viewsOf(repositories, [await mustFindUnit(repositories, id)]))[0]!,
  );
}

export function createUnit(
  services: Services,
  unit: { readonly siteId: string; readonly name: string; readonly tag: string; readonly plate: string },
): Promise<UnitView> {
  return services.database.transaction(async (repositories) => {
    await mustFindSite(repositories, unit.siteId);
    const created = await repositories.units.create({
      id: randomUUID(),
      ...unit,
      archivedAt: null,
      createdAt: services.now(),
    });
    return (await viewsOf(repositories, [created]))[0]!;
  });
}

export function changeUnit(
  services: Services,
  id: string,
  change: {
    readonly name?: string | undefined;
    readonly tag?: string | undefined;
    readonly plate?: string | undefined;
    readonly archived?: boolean | undefined;
    readonly version: number;
  },
): Promise<UnitView> {
  return services.database.transaction(async (repositories) => {
    const unit = await mustFindUnit(repositories, id);
    if (unit.version !== change.version)
      throw new AppError('conflict', `${unit.name} was changed by somebody else meanwhile; look again`);
    if (change.name !== undefined) unit.name = change.name;
    if (change.tag !== undefined) unit.tag = change.tag;
    if (change.plate !== undefined) unit.plate = change.plate;
    if (change.archived !== undefined)
      unit.archivedAt = change.archived ? (unit.archivedAt ?? services.now()) : null;
    await repositories.units.save();
    return (await viewsOf(repositories, [unit]))[0]!;
  });
}

export async function mustFindUnit(repositories: Repositories, id: string): Promise<Unit> {
  const unit = await repositories.units.byId(id);
  if (!unit) throw new AppError('notFound', 'No such unit');
  return unit;
}

export async function viewsOf(
  repositories: Repositories,
  units: readonly Unit[],
): Promise<readonly UnitView[]> {
  const sites = await repositories.sites.byIds([...new Set(units.map((u) => u.siteId))]);
  const names = new Map(sites.map((site) => [site.id, site.name]));
  return units.map((u) => ({
    id: u.id,
    siteId: u.siteId,
    siteName: names.get(u.siteId) ?? '',
    name: u.name,
    tag: u.tag,
    plate: u.plate,
    archived: u.archivedAt !== null,
    version: u.version,
  }));
}
