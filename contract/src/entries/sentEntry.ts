import { mixed, object, type InferType } from 'yup';
import { isoTime, MAX_INTEGER, uuidField, whole, type DeepReadonly } from '../fields/index.ts';
import { firstProblem } from '../validate/index.ts';
import type { EntryBody } from './entryBody.ts';
import { entryProblem } from './entryProblem.ts';

/** An entry as a device sends it: its author is the ticket's. */
const sentEntry = object({
  id: uuidField(),
  job: uuidField(),
  deviceSequence: whole(1, MAX_INTEGER),
  deviceTime: isoTime(),
  seen: whole(0, MAX_INTEGER),
  body: mixed<EntryBody>().required('expected what was done'),
}).strict();

export type SentEntry = DeepReadonly<InferType<typeof sentEntry>>;

/** What is wrong with an entry that a device sent, in a sentence that names the field; null where it can be taken. */
export function sentEntryProblem(sent: unknown): string | null {
  if (typeof sent !== 'object' || sent === null || Array.isArray(sent))
    return 'the entry: expected an object';
  const { id, job, deviceSequence, deviceTime, seen, body } = sent as Readonly<Record<string, unknown>>;
  // The body is walked by its own check, which knows how deep and how large one may be.
  const frame = { id, job, deviceSequence, deviceTime, seen, body: body === undefined ? undefined : {} };
  const wrong = firstProblem(sentEntry, frame);
  if (wrong) return `${wrong.path}: ${wrong.message}`;
  return entryProblem(body);
}
