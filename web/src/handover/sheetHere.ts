import type { Finding } from '@brine/core/judgement/checks';
import { sheetFileName, sheetOfJob } from '@brine/core/record/handover';
import { printSheet, type SheetWish } from '@brine/core/record/print';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import { localDate } from '../shared/display/localTime.ts';
import type { OpenJob } from '../shared/job/useJob.ts';

/** Who prints, for whom. */
export interface Printing {
  readonly company: string;
  readonly phone: string;
  readonly logo: string | null;
  readonly person: string;
  readonly reader: TemperatureUnit;
  /** What the judgement says, as the page shows it. */
  readonly findings: readonly Finding[];
}

/**
 * A paper of a job made on this device, with what still waits here: the same as the server makes, but without the code of the unit's public page,
 * which only the server gives out.
 *
 * @throws Error where no new control is chosen, or the fonts are not on this device
 */
export async function sheetHere(
  job: OpenJob,
  wish: SheetWish,
  by: Printing,
): Promise<{ readonly name: string; readonly pdf: Blob }> {
  const [opened, pin, control] = [job.job.value, job.newPin.value, job.replacement.value];
  if (!opened || !pin || !control)
    throw new Error('No new control is chosen on this job yet; choose it in Survey.');
  const written = [...job.state.value.registers.values()].map((heads) => heads.at(-1)!.entry);
  const keyed = written.filter((entry) => entry.body.kind === 'keyed');
  const sheet = sheetOfJob({
    state: job.state.value,
    program: job.program.value,
    pin,
    control,
    unit: opened.unit,
    site: opened.unit.siteName,
    company: by.company,
    phone: by.phone,
    logo: by.logo,
    setBy: [...new Set(keyed.map((entry) => job.nameOf(entry.author)))],
    otherwiseBy: by.person,
    date: localDate(new Date().toISOString()),
    link: null,
    reader: by.reader,
    findings: by.findings,
  });
  const { devicePrinter } = await import('../shared/pdf/printer.ts');
  const bytes = await printSheet(sheet, wish, await devicePrinter());
  return {
    name: sheetFileName(sheet, wish.for),
    pdf: new Blob([bytes as BlobPart], { type: 'application/pdf' }),
  };
}
