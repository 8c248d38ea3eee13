import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import { judgement } from '../../judgement/verdict/index.ts';
import type { PinnedDefinition } from '../entries/index.ts';
import { standing, type JobState } from '../fold/index.ts';
import { judgementInput, plateLines, provingOf, wiringOf, type Program } from '../job/index.ts';
import { leaveBehindSheet, type LeaveBehindSheet } from './sheet.ts';

/** What the sheet of a job is made of, on the server and on a device. */
export interface JobSheetInput {
  readonly state: JobState;
  readonly program: Program;
  readonly pin: PinnedDefinition;
  readonly control: ControllerDefinition;
  readonly unit: { readonly name: string; readonly tag: string; readonly plate: string };
  readonly site: string;
  readonly company: string;
  /** Names of those who keyed codes in. */
  readonly setBy: readonly string[];
  /** Who set it, where nobody keyed anything. */
  readonly otherwiseBy: string;
  /** The day it stands for, `2026-11-24`. */
  readonly date: string;
  /** Address of the unit's page, printed as a code; null prints none. */
  readonly link: string | null;
  readonly reader: TemperatureUnit | null;
}

/** The leave-behind sheet of a job as its stream stands, with what the judgement says of a day. Takes some tenths of a second. */
export function sheetOfJob(input: JobSheetInput): LeaveBehindSheet {
  const { state, program, control, unit } = input;
  const handed = standing(state, 'handedOver', 'handedOver');
  const signed = standing(state, 'signOff', 'signOff');
  const wiring = wiringOf(state, program.unit, control);
  const reader = input.reader ?? program.display?.unit ?? 'degC';
  const asked = judgementInput(program, control, reader);
  return leaveBehindSheet({
    unit: [unit.tag, unit.name].filter(Boolean).join(' · '),
    site: input.site,
    company: input.company,
    control,
    controlVersion: input.pin.version,
    plate: plateLines(unit.plate, state),
    by: input.setBy.filter(Boolean).join(', ') || input.otherwiseBy,
    date: input.date,
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

/** A name for the file of a sheet. */
export const sheetFileName = (sheet: LeaveBehindSheet): string =>
  `${`${sheet.unit} ${sheet.date}`.replace(/[^\w. -]+/g, '').trim() || 'sheet'}.pdf`;
