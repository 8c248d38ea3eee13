import { isFileProblem } from '@brine/core/foundation/files';
import {
  guessLayout,
  isTemperature,
  readWholeLog,
  zoneClock,
  type Log,
  type LogLayout,
} from '@brine/core/logs/reading';
import { Refusal } from './args.ts';
import { fileRefusal, readText } from './files.ts';

/** A log with what was put right while it was read. */
export interface LogOfFile {
  readonly log: Log;
  readonly notes: readonly string[];
}

/** Reads a logger's file; `unit` for columns that do not name their degrees, `zone` for times that name none. */
export function readLogFile(
  path: string,
  { unit, zone }: { readonly unit: string | undefined; readonly zone: string | undefined },
): LogOfFile {
  const text = readText(path);
  const read = readWholeLog(text, layoutFor(text, unit, zone ?? null));
  if (isFileProblem(read)) throw fileRefusal(path, read);
  const { tidied } = read;
  const notes = [
    tidied.unreadable > 0
      ? `${tidied.unreadable} rows could not be read, the first on line ${tidied.problems[0]!.line}: ${tidied.problems[0]!.why}`
      : '',
    tidied.duplicates > 0 ? `${tidied.duplicates} rows stood there twice` : '',
    tidied.unsorted > 0 ? `${tidied.unsorted} rows were out of order` : '',
  ].filter(Boolean);
  return { log: read.log, notes };
}

function layoutFor(text: string, unit: string | undefined, zone: string | null): LogLayout {
  if (unit !== undefined && unit !== 'degC' && unit !== 'degF')
    throw new Refusal(`--unit: ${unit}: expected degC or degF`);
  if (zone !== null && !zoneClock(zone))
    throw new Refusal(`--zone: ${zone}: expected a zone such as Europe/Lisbon`);
  const { layout } = guessLayout(text.slice(0, 1 << 16));
  // A name that states its degrees is believed; --unit is for those that do not.
  const columns = layout.columns.map((column) =>
    unit !== undefined &&
    column.role !== null &&
    isTemperature(column.role) &&
    !/deg[cf]|°\s*[cf]|[[(_]\s*[cf]\b/i.test(column.name)
      ? { ...column, fahrenheit: unit === 'degF' }
      : column,
  );
  return { ...layout, columns, zone };
}
