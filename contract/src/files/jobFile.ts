import { array, mixed, object, string, type InferType } from 'yup';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { fileProblem, isFileProblem, readHeader, type FileProblem } from '@brine/core/foundation/files';
import { entryProblem, type EntryBody } from '../entries/index.ts';
import {
  anyText,
  isoTime,
  judged,
  LONGEST_NAME,
  MAX_INTEGER,
  text,
  whole,
  type DeepReadonly,
} from '../fields/index.ts';
import { firstProblem, shapeProblem } from '../validate/index.ts';

export const JOB_FORMAT = 'brine-dial/job@1';

/** Longest title of a job, in characters. */
export const LONGEST_TITLE = 300;
export const LONGEST_PLACE = 300;
export const LONGEST_TAG = 60;
export const LONGEST_PLATE = 500;
const MAX_ENTRIES = 100_000;
const MAX_CONTROLLERS = 200;
/** Deeper and more than any job file: a definition's menus nest, pictures are single texts. */
const LIMITS = { depth: 32, values: 5_000_000 };

/** An entry as it travels: no ids of people, only their names as they stood. */
const travellingEntry = object({
  id: text(LONGEST_NAME),
  author: anyText(LONGEST_NAME),
  device: text(LONGEST_NAME),
  deviceSequence: whole(0, MAX_INTEGER),
  deviceTime: isoTime(),
  seen: whole(0, MAX_INTEGER),
  sequence: whole(0, MAX_INTEGER),
  receivedAt: isoTime(),
  body: judged<EntryBody>(() => null).required('expected what was done'),
});

/** A job with its history, as `*.brine.json`. Access codes typed into it travel along: it is for another installation, not for a customer. */
export const jobFile = object({
  format: mixed<typeof JOB_FORMAT>().oneOf([JOB_FORMAT]).required(),
  site: object({ name: text(LONGEST_NAME), place: anyText(LONGEST_PLACE).default('') }).required(
    'expected an object with a name',
  ),
  unit: object({
    name: text(LONGEST_NAME),
    tag: anyText(LONGEST_TAG).default(''),
    plate: anyText(LONGEST_PLATE).default(''),
  }).required('expected an object with a name'),
  title: text(LONGEST_TITLE),
  entries: array(travellingEntry).required(`expected a list of at most ${MAX_ENTRIES} entries`),
  controllers: array(mixed<ControllerDefinition>().required('expected a definition'))
    .max(MAX_CONTROLLERS, `expected at most ${MAX_CONTROLLERS} definitions`)
    .default([]),
  /** JPEG in base64, by the picture's id. */
  pictures: mixed<Record<string, string>>().default({}),
});

export type JobFile = DeepReadonly<InferType<typeof jobFile>>;

const frame = jobFile.omit(['entries', 'pictures', 'controllers']);
const id = string().matches(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/);

/** Reads a `*.brine.json` of a job: the first field that does not fit, or the job. Definitions and pictures are judged where they are stored. */
export function readJobFile(data: unknown): JobFile | FileProblem {
  const header = readHeader(data, 'brine-dial/job', 1);
  if (isFileProblem(header)) return header;
  const unfit = shapeProblem(header.data, LIMITS);
  if (unfit) return fileProblem(unfit.path.replace(/^\./, '') || '(file)', unfit.message);
  const file = withDefaults(header.data);
  const wrong = firstProblem(frame.strict(), file);
  if (wrong) return fileProblem(wrong.path, wrong.message);
  return (
    entriesProblem(file['entries']) ??
    listProblem(file['controllers']) ??
    picturesProblem(file['pictures']) ??
    (file as unknown as JobFile)
  );
}

/** What older files leave out. */
function withDefaults(file: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>> {
  const filled = (value: unknown, fields: object) =>
    typeof value === 'object' && value !== null ? { ...fields, ...value } : value;
  return {
    controllers: [],
    pictures: {},
    ...file,
    format: JOB_FORMAT,
    site: filled(file['site'], { place: '' }),
    unit: filled(file['unit'], { tag: '', plate: '' }),
  };
}

function entriesProblem(entries: unknown): FileProblem | null {
  if (!Array.isArray(entries) || entries.length > MAX_ENTRIES)
    return fileProblem('entries', `expected a list of at most ${MAX_ENTRIES} entries`);
  const strict = travellingEntry.strict();
  for (const [i, entry] of (entries as unknown[]).entries()) {
    const wrong = firstProblem(strict, entry);
    if (wrong) return fileProblem(`entries[${i}]`, `${wrong.path}: ${wrong.message}`);
    const body = entryProblem((entry as { body: unknown }).body);
    if (body) return fileProblem(`entries[${i}]`, body);
  }
  return null;
}

function listProblem(controllers: unknown): FileProblem | null {
  return Array.isArray(controllers) && controllers.length <= MAX_CONTROLLERS
    ? null
    : fileProblem('controllers', `expected a list of at most ${MAX_CONTROLLERS} definitions`);
}

function picturesProblem(pictures: unknown): FileProblem | null {
  if (typeof pictures !== 'object' || pictures === null || Array.isArray(pictures))
    return fileProblem('pictures', 'expected pictures in base64 by their ids');
  for (const [key, jpeg] of Object.entries(pictures))
    if (!id.isValidSync(key) || typeof jpeg !== 'string')
      return fileProblem(`pictures.${key.slice(0, 60)}`, 'expected a picture in base64 by its id');
  return null;
}
