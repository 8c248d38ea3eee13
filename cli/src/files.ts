import { readFileSync } from 'node:fs';
import {
  readDefinition,
  readSheet,
  type ControllerDefinition,
  type SheetRow,
} from '@brine/core/controllers/definitions';
import { isFileProblem, parseJson, type FileProblem } from '@brine/core/foundation/files';
import { Refusal } from './args.ts';

/** The text of a file, or a refusal that names it. */
export const readText = (path: string): string => readBytes(path).toString('utf8');

/** The bytes of a file, or a refusal that names it. */
export function readBytes(path: string): Buffer {
  try {
    return readFileSync(path);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new Refusal(
      `${path}: ${code === 'ENOENT' ? 'no such file' : code === 'EISDIR' ? 'is a folder, expected a file' : (error as Error).message}`,
    );
  }
}

/** Parsed JSON, or a refusal that names file and place. */
export function readJson(path: string): unknown {
  const parsed = parseJson(readText(path));
  if (isFileProblem(parsed)) throw fileRefusal(path, parsed);
  return parsed.data;
}

/** A definition without faults, or a refusal with the first fault. */
export function readController(path: string): ControllerDefinition {
  const read = readDefinition(readJson(path));
  if ('definition' in read) return read.definition;
  const [first] = read.faults;
  const more = read.faults.length > 1 ? ` (and ${read.faults.length - 1} more: brine controller check)` : '';
  throw new Refusal(`${path}: ${first!.path}: ${first!.message}${more}`);
}

/** A sheet's rows, or a refusal that names the line. */
export function readSheetFile(path: string): readonly SheetRow[] {
  const rows = readSheet(readText(path));
  if (isFileProblem(rows)) throw fileRefusal(path, rows);
  return rows;
}

/** A refusal from a file problem: file, field, what was expected. */
export function fileRefusal(path: string, problem: FileProblem): Refusal {
  return new Refusal(`${path}: ${problem.field}: ${problem.message}`);
}
