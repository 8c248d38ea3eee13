import type { Means } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { archive, asFileName, type ArchiveFile } from '../work/archive.ts';
import type { WorkUnderWay } from '../work/kind.ts';
import { shareForSheet } from '../shares/shares.service.ts';
import { sheetInputOf } from './sheets.service.ts';

/** What sheets are asked for. */
export interface ManySheets {
  /** Null: of every site. */
  readonly site: string | null;
  readonly paper: 'A4' | 'LETTER';
  readonly type: 'small' | 'large';
  /** Address that links begin with. */
  readonly address: string;
}

/** Makes the sheet of each unit by its newest job that has chosen a control, one in the archive where there is no other, and packs them. */
export async function makeSheets(means: Means, work: WorkUnderWay): Promise<void> {
  const { database, threads } = means;
  const { site, paper, type, address } = work.subject as ManySheets;
  const units = await database.transaction((repositories) => repositories.units.withAnyJob(site));
  const sheetOf = async (unit: (typeof units)[number]): Promise<ArchiveFile | null> => {
    const jobs = await database.transaction((repositories) => repositories.jobs.idsOfUnit(unit.id));
    for (const jobId of jobs) {
      const sheet = await database.transaction(async (repositories) => {
        const token = await shareForSheet(repositories, means.now(), work.askedBy, unit.id);
        const link = token && `${address}/u/${token}`;
        return { ...(await sheetInputOf(repositories, jobId)), link };
      });
      const made = await threads.run('sheetPdf', { sheet, for: 'file', paper, type }, work.signal);
      if (made) return { name: `${asFileName(`${unit.site} ${unit.name}`)}.pdf`, content: made.pdf };
    }
    return null;
  };
  const made = await archive(means, work, units, sheetOf, 'sheets.zip');
  if (made === 0)
    throw new AppError(
      'badInput',
      'No unit here has a job with a new control yet; there is no sheet to make',
    );
}
