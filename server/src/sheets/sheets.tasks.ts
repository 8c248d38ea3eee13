import type { SharedPage } from '@brine/contract/routes';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import { leaveBehindSheet, sharedPage, type LeaveBehindSheet } from '@brine/core/record/handover';
import { judgement } from '@brine/core/judgement/verdict';
import { judgementInput, plateLines, provingOf, wiringOf } from '@brine/core/record/job';
import { standing } from '@brine/core/record/fold';
import type { JobMaterial } from '../jobs/jobMaterial.ts';
import { jobProgramOf } from '../jobs/jobProgram.ts';
import { renderSheet } from './pdf.ts';

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
  paper,
  type,
}: {
  readonly sheet: SheetInput;
  readonly paper: 'A4' | 'LETTER';
  readonly type: 'small' | 'large';
}): Promise<{ readonly pdf: Uint8Array; readonly name: string } | null> {
  const sheet = sheetFrom(input);
  if (!sheet) return null;
  const name = `${sheet.unit} ${sheet.date}`.replace(/[^\w. -]+/g, '').trim() || 'sheet';
  return { pdf: await renderSheet(sheet, paper, type), name: `${name}.pdf` };
}

/** What the unit's page shows of a sheet; null where no new control is chosen. */
export function sharedPageOf(input: SheetInput): SharedPage | null {
  const sheet = sheetFrom(input);
  return sheet && sharedPage(sheet);
}

function sheetFrom(input: SheetInput): LeaveBehindSheet | null {
  const { material, unit } = input;
  const { entries, state, program, pin, control } = jobProgramOf(material);
  if (!pin || !control) return null;
  const keyedBy = [...new Set(entries.filter((e) => e.body.kind === 'keyed').map((e) => e.author))];
  const handed = standing(state, 'handedOver', 'handedOver');
  const signed = standing(state, 'signOff', 'signOff');
  const wiring = wiringOf(state, program.unit, control);
  const reader = input.reader ?? program.display?.unit ?? 'degC';
  const asked = judgementInput(program, control, reader);
  const setBy = keyedBy.map((id) => material.names[id] ?? '').filter(Boolean);
  return leaveBehindSheet({
    unit: [unit.tag, unit.name].filter(Boolean).join(' · '),
    site: input.site,
    company: material.company,
    control,
    controlVersion: pin.version,
    plate: plateLines(unit.plate, state),
    by: setBy.join(', ') || input.otherwiseBy,
    date: (entries.at(-1)?.receivedAt ?? input.openedAt).slice(0, 10),
    watch: handed?.watch ?? '',
    program,
    ...(asked && { findings: judgement(asked).findings }),
    wiring,
    proving: provingOf(state, program, wiring, control, null, reader),
    keypadLocked: standing(state, 'keypadLocked', 'keypadLocked')?.locked ?? null,
    link: input.link,
    signOff: signed && signed.name !== '' ? { name: signed.name, strokes: signed.strokes } : null,
    reader,
  });
}
