import { randomUUID } from 'node:crypto';
import { readJobFile, type JobFile } from '@brine/contract/files';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { readController } from '@brine/core/controllers/panel';
import { isFileProblem } from '@brine/core/foundation/files';
import type { EntryBody } from '@brine/core/record/entries';
import { NotJpeg, withoutMetadata } from '../pictures/jpeg.ts';

/** Entries that go to the database as one statement. */
const ENTRIES_AT_ONCE = 500;

/** A job file taken apart: what is stored as it is, and the entries as texts of JSON that the database reads by itself. */
export interface JobApart {
  readonly head: Pick<JobFile, 'site' | 'unit' | 'title'>;
  readonly controllers: readonly ControllerDefinition[];
  readonly pictures: readonly { readonly id: string; readonly bytes: Uint8Array }[];
  readonly entries: number;
  /** JSON of {@link ImportedEntry}`[]`, in the order of the job. */
  readonly pieces: readonly string[];
}

/** An entry of another installation as a row, without what is only known here: job, author and time. Names as the columns have them. */
interface ImportedEntry {
  readonly id: string;
  readonly sequence: number;
  readonly device: string;
  readonly device_sequence: number;
  readonly device_time: string;
  readonly seen: number;
  readonly body: EntryBody;
  readonly foreign_from: { readonly author: string; readonly receivedAt: string };
}

/** Judges and takes apart the body of an import, `{"file": …}`; a sentence where it cannot be taken. Every id is new. */
export function takenApart(text: string): JobApart | { readonly problem: string } {
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    return { problem: 'The request body is not valid JSON' };
  }
  const data = typeof body === 'object' && body !== null ? (body as { file?: unknown }).file : undefined;
  if (typeof data !== 'object' || data === null)
    return { problem: 'file: expected the content of a *.brine.json' };
  const file = readJobFile(data);
  if (isFileProblem(file)) return { problem: `${file.field}: ${file.message}` };
  for (const [i, definition] of file.controllers.entries()) {
    const read = readController(definition);
    if ('faults' in read)
      return { problem: `controllers[${i}]: ${read.faults[0]!.path}: ${read.faults[0]!.message}` };
  }
  const ids = new Map(Object.keys(file.pictures).map((id) => [id, randomUUID()]));
  const pictures: { id: string; bytes: Uint8Array }[] = [];
  for (const [id, base64] of Object.entries(file.pictures)) {
    const bytes = jpegOf(base64);
    if (typeof bytes === 'string') return { problem: `pictures.${id}: ${bytes}` };
    pictures.push({ id: ids.get(id)!, bytes });
  }
  const rows = file.entries
    .toSorted((a, b) => a.sequence - b.sequence)
    .map((entry, i): ImportedEntry => ({
      id: randomUUID(),
      sequence: i + 1,
      device: entry.device.slice(0, 100),
      device_sequence: i + 1,
      device_time: entry.deviceTime,
      seen: Math.min(entry.seen, i),
      body: withPictures(entry.body, ids),
      foreign_from: { author: entry.author, receivedAt: entry.receivedAt },
    }));
  const pieces: string[] = [];
  for (let from = 0; from < rows.length; from += ENTRIES_AT_ONCE)
    pieces.push(JSON.stringify(rows.slice(from, from + ENTRIES_AT_ONCE)));
  return {
    head: { site: file.site, unit: file.unit, title: file.title },
    controllers: file.controllers,
    pictures,
    entries: rows.length,
    pieces,
  };
}

function withPictures(body: EntryBody, ids: ReadonlyMap<string, string>): EntryBody {
  if (body.kind === 'picture') return { ...body, id: ids.get(body.id) ?? body.id };
  if (body.kind === 'test' && body.picture)
    return { ...body, picture: ids.get(body.picture) ?? body.picture };
  return body;
}

/** The picture without what its camera wrote into it, or why it is none. */
function jpegOf(base64: string): Uint8Array | string {
  try {
    return withoutMetadata(Buffer.from(base64, 'base64'));
  } catch (error) {
    if (error instanceof NotJpeg) return error.message;
    throw error;
  }
}
