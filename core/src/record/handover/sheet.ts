import { inWords } from '../../foundation/sentences/index.ts';
import type {
  AlarmCode,
  CodeValue,
  ControllerDefinition,
  Parameter,
} from '../../controllers/definitions/index.ts';
import {
  panelOf,
  resolutionOf,
  printCode,
  sameCodeValue,
  shownUnitOf,
  type DisplayState,
} from '../../controllers/definitions/index.ts';
import type { Finding } from '../../judgement/checks/index.ts';
import type { InUnit, KnownCode } from '../inUnit/index.ts';
import type { JobWiring, Program, ProgramRow, Proving, RunTest } from '../job/index.ts';
import { byKind, countWords, type OpenWork } from '../openWork/index.ts';
import { plainWords } from './plainWords.ts';
import { meaningOfOption } from '../../controllers/definitions/index.ts';
import {
  dimensionOf,
  printFor,
  printNumber,
  printQuantity,
  quantity,
  unitSymbol,
  type TemperatureUnit,
} from '../../foundation/quantities/index.ts';
import { deedWords } from '../../controllers/panel/index.ts';
import { endWords } from '../../wiring/circuit/index.ts';
import { printValue, settingGroup, settingOf, type SettingId } from '../../foundation/settings/index.ts';

/** One code on the papers. */
export interface SheetLine {
  readonly code: string;
  readonly meaning: string;
  /** What is known to stand in the unit; empty where nobody has seen it there. */
  readonly value: string;
  /** What it is to be, where that does not stand in the unit yet. */
  readonly planned: string;
  readonly found: string;
  readonly remark: string;
}

/** A group of lines under the folder they stand in. */
export interface SheetGroup {
  readonly title: string;
  readonly lines: readonly SheetLine[];
}

/** A kind of thing that stays open, as the papers say it. */
export interface SheetOpen {
  /** “15 codes not keyed in”. */
  readonly words: string;
  readonly items: readonly string[];
  /** Why, and when somebody comes back; empty where nobody said. */
  readonly because: string;
}

/** What the papers of a job say, as data: the page for the site and the pages for the file. Access codes never stand on them. */
export interface LeaveBehindSheet {
  readonly unit: string;
  readonly site: string;
  readonly company: string;
  /** Whom to call; empty where the company has not said. */
  readonly phone: string;
  /** The company’s mark, as a data URL; null where there is none. */
  readonly logo: string | null;
  /** What is set, in sentences; only of what is known to be in the unit. */
  readonly setTo: readonly string[];
  /** Codes whose planned value is not in the unit yet. */
  readonly notYet: number;
  /** What was wrong, in the words of the people there. */
  readonly complaint: string;
  /** What was behind it. */
  readonly verdict: string;
  readonly tests: readonly { readonly title: string; readonly result: string; readonly remark: string }[];
  readonly open: readonly SheetOpen[];
  readonly control: string;
  readonly plate: readonly string[];
  readonly by: string;
  readonly date: string;
  readonly groups: readonly SheetGroup[];
  readonly builtIn: readonly string[];
  readonly watch: readonly string[];
  readonly lost: readonly string[];
  readonly alarms: readonly AlarmCode[];
  /** What keys do without the menu, a line each. */
  readonly direct: readonly string[];
  readonly wires: readonly SheetWire[];
  readonly readings: readonly string[];
  readonly calibrations: readonly string[];
  /** Next dates, soonest first. */
  readonly next: readonly { readonly due: string; readonly what: string }[];
  /** Whether the keypad was left locked; null where nobody said. */
  readonly keypadLocked: boolean | null;
  /** The link that the QR code holds; null where there is none. */
  readonly link: string | null;
  readonly signOff: { readonly name: string; readonly strokes: readonly (readonly number[])[] } | null;
}

/** A wire on the sheet. */
export interface SheetWire {
  readonly label: string;
  readonly from: string;
  readonly to: string;
  readonly colour: string;
}

