import type { AcceptedEntry } from '@brine/core/record/entries';
import { fold, allStanding } from '@brine/core/record/fold';
import { addressOf, request } from '../api/client.ts';
import { takeFile } from './files.ts';
import { noteAssigned } from './myJobs.ts';
import { kept } from './keptStorage.ts';
import { wholeStream } from './stream.ts';

/**
 * Brings all of a job onto this device: its stream, the definitions it names, its pictures and logs, its unit with the history.
 * Returns the jobs whose streams that took.
 *
 * @throws ApiError with a sentence where something is missing
 */
export async function keepWhole(person: string, id: string): Promise<readonly string[]> {
  const { job } = await request('job', { params: { id } });
  const stream = await wholeStream(person, id);
  const state = fold(stream.entries);
  for (const hash of new Set(definitionsIn(stream.entries))) await keepDefinition(person, hash);
  for (const picture of allStanding(state, 'picture'))
    if (!picture.gone)
      await takeFile(person, picture.id, id, addressOf('picture', { id, picture: picture.id }));
  for (const log of allStanding(state, 'log'))
    if (log.layout !== null) await takeFile(person, log.id, id, addressOf('log', { id, log: log.id }));
  await request('logs', { params: { id } });
  await request('unit', { params: { id: job.unit.id } });
  await request('share', { params: { id: job.unit.id } }).catch(() => undefined);
  const others = await Promise.all(
    [false, true].map((archived) => request('jobs', { query: { unit: job.unit.id, archived } })),
  );
  const ofUnit = others.flatMap((answer) => answer.jobs).map((other) => other.id);
  for (const other of ofUnit) await wholeStream(person, other);
  return [id, ...ofUnit];
}

/** The definitions that a job names anywhere: those it has now, and those of its frozen sheets. */
function definitionsIn(entries: readonly AcceptedEntry[]): readonly string[] {
  return entries.flatMap(({ body }) =>
    'definition' in body && body.definition ? [body.definition.hash] : [],
  );
}

/** The lists a technician starts from, and the company's whole library. */
export async function keepLibrary(person: string): Promise<void> {
  await request('company');
  for (const archived of [false, true]) await request('jobs', { query: { search: '', archived } });
  await request('units', { query: { search: '', archived: false } });
  await request('sites', { query: { search: '', archived: false } });
  await request('places', { query: { search: '', archived: false } });
  const { jobs } = await request('today');
  await noteAssigned(person, new Set(jobs.flatMap((job) => (job.assignedTo?.id === person ? [job.id] : []))));
  await request('progress').catch(() => undefined);
  const { controllers } = await request('controllers');
  for (const { hash } of controllers) await keepDefinition(person, hash);
}

/** A definition by its hash never changes: once it is here it need not be asked for. */
async function keepDefinition(person: string, hash: string): Promise<void> {
  if (await kept().answer(person, addressOf('controller', { hash }))) return;
  await request('controller', { params: { hash } });
}
