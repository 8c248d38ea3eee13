import { leaveBehindSheet, type LeaveBehindSheet } from '@brine/core/record/handover';
import { plateLines, provingOf, wiringOf } from '@brine/core/record/job';
import { standing } from '@brine/core/record/fold';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import { theCompany } from '../company/company.service.ts';
import type { Repositories } from '../database/database.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { mustFindJob } from '../jobs/jobs.service.ts';
import { programOfJob } from '../jobs/program.service.ts';
import { namesOf } from '../people/people.service.ts';
import { mustFindUnit, viewsOf } from '../units/units.service.ts';

/** How a sheet is wanted. */
export interface SheetWish {
  readonly reader?: TemperatureUnit;
  /** Address that links begin with; without one the sheet carries no code. */
  readonly address?: string;
}

/** The leave-behind sheet of a job, from its stream as it stands on the server. */
export function sheetOf(
  services: Services,
  person: SignedIn,
  jobId: string,
  wish: SheetWish = {},
): Promise<LeaveBehindSheet> {
  return services.database.transaction(async (repositories) => {
    const sheet = await sheetOn(repositories, services, jobId, wish, person.name);
    if (!sheet)
      throw new AppError('badInput', 'No new control is chosen on this job yet; choose it in Survey');
    return sheet;
  });
}

/** The same inside a transaction; null where no new control is chosen. */
export async function sheetOn(
  repositories: Repositories,
  _services: Services,
  jobId: string,
  wish: SheetWish,
  otherwiseBy: string | null,
): Promise<LeaveBehindSheet | null> {
  const job = await mustFindJob(repositories, jobId);
  const unit = (await viewsOf(repositories, [await mustFindUnit(repositories, job.unitId)]))[0]!;
  const company = await theCompany(repositories);
  const { stored, state, program, pin, control } = await programOfJob(repositories, jobId, unit.name);
  if (!pin || !control) return null;
  const keyedBy = [...new Set(stored.filter((e) => e.body.kind === 'keyed').map((e) => e.authorId))];
  const names = await namesOf(repositories, keyedBy);
  const handed = standing(state, 'handedOver', 'handedOver');
  const signed = standing(state, 'signOff', 'signOff');
  const share = wish.address === undefined ? null : await repositories.shares.openOf(job.unitId);
  const wiring = wiringOf(state, program.unit, control);
  const reader = wish.reader ?? program.display?.unit ?? 'degC';
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
        .join(', ') ||
      (otherwiseBy ?? ''),
    date: (stored.at(-1)?.receivedAt ?? job.createdAt).toISOString().slice(0, 10),
    watch: handed?.watch ?? '',
    program,
    wiring,
    proving: provingOf(state, program, wiring, control, null, reader),
    keypadLocked: standing(state, 'keypadLocked', 'keypadLocked')?.locked ?? null,
    link: share && `${wish.address}/u/${share.token}`,
    signOff: signed && signed.name !== '' ? { name: signed.name, strokes: signed.strokes } : null,
    reader,
  });
}