export interface SheetInput {
  readonly unit: string;
  readonly site: string;
  readonly company: string;
  readonly control: ControllerDefinition;
  readonly controlVersion: string;
  readonly plate: readonly string[];
  readonly by: string;
  readonly date: string;
  readonly watch: string;
  readonly program: Program;
  /** What is known to be in the unit. */
  readonly inUnit: InUnit;
  readonly work?: OpenWork;
  readonly phone?: string;
  readonly logo?: string | null;
  readonly complaint?: string;
  readonly verdict?: string;
  /** What the one judgement says against the values in force; what the rules say of them where absent. */
  readonly findings?: readonly Finding[];
  readonly wiring?: JobWiring | null;
  readonly proving?: Proving | null;
  readonly keypadLocked?: boolean | null;
  readonly link?: string | null;
  readonly signOff?: LeaveBehindSheet['signOff'];
  /** Degrees the reader is used to; the control's own where absent. */
  readonly reader?: TemperatureUnit;
}

/** Settings that never stand on a sheet left in the unit. */
const secret: ReadonlySet<SettingId> = new Set<SettingId>(['access.code']);
const isSecret = (row: ProgramRow) => row.settings.some((id) => secret.has(id));

/** Puts the papers together. As fact stands only what is known to be in the unit; what is planned is said to be planned. */
export function leaveBehindSheet(input: SheetInput): LeaveBehindSheet {
  const { program, control, inUnit } = input;
  const display = program.display ?? { unit: 'degC', decimal: false };
  const reader = input.reader ?? display.unit;
  const rows = program.rows.filter((row) => !isSecret(row));
  const known = new Map(inUnit.known.map((one) => [one.code, one]));
  const groups = grouped(rows, known, display, reader);
  return {
    phone: input.phone ?? '',
    logo: input.logo ?? null,
    setTo: plainWords(inUnit.settings, reader),
    // An access code is named nowhere, but counted, as everywhere.
    notYet: inUnit.planned.length,
    complaint: input.complaint ?? '',
    verdict: input.verdict ?? '',
    tests: testLines(input.proving ?? null, reader),
    open: openLines(input.work, reader),
    unit: input.unit,
    site: input.site,
    company: input.company,
    control: `${control.family} (definition ${input.controlVersion})`,
    plate: input.plate,
    by: input.by,
    date: input.date,
    groups,
    builtIn: program.fixed
      .filter(({ setting }) => builtInWorthSaying.has(setting))
      .map(
        ({ setting, value }) =>
          `${settingOf(setting).label}: ${printValue(settingOf(setting), value, reader)}`,
      ),
    watch: watchList(input),
    lost: [
      ...program.lost.map(({ setting, reason }) => ({ setting, reason })),
      ...program.notStated.map((setting) => ({
        setting,
        reason: 'not stated by its booklet, and not tried',
      })),
    ]
      .filter(({ setting }) => !secret.has(setting))
      .map(({ setting, reason }) => `${settingOf(setting).label}: ${reason}`),
    alarms: control.alarmCodes ?? [],
    direct: directActions(control),
    wires: wireLines(input.wiring ?? null),
    readings: readingLines(input.wiring ?? null),
    calibrations: calibrationLines(input),
    next: nextDates(input.proving ?? null),
    keypadLocked: input.keypadLocked ?? null,
    link: input.link ?? null,
    signOff: input.signOff ?? null,
  };
}

/** What somebody on site does without the menu: defrosts, alarms, the keypad. What only shows a value fills no line. */
const onSheet: ReadonlySet<string> = new Set([
  'startDefrost',
  'stopDefrost',
  'standbyOn',
  'standbyOff',
  'unlock',
  'lock',
  'showAlarms',
  'clearAlarm',
  'silence',
]);

function directActions(control: ControllerDefinition): readonly string[] {
  const panel = panelOf(control);
  return (panel ? deedWords(panel) : [])
    .filter(({ does }) => onSheet.has(does))
    .map(
      ({ name, strokes }) => `${name}: ${strokes.join('; ').replace(/^./, (letter) => letter.toLowerCase())}`,
    );
}

function wireLines(wiring: JobWiring | null): readonly SheetWire[] {
  const circuit = wiring?.plan?.circuit;
  return (circuit?.wires ?? [])
    .filter((wire) => !wire.internal)
    .map((wire) => ({
      label: wire.label ?? '',
      from: endWords(circuit!, wire.from),
      to: endWords(circuit!, wire.to),
      colour: wire.colour ?? '',
    }));
}

