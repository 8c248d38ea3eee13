import type { AlarmCode, CodeValue, ControllerDefinition, Parameter } from '../controllers/index.ts';
import { resolutionOf, printCode, shownUnitOf, type DisplayState } from '../controllers/index.ts';
import type { Program, ProgramRow } from '../jobs/index.ts';
import { meaningOfOption } from '../controllers/index.ts';
import { unitSymbol } from '../quantities/index.ts';
import { printValue, settingGroup, settingOf, type SettingId } from '../settings/index.ts';

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
}

/** Settings that never stand on a sheet left in the unit. */
const secret: ReadonlySet<SettingId> = new Set<SettingId>(['access.code']);

/** Puts the sheet together from what was keyed in. What the display showed stands where it showed something else. */
export function leaveBehindSheet(input: SheetInput): LeaveBehindSheet {
  const { program, control } = input;
  const display = program.display ?? { unit: 'degC', decimal: false };
  const rows = program.rows.filter((row) => !row.settings.some((id) => secret.has(id)));
  return {
    unit: input.unit,
    site: input.site,
    company: input.company,
    control: `${control.family} (definition ${input.controlVersion})`,
    plate: input.plate,
    by: input.by,
    date: input.date,
    groups: grouped(rows, display),
    builtIn: program.fixed
      .filter(({ setting }) => builtInWorthSaying.has(setting))
      .map(
        ({ setting, value }) =>
          `${settingOf(setting).label}: ${printValue(settingOf(setting), value, display.unit)}`,
      ),
    watch: watchList(input),
    lost: program.lost.map(({ setting, reason }) => `${settingOf(setting).label}: ${reason}`),
    alarms: control.alarmCodes ?? [],
  };
}

/** Built-in behaviour a reader of the sheet must know to understand the numbers. */
const builtInWorthSaying: ReadonlySet<SettingId> = new Set<SettingId>([
  'regulation.differentialPlacement',
  'defrost.initiation',
  'defrost.termination',
  'alarms.reference',
  'fans.control',
]);

function grouped(rows: readonly ProgramRow[], display: DisplayState): readonly SheetGroup[] {
  const groups = new Map<string, SheetLine[]>();
  for (const row of rows) {
    const title = groupTitle(row);
    groups.set(title, [...(groups.get(title) ?? []), lineOf(row, display)]);
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

function lineOf(row: ProgramRow, display: DisplayState): SheetLine {
  const value = row.state === 'showsElse' ? (row.shown ?? '') : printShown(row.parameter, row.value, display);
  return {
    code: row.code,
    meaning: row.parameter.name,
    value: row.state === 'skipped' ? 'not set' : value,
    found: row.found === null ? '' : printShown(row.parameter, row.found, display),
    remark: remarkOf(row, display),
  };
}

function remarkOf(row: ProgramRow, display: DisplayState): string {
  if (row.state === 'showsElse') return `planned ${printShown(row.parameter, row.value, display)}`;
  if (row.state === 'skipped') return row.why ?? '';
  if (row.state === 'open') return 'not keyed in yet';
  return row.status === 'default' ? 'factory default' : '';
}

/** A value as the display shows it, with its unit, and for choices what it means: `60 °F`, `2 (runs by the clock)`. */
export function printShown(parameter: Parameter, value: CodeValue, display: DisplayState): string {
  const { encoding } = parameter;
  if (encoding.type === 'number') {
    const unit = shownUnitOf(encoding, display);
    const text = printCode(Number(value), resolutionOf(encoding, display)).replace('-', '−');
    return unit === null ? text : `${text} ${unitSymbol(unit)}`;
  }
  const words = choiceWords(parameter, value);
  return words ? `${value} (${words})` : String(value);
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
  const findings = input.program.findings.filter((f) => f.severity !== 'note').map((f) => f.message);
  const differing = input.program.rows
    .filter((row) => row.state === 'showsElse')
    .map(
      (row) =>
        `${row.code}: the display showed ${row.shown} where ${printShown(row.parameter, row.value, input.program.display!)} was planned.`,
    );
  return [...typed, ...differing, ...findings];
}
