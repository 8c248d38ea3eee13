import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import { judgement } from '../../judgement/verdict/index.ts';
import type { PinnedDefinition } from '../entries/index.ts';
import { standing, type JobState } from '../fold/index.ts';
import {
  complaintOf,
  judgementInput,
  plateLines,
  provingOf,
  siteQuestionsOf,
  wiringOf,
  type Program,
} from '../job/index.ts';
import type { Finding } from '../../judgement/checks/index.ts';
import { decisionNames } from '../../judgement/complaints/index.ts';
import { inUnitOf } from '../inUnit/index.ts';
import { openWork } from '../openWork/index.ts';
import { leaveBehindSheet, type LeaveBehindSheet } from './sheet.ts';

/** For whom a paper of a job is: the people on site, or the file. */
export type PaperFor = 'site' | 'file';

/** What the sheet of a job is made of, on the server and on a device. */
export interface JobSheetInput {
  readonly state: JobState;
  readonly program: Program;
  readonly pin: PinnedDefinition;
  readonly control: ControllerDefinition;
  readonly unit: { readonly name: string; readonly tag: string; readonly plate: string };
  readonly site: string;
  readonly company: string;
  /** Whom to call; empty where nobody said. */
  readonly phone: string;
  /** The company’s mark as a data URL; null where it has none. */
  readonly logo: string | null;
  /** Names of those who keyed codes in. */
  readonly setBy: readonly string[];
  /** Who set it, where nobody keyed anything. */
  readonly otherwiseBy: string;
  /** The day it stands for, `2026-11-24`. */
  readonly date: string;
  /** Address of the unit's page, printed as a code; null prints none. */
  readonly link: string | null;
  readonly reader: TemperatureUnit | null;
  /** What the one judgement says, where somebody has asked it already. */
  readonly findings?: readonly Finding[];
}

/** The leave-behind sheet of a job as its stream stands, with what the judgement says of a day. Takes some tenths of a second. */
export function sheetOfJob(input: JobSheetInput): LeaveBehindSheet {
  const { state, program, control, unit } = input;
  const handed = standing(state, 'handedOver', 'handedOver');
  const signed = standing(state, 'signOff', 'signOff');
  const wiring = wiringOf(state, program.unit, control);
  const reader = input.reader ?? program.display?.unit ?? 'degC';
  const asked = judgementInput(program, control, reader);
  const findings =
    input.findings ?? (asked ? judgement({ ...asked, remedies: false }).findings : program.findings);
  const proving = provingOf(state, program, wiring, control, null, reader);
  const old = standing(state, 'control:old', 'control')?.definition ?? null;
  return leaveBehindSheet({
    unit: [unit.tag, unit.name].filter(Boolean).join(' · '),
    site: input.site,
    company: input.company,
    control,
    controlVersion: input.pin.version,
    plate: plateLines(unit.plate, state),
    by: input.setBy.filter(Boolean).join(', ') || input.otherwiseBy,
    date: input.date,
    // What the people on site are asked stands first: it has a time.
    watch: [...asksOf(state), handed?.watch ?? ''].filter(Boolean).join('\n'),
    program,
    inUnit: inUnitOf(state, program, control, { old, replacement: input.pin }),
    work: openWork({ state, program, wiring, proving, findings }),
    phone: input.phone,
    logo: input.logo,
    complaint: complaintOf(state),
    verdict: verdictOf(state),
    findings,
    wiring,
    proving,
    keypadLocked: standing(state, 'keypadLocked', 'keypadLocked')?.locked ?? null,
    link: input.link,
    signOff: signed && signed.name !== '' ? { name: signed.name, strokes: signed.strokes } : null,
    reader,
  });
}

/** What the people on site are asked and have not answered. */
const asksOf = (state: JobState): readonly string[] =>
  siteQuestionsOf(state).flatMap(({ words, answer }) => (answer === null ? [words] : []));

function verdictOf(state: JobState): string {
  const verdict = standing(state, 'verdict', 'verdict');
  return verdict?.decision ? [decisionNames[verdict.decision], verdict.words].filter(Boolean).join('. ') : '';
}

/** A name for the file of a sheet. */
export const sheetFileName = (sheet: LeaveBehindSheet, whom: PaperFor = 'file'): string =>
  `${`${sheet.unit} ${sheet.date} ${whom === 'site' ? 'for the site' : 'for the file'}`.replace(/[^\w. -]+/g, '').trim() || 'sheet'}.pdf`;
