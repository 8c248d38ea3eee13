import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import {
  fileProblem,
  isFileProblem,
  parseCsv,
  type CsvRow,
  type FileProblem,
} from '../../foundation/files/index.ts';
import {
  baseValue,
  parseNumber,
  parseQuantity,
  quantity,
  type Unit,
} from '../../foundation/quantities/index.ts';
import type { Command } from '../box/index.ts';

/** One row of a log: from `t` on these readings hold. NaN is a failed probe, null a column that is not there. */
export interface LogRow {
  /** Seconds since the first row, in true time. */
  readonly t: number;
  /** Seconds since local midnight. */
  readonly timeOfDay: number;
  readonly line: number;
  readonly air: number;
  readonly coil: number | null;
  readonly coil2: number | null;
  /** Liquid line (or condensing) and outdoor air: what a condenser's fans are regulated by. */
  readonly liquid: number | null;
  readonly outdoor: number | null;
  /** As logged; only where the control itself runs no compressor. */
  readonly compressor: boolean;
  readonly door: boolean;
  readonly input: boolean;
  readonly commands: readonly Command[];
}

const LONGEST_DAYS = 400;

/**
 * Reads a log for a replay: `time` in seconds or ISO 8601 (offsets obeyed), `air_degC` or `air_degF` (or the liquid line of a condenser), and what else it has of coil, second coil, outdoor air, door,
 * input and commands. A sentence with the line where it cannot be read: no air column, a time that runs backwards, a value that is none.
 */
export function readLog(text: string): readonly LogRow[] | FileProblem {
  const table = parseCsv(text, ['time']);
  if (isFileProblem(table)) return table;
  const unitOf = (name: string): [string, Unit] | null =>
    table.columns.includes(`${name}_degc`)
      ? [`${name}_degc`, 'degC']
      : table.columns.includes(`${name}_degf`)
        ? [`${name}_degf`, 'degF']
        : null;
  const air = unitOf('air');
  const [liquid, outdoor] = [unitOf('liquid'), unitOf('outdoor')];
  if (!air && !liquid)
    return fileProblem(
      'line 1',
      'expected a column air_degC or air_degF (or liquid_degC for condenser fans)',
    );
  if (table.rows.length === 0) return fileProblem('(file)', 'expected at least one row of readings');
  const [coil, coil2] = [unitOf('coil'), unitOf('coil2')];
  const rows: LogRow[] = [];
  let start: number | null = null;
  for (const row of table.rows) {
    const at = `line ${row.line}`;
    const time = readTime(row.cells.get('time') ?? '');
    if (!time)
      return fileProblem(
        at,
        `${row.cells.get('time') || 'an empty cell'} is no time; expected seconds or ISO 8601`,
      );
    start ??= time.seconds;
    const t = Math.round(time.seconds - start);
    const before = rows.at(-1);
    if (before && t < before.t) return fileProblem(at, 'the time runs backwards; expected rows in order');
    if (t > LONGEST_DAYS * SECONDS_PER_DAY)
      return fileProblem(at, `more than ${LONGEST_DAYS} days after the first row; expected a shorter log`);
    const columns = [air, coil, coil2, liquid, outdoor];
    const readings = columns.map((column) => (column ? readTemperature(row, ...column) : null));
    const odd = readings.findIndex((r) => r === undefined);
    if (odd >= 0)
      return fileProblem(
        at,
        `${row.cells.get(columns[odd]![0])} is no reading; expected a number, open, short or nothing`,
      );
    const commands = readCommands(row.cells.get('command') ?? '');
    if (typeof commands === 'string') return fileProblem(at, commands);
    const flags = [readFlag(row, 'door'), readFlag(row, 'input')];
    if (flags.includes(null)) return fileProblem(at, 'door and input: expected 0 or 1');
    rows.push({
      t,
      timeOfDay: time.ofDay ?? t % SECONDS_PER_DAY,
      line: row.line,
      air: readings[0] ?? Number.NaN,
      coil: readings[1] ?? (coil ? Number.NaN : null),
      coil2: readings[2] ?? (coil2 ? Number.NaN : null),
      liquid: readings[3] ?? (liquid ? Number.NaN : null),
      outdoor: readings[4] ?? (outdoor ? Number.NaN : null),
      compressor: readFlag(row, 'compressor') ?? false,
      door: flags[0]!,
      input: flags[1]!,
      commands,
    });
  }
  return rows;
}

/** True seconds, and the local time of day where the text says one. */
function readTime(text: string): { readonly seconds: number; readonly ofDay: number | null } | null {
  const seconds = parseNumber(text);
  if (seconds !== null) return { seconds, ofDay: null };
  const iso =
    /^(\d{4}-\d{2}-\d{2})[T ](\d{2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*(Z|[+-]\d{2}:?\d{2})?$/.exec(
      text.trim(),
    );
  if (!iso) return null;
  const [, date, h, m, s = '00', zone = 'Z'] = iso;
  const offset = zone === 'Z' ? 'Z' : zone.replace(/^([+-]\d{2}):?(\d{2})$/, '$1:$2');
  const ms = Date.parse(`${date}T${h}:${m}:${s}${offset}`);
  if (Number.isNaN(ms)) return null;
  return { seconds: ms / 1000, ofDay: Number(h) * 3600 + Number(m) * 60 + Number(s) };
}

/** °C; NaN for a failed probe; undefined for what is no reading. */
function readTemperature(row: CsvRow, column: string, unit: Unit): number | undefined {
  const text = (row.cells.get(column) ?? '').trim().toLowerCase();
  if (text === '' || text === 'open' || text === 'short') return Number.NaN;
  const number = parseNumber(text);
  return number === null ? undefined : baseValue(quantity(number, unit));
}

function readFlag(row: CsvRow, column: string): boolean | null {
  const text = (row.cells.get(column) ?? '').trim().toLowerCase();
  if (text === '' || text === '0' || text === 'false') return false;
  return text === '1' || text === 'true' ? true : null;
}

const plainCommands = [
  'startDefrost',
  'stopDefrost',
  'standbyOn',
  'standbyOff',
  'setbackOn',
  'setbackOff',
  'resetAlarms',
] as const;

function readCommands(text: string): readonly Command[] | string {
  const commands: Command[] = [];
  for (const word of text.split(/[\s,;]+/).filter(Boolean)) {
    const plain = plainCommands.find((c) => c === word);
    const setpoint = /^setpoint=(.+)$/.exec(word)?.[1];
    const value = setpoint === undefined ? null : parseQuantity(setpoint, 'temperature');
    if (plain) commands.push({ does: plain });
    else if (value?.ok) commands.push({ does: 'setpoint', celsius: baseValue(value.value) });
    else return `${word} is no command; expected ${plainCommands.join(', ')} or setpoint=36F`;
  }
  return commands;
}
