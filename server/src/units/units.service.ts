import { UNITS_A_PAGE, type Unit as UnitView } from '@brine/contract/routes';
import { randomUUID } from 'node:crypto';
import type { Repositories } from '../database/database.ts';
import type { Reads } from '../database/reads.ts';
import type { Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { Written, writtenAnswer, type WrittenAnswer } from '../http/written.ts';
import { mustFindSite } from '../sites/sites.service.ts';
import type { Unit } from './unit.entity.ts';

/** Units that are looked for, a page of them, where the next one starts, and how many there are. */
export async function listUnits(
  services: Services,
  wish: {
    readonly search: string;
    readonly site?: string | undefined;
    readonly archived: boolean;
    readonly after?: string | undefined;
  },
): Promise<WrittenAnswer> {
  const { units } = services.database.reads;
  const { ids, next, total } = await units.search({
    text: wish.search,
    siteId: wish.site ?? null,
    archived: wish.archived,
    after: wish.after ?? null,
    limit: UNITS_A_PAGE,
  });
  return writtenAnswer({ units: new Written(await units.viewsText(ids)), next, total });
}

export function readUnit(services: Services, id: string): Promise<UnitView> {
  return unitView(services.database.reads, id);
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
    return unitView(repositories, created.id);
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
    return unitView(repositories, unit.id);
  });
}

export async function mustFindUnit(repositories: Repositories, id: string): Promise<Unit> {
  const unit = await repositories.units.byId(id);
  if (!unit) throw new AppError('notFound', 'No such unit');
  return unit;
}

/** A unit as pages see it; what was changed has to be written before. */
export async function unitView({ units }: Pick<Reads, 'units'>, id: string): Promise<UnitView> {
  const view = await units.view(id);
  if (!view) throw new AppError('notFound', 'No such unit');
  return view;
}
