import { leaveBehindSheet, type LeaveBehindSheet } from '@brine/core/handover';
import { fold, plateLines, programOf, standing, type PinnedDefinition } from '@brine/core/jobs';
import type { ControllerDefinition } from '@brine/core/controllers';
import { theCompany } from '../company/company.service.ts';
import type { Repositories } from '../database/database.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { acceptedOf } from '../jobs/entries.service.ts';
import { mustFindJob } from '../jobs/jobs.service.ts';
import { namesOf } from '../people/people.service.ts';
import { mustFindUnit, viewsOf } from '../units/units.service.ts';

/** The leave-behind sheet of a job, from its stream as it stands on the server. */
export function sheetOf(services: Services, person: SignedIn, jobId: string): Promise<LeaveBehindSheet> {
  return services.database.transaction(async (repositories) => {
    const job = await mustFindJob(repositories, jobId);
    const unit = (await viewsOf(repositories, [await mustFindUnit(repositories, job.unitId)]))[0]!;
    const company = await theCompany(repositories);
    const stored = await repositories.entries.after(jobId, 0, 100_000);
    const state = fold(stored.map(acceptedOf));
    const pin = standing(state, 'control:new', 'control')?.definition;
    const control = await definitionOf(repositories, pin);
    if (!pin || !control)
      throw new AppError('badInput', 'No new control is chosen on this job yet; choose it in Survey');
    const program = programOf({
      state,
      name: unit.name,
      old: await definitionOf(repositories, standing(state, 'control:old', 'control')?.definition),
      replacement: control,
      companyDefaults: company.schools,
    });
    const keyedBy = [...new Set(stored.filter((e) => e.body.kind === 'keyed').map((e) => e.authorId))];
    const names = await namesOf(repositories, keyedBy);
    const handed = standing(state, 'handedOver', 'handedOver');
    return leaveBehindSheet({
      unit: [unit.tag, unit.name].filter(Boolean).join(' · '),
      site: unit.siteName,
      company: company.name,
      control,
      controlVersion: pin.version,
      plate: plateLines(unit.plate, state),
      by:
        keyedBy
          .map((id) => names[id] ?? '')
          .filter(Boolean)
          .join(', ') || person.name,
      date: (stored.at(-1)?.receivedAt ?? job.createdAt).toISOString().slice(0, 10),
      watch: handed?.watch ?? '',
      program,
    });
  });
}

async function definitionOf(
  repositories: Repositories,
  pin: PinnedDefinition | null | undefined,
): Promise<ControllerDefinition | null> {
  return pin ? ((await repositories.controllers.byHash(pin.hash))?.data ?? null) : null;
}
