import { createWriteStream } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { once } from 'node:events';
import type { ReportPeriod, UnitReport } from '@brine/core/record/report';
import { theCompany } from '../company/company.service.ts';
import type { Means } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import type { StoredLog } from '../logs/log.entity.ts';
import { sheetInputOf } from '../sheets/sheets.service.ts';
import { BACKGROUND_THREADS } from '../threads/threads.ts';
import { asFileName } from '../work/archive.ts';
import { inOwnFolder } from '../work/inOwnFolder.ts';
import { keepFile } from '../work/keepFile.ts';
import { NotOurs, type WorkUnderWay } from '../work/kind.ts';
import { sideBySide } from '../work/sideBySide.ts';
import type { ReportJob } from './report.tasks.ts';

/** What a report is asked for. */
export interface ReportWish extends ReportPeriod {
  /** Null: of every site. */
  readonly site: string | null;
  readonly format: 'pdf' | 'xlsx';
  readonly paper: 'A4' | 'LETTER';
}

/** Makes the report for a customer: each unit in a thread, then all of them on paper or as tables. */
export async function makeReport(means: Means, work: WorkUnderWay): Promise<void> {
  const { database, threads } = means;
  const wish = work.subject as ReportWish;
  const { company, units, of } = await database.transaction(async (repositories) => ({
    company: await theCompany(repositories),
    units: await repositories.units.withAnyJob(wish.site),
    of: wish.site === null ? 'Every site' : ((await repositories.sites.byId(wish.site))?.name ?? ''),
  }));
  if (units.length === 0)
    throw new AppError('badInput', 'No unit here has a job yet; there is nothing to report');
  const made = means.now().toISOString().slice(0, 10);
  await inOwnFolder(async (folder) => {
    const reports: UnitReport[] = [];
    let done = 0;
    await sideBySide(BACKGROUND_THREADS, units, work.signal, async ({ id }, at) => {
      const jobs = await jobsOf(means, id, folder);
      const period = { from: wish.from, to: wish.to };
      const reader = company.displayUnit === 'fahrenheit' ? ('degF' as const) : ('degC' as const);
      reports[at] = await threads.run('unitReport', { jobs, period, today: made, reader }, work.signal);
      done += 1;
      const ours = await database.transaction((repositories) =>
        repositories.work.progress(work.id, work.runner, done, units.length),
      );
      if (!ours) throw new NotOurs();
    });
    const report = {
      company: company.name,
      phone: company.phone,
      logo: company.logo ?? null,
      of,
      period: { from: wish.from, to: wish.to },
      made,
      units: reports,
    };
    const { format, paper } = wish;
    const bytes = await threads.run('reportFile', { report, format, paper }, work.signal);
    const path = join(folder, 'report');
    await writeFile(path, bytes, { mode: 0o600 });
    await keepFile(means, work, path, `${asFileName(`${of} ${wish.from} to ${wish.to}`)}.${format}`);
  });
}

/** The jobs of a unit, newest first, with the air of their logs in files. */
async function jobsOf(means: Means, unitId: string, folder: string): Promise<readonly ReportJob[]> {
  const { database } = means;
  const found: ReportJob[] = [];
  for (const job of await database.transaction((repositories) => repositories.jobs.ofUnit(unitId))) {
    const { sheet, logs } = await database.transaction(async (repositories) => ({
      sheet: await sheetInputOf(repositories, job.id),
      logs: (await repositories.logs.ofJob(job.id)).filter(({ columns }) => columns.includes('air')),
    }));
    for (const log of logs) await writeAir(means, log, join(folder, log.id));
    found.push({
      id: job.id,
      title: job.title,
      sheet,
      logs: logs.map(({ id, name, clock, createdAt }) => ({
        name,
        clock: clock.kind,
        zone: clock.kind === 'true' ? clock.zone : null,
        taken: createdAt.toISOString().slice(0, 10),
        path: join(folder, id),
      })),
    });
  }
  return found;
}

/** The air of a log as lines of seconds and °C, in a file for the thread: a year of minutes is not handed over in memory. */
async function writeAir({ database }: Means, log: StoredLog, path: string): Promise<void> {
  const file = createWriteStream(path, { mode: 0o600 });
  await database.transaction((repositories) =>
    repositories.logs.write(log.id, 'extract(epoch from at)', ['air'], {}, async (text) => {
      if (!file.write(text)) await once(file, 'drain');
    }),
  );
  file.end();
  await once(file, 'close');
}
