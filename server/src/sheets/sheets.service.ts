import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import type { PaperFor } from '@brine/core/record/handover';
import type { Repositories } from '../database/database.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { materialOf } from '../jobs/jobMaterial.ts';
import { shareForSheet } from '../shares/shares.service.ts';
import { mustFindJob } from '../jobs/jobs.service.ts';
import { unitView } from '../units/units.service.ts';
import type { SheetInput } from './sheets.tasks.ts';

/** How a sheet is wanted. */
export interface SheetWish {
  readonly for: PaperFor;
  readonly paper: 'A4' | 'LETTER';
  readonly type: 'small' | 'large';
  readonly reader: TemperatureUnit | null;
  /** Address that links begin with. */
  readonly address: string;
}

/** The leave-behind sheet of a job as a PDF, from its stream as it stands on the server. Computed and drawn in a thread. */
export async function sheetOf(
  services: Services,
  person: SignedIn,
  jobId: string,
  { for: whom, paper, type, reader, address }: SheetWish,
): Promise<{ readonly pdf: Uint8Array; readonly name: string }> {
  const input = await services.database.transaction(async (repositories) => {
    const { unitId } = await mustFindJob(repositories, jobId);
    const token = await shareForSheet(repositories, services.now(), person.id, unitId);
    const link = token && `${address}/u/${token}`;
    return {
      ...(await sheetInputOf(repositories, jobId)),
      link,
      reader,
      otherwiseBy: person.name,
    };
  });
  const made = await services.threads.run('sheetPdf', { sheet: input, for: whom, paper, type });
  if (!made) throw new AppError('badInput', 'No new control is chosen on this job yet; choose it in Survey');
  return made;
}

/** Gathers what a job's sheet is made of, without a link and for the display's own scale. */
export async function sheetInputOf(repositories: Repositories, jobId: string): Promise<SheetInput> {
  const job = await mustFindJob(repositories, jobId);
  const unit = await unitView(repositories, job.unitId);
  return {
    material: await materialOf(repositories, jobId, unit.name),
    unit: { name: unit.name, tag: unit.tag, plate: unit.plate },
    site: unit.siteName,
    openedAt: job.createdAt.toISOString(),
    link: null,
    otherwiseBy: '',
    reader: null,
  };
}
