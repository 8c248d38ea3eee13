import { fileProblem, type FileProblem } from '../../foundation/files/index.ts';
import { guessLayout } from './guessLayout.ts';
import type { LogLayout } from './layout.ts';
import type { Log, Tidied } from './log.ts';
import { LogReader } from './LogReader.ts';

/** Why a layout cannot be read, as a sentence, or null. */
export function layoutProblem(layout: LogLayout): string | null {
  const roles = layout.columns.flatMap((c) => (c.role ? [c.role] : []));
  const twice = roles.find((role, i) => roles.indexOf(role) !== i);
  if (twice) return `two columns are taken for the ${twice}; expected one of each`;
  if (!roles.includes('time') && !roles.includes('date')) return 'no column holds the time; choose it';
  if (!roles.some((role) => !['time', 'date', 'clock'].includes(role)))
    return 'no column holds a reading; choose what the columns hold';
  return null;
}

/** Reads a whole log that is at hand as text, by a layout given or guessed. A sentence where it cannot be read. */
export function readWholeLog(
  text: string,
  layout: LogLayout = guessLayout(text.slice(0, 1 << 16)).layout,
): { readonly log: Log; readonly tidied: Tidied } | FileProblem {
  if (text.trim() === '')
    return fileProblem('(file)', 'the file is empty; expected a log with a time and readings');
  if (text.slice(0, 1 << 16).includes('\u0000'))
    return fileProblem('(file)', 'this is no text file; expected CSV');
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
