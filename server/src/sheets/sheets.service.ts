import { leaveBehindSheet, type LeaveBehindSheet } from '@brine/core/handover';
import { plateLines, standing } from '@brine/core/jobs';
import { theCompany } from '../company/company.service.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { mustFindJob } from '../jobs/jobs.service.ts';
import { programOfJob } from '../jobs/program.service.ts';
import { namesOf } from '../people/people.service.ts';
import { mustFindUnit, viewsOf } from '../units/units.service.ts';

/** The leave-behind sheet of a job, from its stream as it stands on the server. */
export function sheetOf(services: Services, person: SignedIn, jobId: string): Promise<LeaveBehindSheet> {
  return services.database.transaction(async (repositories) => {
    const job = await mustFindJob(repositories, jobId);
    const unit = (await viewsOf(repositories, [await mustFindUnit(repositories, job.unitId)]))[0]!;
    const company = await theCompany(repositories);
    const { stored, state, program, pin, control } = await programOfJob(repositories, jobId, unit.name);
    if (!pin || !control)
      throw new AppError('badInput', 'No new control is chosen on this job yet; choose it in Survey');
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