function readingLines(wiring: JobWiring | null): readonly string[] {
  const circuit = wiring?.plan?.circuit;
  return (wiring?.judged ?? []).map(({ reading, verdict }) => {
    const where =
      'through' in reading
        ? `through ${reading.through}`
        : `${endWords(circuit!, reading.from)} to ${endWords(circuit!, reading.to)}`;
    return `${reading.state}, ${where}: ${printQuantity(reading.reads).replace('Ω', 'ohm')}${verdict === 'off' ? ' (off)' : ''}`;
  });
}

/** A calibration in a line: reading, reference, what was typed, with what. */
function calibrationLines({ proving, reader, program }: SheetInput): readonly string[] {
  const unit = reader ?? program.display?.unit ?? 'degC';
  return (proving?.calibrations ?? []).map((c) => {
    const points = c.points
      .map(
        (p) =>
          `read ${printFor(quantity(p.reading, 'degC'), unit)} at ${printFor(quantity(p.reference, 'degC'), unit)}`,
      )
      .join(', ');
    const typed =
      c.code && c.after !== null
        ? `; ${c.code} ${c.before === null ? '' : `from ${printNumber(c.before, 2)} `}to ${printNumber(c.after, 2)} ${c.unit}`
        : '';
    return `${c.date}, ${c.probe}: ${points}${typed} (${c.reference.name}${c.reference.serial ? `, ${c.reference.serial}` : ''})`;
  });
}

function nextDates(proving: Proving | null): LeaveBehindSheet['next'] {
  if (!proving) return [];
  const due = [
    ...proving.followUps.filter((f) => !f.done).map(({ due: at, what }) => ({ due: at, what })),
    ...proving.calibrations.flatMap((c) =>
      c.nextDue ? [{ due: c.nextDue, what: `Calibrate ${c.probe} again` }] : [],
    ),
  ];
  return due.toSorted((a, b) => a.due.localeCompare(b.due));
}

/** Built-in behaviour a reader of the sheet must know to understand the numbers. */
const builtInWorthSaying: ReadonlySet<SettingId> = new Set<SettingId>([
  'regulation.differentialPlacement',
  'defrost.initiation',
  'defrost.termination',
  'alarms.reference',
  'fans.control',
]);

const results = { passed: 'passed', failed: 'failed', skipped: 'left out' } as const;

/** What a test read, in the reader's degrees. */
function readWords(
  value: number,
  unit: NonNullable<RunTest['test']['measure']>['unit'] | undefined,
  reader: TemperatureUnit,
): string {
  if (unit === 'degC' || unit === 'K') return printFor(quantity(value, unit), reader);
  return `${printNumber(value, 2)} ${unit ?? ''}`.trim();
}

function testLines(proving: Proving | null, reader: TemperatureUnit): LeaveBehindSheet['tests'] {
  return (proving?.tests ?? []).map(({ test, result, value, word }) => ({
    title: test.title,
    result: result === null ? 'not done' : results[result],
    remark: [value === null ? '' : `read ${readWords(value, test.measure?.unit, reader)}`, word]
      .filter(Boolean)
      .join('; '),
  }));
}

function openLines(work: OpenWork | undefined, reader: TemperatureUnit): readonly SheetOpen[] {
  return byKind(work?.items ?? []).map(({ kind, items }) => {
    const answer = work!.answers.find((one) => one.kind === kind);
    const back =
      answer?.followUp && !answer.followUp.done ? `somebody comes back ${answer.followUp.due}` : '';
    return {
      words: countWords(kind, items.length),
      items: items.map((item) => inWords(item.words, reader)),
      because: [answer?.reason ?? '', back].filter(Boolean).join('; '),
    };
  });
}

function grouped(
  rows: readonly ProgramRow[],
  known: ReadonlyMap<string, KnownCode>,
  display: DisplayState,
  reader: TemperatureUnit,
): readonly SheetGroup[] {
  const groups = new Map<string, SheetLine[]>();
  for (const row of rows) {
    const title = groupTitle(row);
    groups.set(title, [...(groups.get(title) ?? []), lineOf(row, known.get(row.code), display, reader)]);
  }
  return [...groups].map(([title, lines]) => ({ title, lines }));
}

