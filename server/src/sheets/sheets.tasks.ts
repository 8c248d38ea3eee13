import type { SharedPage } from '@brine/contract/routes';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import {
  sharedPage,
  sheetFileName,
  sheetOfJob,
  type LeaveBehindSheet,
  type PaperFor,
} from '@brine/core/record/handover';
import type { AcceptedEntry } from '@brine/core/record/entries';
import { printSheet } from '@brine/core/record/print';
import type { JobMaterial } from '../jobs/jobMaterial.ts';
import { jobProgramOf, type JobProgram } from '../jobs/jobProgram.ts';
import { print } from './pdf.ts';

/** What a leave-behind sheet is made of. */
export interface SheetInput {
  readonly material: JobMaterial;
  readonly unit: { readonly name: string; readonly tag: string; readonly plate: string };
  readonly site: string;
  /** When the job was opened, ISO: the sheet's date where nothing was done yet. */
  readonly openedAt: string;
  /** Address of the unit's page, printed as a code; null prints none. */
  readonly link: string | null;
  /** Who set it, where nobody keyed anything. */
  readonly otherwiseBy: string;
  readonly reader: TemperatureUnit | null;
}

/** The sheet as a PDF with a name for its file; null where no new control is chosen. */
export async function sheetPdf({
  sheet: input,
  for: whom,
  paper,
  type,
}: {
  readonly sheet: SheetInput;
  readonly for: PaperFor;
  readonly paper: 'A4' | 'LETTER';
  readonly type: 'small' | 'large';
}): Promise<{ readonly pdf: Uint8Array; readonly name: string } | null> {
  const sheet = sheetFrom(input);
  return (
    sheet && {
      pdf: await printSheet(sheet, { for: whom, paper, type }, print),
      name: sheetFileName(sheet, whom),
    }
  );
}

/** What the unit's page shows of a sheet; null where no new control is chosen. */
export function sharedPageOf(input: SheetInput): SharedPage | null {
  const sheet = sheetFrom(input);
  return sheet && sharedPage(sheet);
}

/** The sheet of a job as data; null where no new control is chosen. */
export function sheetFrom(
  input: SheetInput,
  computed: JobProgram = jobProgramOf(input.material),
): LeaveBehindSheet | null {
  const { material, unit, site, otherwiseBy, link, reader } = input;
  const { entries, state, program, pin, control } = computed;
  if (!pin || !control) return null;
  const keyedBy = [...new Set(entries.filter((e) => e.body.kind === 'keyed').map((e) => e.author))];
  return sheetOfJob({
    state,
    program,
    pin,
    control,
    unit,
    site,
    company: material.company,
    phone: material.phone,
    logo: material.logo,
    setBy: keyedBy.map((id) => material.names[id] ?? ''),
    otherwiseBy,
    date: dayOf(entries) ?? input.openedAt.slice(0, 10),
    link,
    reader,
  });
}

/** The day that the papers stand for: of the last value seen in the unit, or of the last hand-over; null before either. */
function dayOf(entries: readonly AcceptedEntry[]): string | null {
  const last = entries.findLast(({ body }) => ['keyed', 'found', 'handedOver'].includes(body.kind));
  return last ? last.receivedAt.slice(0, 10) : null;
}
