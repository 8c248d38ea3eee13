import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { fileProblem, type FileProblem } from '../../foundation/files/index.ts';
import { guessLayout } from './guessLayout.ts';
import type { LogLayout } from './layout.ts';
import { isColumnRole } from './columns.ts';
import type { Log, Tidied } from './log.ts';
import { timeOrders } from './readTime.ts';
import { zoneClock } from './zone.ts';
import { LogReader } from './LogReader.ts';

/** Columns beyond this are no logger's. */
const MAX_COLUMNS = 200;

/** Why a layout cannot be read, as a sentence, or null. Also for one that came over the wire: every field is judged, since the reader trusts it. */
export function layoutProblem(layout: unknown): string | null {
  return layoutFieldsProblem(layout) ?? layoutRolesProblem(layout as LogLayout);
}

function layoutFieldsProblem(layout: unknown): string | null {
  if (typeof layout !== 'object' || layout === null || Array.isArray(layout))
    return 'expected how a file is laid out';
  const f = layout as Readonly<Record<string, unknown>>;
  if (typeof f['delimiter'] !== 'string' || f['delimiter'].length !== 1)
    return 'delimiter: expected one character';
  if (f['decimal'] !== '.' && f['decimal'] !== ',') return 'decimal: expected . or ,';
  if (!Number.isInteger(f['skipLines']) || (f['skipLines'] as number) < 0)
    return 'skipLines: expected a whole number from 0 up';
  if (!(timeOrders as readonly unknown[]).includes(f['order']))
    return `order: expected one of ${timeOrders.join(', ')}`;
  if (f['zone'] !== null && (typeof f['zone'] !== 'string' || zoneClock(f['zone']) === null))
    return `zone: ${String(JSON.stringify(f['zone'])).slice(0, 60)} is no zone of the IANA list such as Europe/Lisbon; expected one, or null`;
  const columns = f['columns'];
  if (!Array.isArray(columns) || columns.length > MAX_COLUMNS)
    return `columns: expected a list of at most ${MAX_COLUMNS} columns`;
  const odd = (columns as unknown[]).findIndex((column) => {
    if (typeof column !== 'object' || column === null) return true;
    const { name, role, fahrenheit } = column as Readonly<Record<string, unknown>>;
    return (
      typeof name !== 'string' ||
      !(role === null || isColumnRole(role)) ||
      (fahrenheit !== undefined && typeof fahrenheit !== 'boolean')
    );
  });
  return odd < 0 ? null : `columns[${odd}]: expected a name and what it holds, or null where it is left out`;
}

function layoutRolesProblem(layout: LogLayout): string | null {
  const roles = layout.columns.flatMap((c) => (c.role ? [c.role] : []));
  const twice = roles.find((role, i) => roles.indexOf(role) !== i);
  if (twice) return `two columns are taken for the ${twice}; expected one of each`;
  if (!roles.includes('time') && !roles.includes('date')) return 'no column holds the time; choose it';
  if (!roles.some((role) => !['time', 'date', 'clock'].includes(role)))
    return 'no column holds a reading; choose what the columns hold';
  return null;
}

/** Longest span of one log that is kept, days: five years, more than any logger's memory; a wrong year in one row makes decades. Ours. */
const MAX_SPAN_DAYS = 5 * 366;
/** Days that a log may be dated in at all, as years. */
const YEARS = { from: 1970, to: 2099 };

/** Why the times of a log cannot be kept, in a sentence, or null: a wrong date in one row stretches the log over decades. */
export function spanProblem(time: Float64Array): string | null {
  const [first, last] = [time[0], time.at(-1)];
  if (first === undefined || last === undefined) return 'expected at least one row of readings';
  const day = (seconds: number) => new Date(seconds * 1000).toISOString().slice(0, 10);
  if (first < Date.UTC(YEARS.from, 0, 1) / 1000 || last >= Date.UTC(YEARS.to + 1, 0, 1) / 1000)
    return `its rows are dated outside the years ${YEARS.from} to ${YEARS.to}; expected true dates`;
  const days = (last - first) / SECONDS_PER_DAY;
  return days > MAX_SPAN_DAYS
    ? `its rows run from ${day(first)} to ${day(last)}; expected at most ${MAX_SPAN_DAYS} days in one log: look for a wrong date`
    : null;
}

/** Reads a whole log that is at hand as text, by a layout given or guessed. A sentence where it cannot be read. */
export function readWholeLog(
  text: string,
  layout: LogLayout = guessLayout(text.slice(0, 1 << 16)).layout,
): { readonly log: Log; readonly tidied: Tidied } | FileProblem {
  if (text.trim() === '')
    return fileProblem('(file)', 'the file is empty; expected a log with a time and readings');
  if (text.slice(0, 1 << 16).includes('\u0000'))
    return fileProblem('(file)', 'this is not a text file; expected CSV');
  const problem = layoutProblem(layout);
  if (problem) return fileProblem('(header)', problem);
  const reader = new LogReader(layout);
  reader.push(text);
  const { log, tidied } = reader.finish();
  if (log.time.length === 0) {
    const first = tidied.problems[0];
    return fileProblem(
      first ? `line ${first.line}` : '(file)',
      first?.why ?? 'expected at least one row of readings',
    );
  }
  return { log, tidied };
}
