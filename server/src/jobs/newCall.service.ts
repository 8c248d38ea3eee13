import type { Job as JobView } from '@brine/contract/routes';
import { randomUUID } from 'node:crypto';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { mustFindSite } from '../sites/sites.service.ts';
import { mustFindUnit } from '../units/units.service.ts';
import { carryOver } from './carryOver.ts';
import { jobView, mustBeAtWork, unplanned } from './jobs.service.ts';

/** What is known when somebody calls. */
export interface Call {
  readonly siteId: string | null;
  readonly site: Readonly<Record<'name' | 'place' | 'customer' | 'contact' | 'phone', string>>;
  readonly unitId: string | null;
  readonly unit: Readonly<Record<'name' | 'tag' | 'plate', string>>;
  readonly title: string;
  readonly assignedTo: string | null;
  readonly plannedFor: string | null;
}

/** Makes site, unit and job of a call, all or none: what is known already is used, the rest is new. */
export function takeCall(services: Services, person: SignedIn, call: Call): Promise<JobView> {
  const now = services.now();
  return services.database.transaction(async (repositories) => {
    if (call.assignedTo !== null) await mustBeAtWork(repositories, call.assignedTo);
    const unit = call.unitId !== null ? await mustFindUnit(repositories, call.unitId) : await newUnit();
    if (unit.archivedAt !== null)
      throw new AppError('conflict', `${unit.name} is archived; restore it first`);
    const job = await repositories.jobs.create({
      id: randomUUID(),
      unitId: unit.id,
      title: call.title,
      lastSequence: 0,
      createdBy: person.id,
      createdAt: now,
      archivedAt: null,
      ...unplanned,
      assignedTo: call.assignedTo,
      plannedFor: call.plannedFor,
    });
    await carryOver(repositories, job, now);
    return jobView(repositories, job.id);

    async function newUnit() {
      if (call.unit.name.trim() === '') throw new AppError('badInput', 'Unit: expected a name');
      const site = call.siteId !== null ? await mustFindSite(repositories, call.siteId) : await newSite();
      return repositories.units.create({
        id: randomUUID(),
        siteId: site.id,
        ...call.unit,
        archivedAt: null,
        createdAt: now,
      });
    }
    function newSite() {
      if (call.site.name.trim() === '') throw new AppError('badInput', 'Site: expected a name');
      return repositories.sites.create({
        id: randomUUID(),
        note: '',
        ...call.site,
        archivedAt: null,
        createdAt: now,
      });
    }
  });
}
