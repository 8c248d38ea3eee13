import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import { fileProblem, isFileProblem, readHeader, type FileProblem } from '../../foundation/files/index.ts';
import { entryProblem, type EntryBody } from '../entries/index.ts';

export const JOB_FORMAT = 'brine-dial/job@1';

/** An entry as it travels: no ids of people, only their names as they stood. */
export interface TravellingEntry {
  readonly id: string;
  readonly author: string;
  readonly device: string;
  readonly deviceSequence: number;
  readonly deviceTime: string;
  readonly seen: number;
  readonly sequence: number;
  readonly receivedAt: string;
  readonly body: EntryBody;
}

/** A job with its history, as `*.brine.json`. Access codes typed into it travel along: it is for another installation, not for a customer. */
export interface JobFile {
  readonly format: typeof JOB_FORMAT;
  readonly site: { readonly name: string; readonly place: string };
  readonly unit: { readonly name: string; readonly tag: string; readonly plate: string };
  readonly title: string;
  readonly entries: readonly TravellingEntry[];
  readonly controllers: readonly ControllerDefinition[];
  /** JPEG in base64, by the picture's id. */
  readonly pictures: Readonly<Record<string, string>>;
}

const MOST_ENTRIES = 100_000;

/** Reads a `*.brine.json` of a job: the first field that does not fit, or the job. Definitions and pictures are judged where they are stored. */
export function readJobFile(data: unknown): JobFile | FileProblem {
  const header = readHeader(data, 'brine-dial/job', 1);
  if (isFileProblem(header)) return header;
  const { site, unit, title, entries, controllers = [], pictures = {} } = header.data;
  const named = (what: unknown, field: string) =>
    typeof what === 'object' &&
    what !== null &&
    typeof (what as { name?: unknown }).name === 'string' &&
    (what as { name: string }).name.trim() !== ''
      ? null
      : fileProblem(field, 'expected an object with a name');
  const problem = named(site, 'site') ?? named(unit, 'unit');
  if (problem) return problem;
  if (typeof title !== 'string' || title.trim() === '')
    return fileProblem('title', 'expected the name of the job');
  if (!Array.isArray(entries) || entries.length > MOST_ENTRIES)
    return fileProblem('entries', `expected a list of at most ${MOST_ENTRIES} entries`);
  for (const [i, entry] of (entries as Record<string, unknown>[]).entries()) {
    const odd = entryOf(entry);
    if (odd) return fileProblem(`entries[${i}]`, odd);
  }
  if (!Array.isArray(controllers)) return fileProblem('controllers', 'expected a list of definitions');
  if (
    typeof pictures !== 'object' ||
    pictures === null ||
    Object.values(pictures).some((p) => typeof p !== 'string')
  )
    return fileProblem('pictures', 'expected pictures in base64 by their ids');
  const place = (site as { place?: unknown }).place;
  const u = unit as { name: string; tag?: unknown; plate?: unknown };
  return {
    format: JOB_FORMAT,
    site: { name: (site as { name: string }).name, place: typeof place === 'string' ? place : '' },
    unit: {
      name: u.name,
      tag: typeof u.tag === 'string' ? u.tag : '',
      plate: typeof u.plate === 'string' ? u.plate : '',
    },
    title,
    entries: entries as readonly TravellingEntry[],
    controllers: controllers as readonly ControllerDefinition[],
    pictures: pictures as Readonly<Record<string, string>>,
  };
}

function entryOf(entry: Record<string, unknown>): string | null {
  if (typeof entry !== 'object' || entry === null) return 'expected an entry';
  const texts = ['id', 'author', 'device', 'deviceTime', 'receivedAt'].find(
    (field) => typeof entry[field] !== 'string',
  );
  if (texts) return `${texts}: expected a text`;
  const numbers = ['deviceSequence', 'seen', 'sequence'].find(
    (field) => !Number.isInteger(entry[field]) || (entry[field] as number) < 0,
  );
  if (numbers) return `${numbers}: expected a whole number from 0 up`;
  return entryProblem(entry['body']);
}
