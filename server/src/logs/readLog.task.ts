import { createReadStream, createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import {
  LogReader,
  spanProblem,
  valueRoles,
  type Log,
  type LogClock,
  type LogLayout,
  type Tidied,
  type ValueRole,
} from '@brine/core/logs/reading';
import { monthsOf } from './months.ts';

/** Rows written as one piece of text. */
const ROWS_AT_ONCE = 4000;

/** A logger's file as it was read: its rows lie ready for the database in a file of their own. */
export interface ReadLog {
  readonly columns: readonly ValueRole[];
  readonly clock: LogClock;
  readonly samples: number;
  readonly tidied: Tidied;
  /** First days of the months that hold a reading, `2026-04-01`. */
  readonly months: readonly string[];
}

/**
 * Reads a logger's file from disk, piece by piece, by the reader that the page uses too, and writes its rows as lines of COPY's text format into another file.
 * A sentence where there is nothing to be kept. Takes seconds for a year of minutes: it is for threads.
 */
export async function readLog({
  from,
  into,
  id,
  layout,
}: {
  readonly from: string;
  readonly into: string;
  readonly id: string;
  readonly layout: LogLayout;
}): Promise<ReadLog | { readonly problem: string }> {
  const reader = new LogReader(layout);
  const decoder = new TextDecoder();
  for await (const piece of createReadStream(from, { highWaterMark: 1 << 18 }))
    reader.push(decoder.decode(piece as Uint8Array, { stream: true }));
  reader.push(decoder.decode());
  const { log, tidied } = reader.finish();
  const [first] = tidied.problems;
  if (log.time.length === 0)
    return { problem: first ? `line ${first.line}: ${first.why}` : 'expected at least one row of readings' };
  const problem = spanProblem(log.time);
  if (problem !== null) return { problem };
  const columns = valueRoles.filter((role) => log.values[role] !== undefined);
  await pipeline(Readable.from(copyLines(id, log, columns)), createWriteStream(into, { mode: 0o600 }));
  return { columns, clock: log.clock, samples: log.time.length, tidied, months: monthsOf(log.time) };
}

/** Lines of COPY's text format: tabs between cells, \\N for a missing reading. */
function* copyLines(id: string, log: Log, roles: readonly ValueRole[]): Generator<string> {
  const columns = roles.map((role) => log.values[role]!);
  let text = '';
  for (let i = 0; i < log.time.length; i += 1) {
    text += `${id}\t${new Date(log.time[i]! * 1000).toISOString()}`;
    for (const column of columns) text += column[i] === column[i] ? `\t${Math.fround(column[i]!)}` : '\t\\N';
    text += '\n';
    if ((i + 1) % ROWS_AT_ONCE === 0) {
      yield text;
      text = '';
    }
  }
  if (text !== '') yield text;
}
