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
  shownUnitOf,
  type DisplayState,
} from '../../controllers/definitions/index.ts';
import type { Finding } from '../../judgement/checks/index.ts';
import type { JobWiring, Program, ProgramRow, Proving } from '../job/index.ts';
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

/** One line of the sheet left in the unit. */
export interface SheetLine {
  readonly code: string;
  readonly meaning: string;
  readonly value: string;
  readonly found: string;
  readonly remark: string;
}

/** A group of lines under the folder they stand in. */
export interface SheetGroup {
  readonly title: string;
  readonly lines: readonly SheetLine[];
}

/** The page a technician leaves in the unit, as data. Access codes and people's numbers never stand on it. */
export interface LeaveBehindSheet {
  readonly unit: string;
  readonly site: string;
  readonly company: string;
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

/** Puts the sheet together from what was keyed in. What the display showed stands where it showed something else. */
export function leaveBehindSheet(input: SheetInput): LeaveBehindSheet {
  const { program, control } = input;
  const display = program.display ?? { unit: 'degC', decimal: false };
  const rows = program.rows.filter((row) => !isSecret(row));
  return {
    unit: input.unit,
    site: input.site,
    company: input.company,
    control: `${control.family} (definition ${input.controlVersion})`,
    plate: input.plate,
    by: input.by,
    date: input.date,
    groups: grouped(rows, display, input.reader ?? display.unit),
    builtIn: program.fixed
      .filter(({ setting }) => builtInWorthSaying.has(setting))
      .map(
        ({ setting, value }) =>
          `${settingOf(setting).label}: ${printValue(settingOf(setting), value, input.reader ?? display.unit)}`,
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

function grouped(
  rows: readonly ProgramRow[],
  display: DisplayState,
  reader: TemperatureUnit,
): readonly SheetGroup[] {
  const groups = new Map<string, SheetLine[]>();
  for (const row of rows) {
    const title = groupTitle(row);
    groups.set(title, [...(groups.get(title) ?? []), lineOf(row, display, reader)]);
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

function lineOf(row: ProgramRow, display: DisplayState, reader: TemperatureUnit): SheetLine {
  const value = row.state === 'showsElse' ? (row.shown ?? '') : printShown(row.parameter, row.value, display);
  return {
    code: row.code,
    meaning: row.parameter.name,
    value: row.state === 'skipped' ? 'not set' : value,
    found: row.found === null ? '' : printShown(row.parameter, row.found, display),
    remark: [readerWords(row, display, reader), remarkOf(row, display)].filter(Boolean).join('; '),
  };
}

/** The value in the reader's degrees where the control shows others: `= −22.8 °C`. */
function readerWords(row: ProgramRow, display: DisplayState, reader: TemperatureUnit): string {
  const { encoding } = row.parameter;
  if (reader === display.unit || encoding.type !== 'number' || row.state === 'skipped') return '';
  const unit = shownUnitOf(encoding, display);
  if (unit === null || !dimensionOf(unit).startsWith('temperature')) return '';
  return `= ${printFor(quantity(Number(row.value), unit), reader)}`;
}

function remarkOf(row: ProgramRow, display: DisplayState): string {
  if (row.state === 'showsElse') return `planned ${printShown(row.parameter, row.value, display)}`;
  if (row.state === 'skipped') return row.why ?? '';
  if (row.state === 'open') return 'not keyed in yet';
  return row.status === 'default' ? 'factory default' : '';
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
  const findings = (input.findings ?? input.program.findings)
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