/** The folder a code stands in; in a flat menu the group of its setting. */
export function groupTitle(row: {
  readonly parameter: Parameter;
  readonly settings: readonly SettingId[];
}): string {
  const folder = row.parameter.path?.[0];
  if (folder) return folder;
  return settingGroup(row.settings[0]);
}

function lineOf(
  row: ProgramRow,
  known: KnownCode | undefined,
  display: DisplayState,
  reader: TemperatureUnit,
): SheetLine {
  const stands = known && sameCodeValue(known.value, row.value);
  const planned = row.state === 'skipped' || stands ? '' : printShown(row.parameter, row.value, display);
  return {
    code: row.code,
    meaning: row.parameter.name,
    value: known ? printShown(row.parameter, known.value, display) : '',
    planned,
    found: row.found === null ? '' : printShown(row.parameter, row.found, display),
    remark: [
      known ? readerWords(row, known.value, display, reader) : '',
      planned === '' ? '' : known ? `planned ${planned}` : `planned ${planned}, not yet in the unit`,
      row.state === 'skipped' ? `left alone${row.why ? `: ${row.why}` : ''}` : '',
      stands && row.status === 'default' ? 'factory default' : '',
      row.overBus === 'written' ? 'written over the bus' : '',
      row.overBus === 'stood' ? 'read over the bus' : '',
    ]
      .filter(Boolean)
      .join('; '),
  };
}

/** The value in the reader's degrees where the control shows others: `= −22.8 °C`. */
function readerWords(
  row: ProgramRow,
  value: CodeValue,
  display: DisplayState,
  reader: TemperatureUnit,
): string {
  const { encoding } = row.parameter;
  if (reader === display.unit || encoding.type !== 'number' || !Number.isFinite(Number(value))) return '';
  const unit = shownUnitOf(encoding, display);
  if (unit === null || !dimensionOf(unit).startsWith('temperature')) return '';
  return `= ${printFor(quantity(Number(value), unit), reader)}`;
}

/** A value as the display shows it, with its unit, and for choices what it means where they do not say it: `60 °F`, `2 (runs by the clock)`, `yes`. */
export function printShown(parameter: Parameter, value: CodeValue, display: DisplayState): string {
  const { encoding } = parameter;
  if (encoding.type === 'number') {
    const unit = shownUnitOf(encoding, display);
    const text = printCode(Number(value), resolutionOf(encoding, display)).replace('-', '−');
    return unit === null ? text : `${text} ${unitSymbol(unit)}`;
  }
  const words = choiceWords(parameter, value);
  return words && words !== String(value).toLowerCase() ? `${value} (${words})` : String(value);
}

/** What an option means, in words. */
export function choiceWords(parameter: Parameter, value: CodeValue): string {
  const { encoding } = parameter;
  if (encoding.type !== 'choice') return '';
  const option = encoding.options.find((o) => String(o.value) === String(value));
  if (!option) return '';
  const means = meaningOfOption(parameter, option);
  const words = (Object.keys(means) as SettingId[]).map((id) => printValue(settingOf(id), means[id]!));
  if (words.length > 0) return words.join(', ');
  return typeof option.means === 'string' ? option.means : '';
}

function watchList(input: SheetInput): readonly string[] {
  const typed = input.watch
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
  // What is said against values is said of the unit only once they stand in it.
  const said = input.inUnit.planned.length === 0 ? (input.findings ?? input.program.findings) : [];
  const findings = said
    .filter((f) => f.severity !== 'note')
    .map((f) => inWords(f.message, input.reader ?? input.program.display?.unit));
  const differing = input.program.rows
    .filter((row) => row.state === 'showsElse' && !isSecret(row))
    .map(
      (row) =>
        `${row.code}: the display showed ${row.shown} where ${printShown(row.parameter, row.value, input.program.display!)} was planned.`,
    );
  return [...typed, ...differing, ...findings];
}
