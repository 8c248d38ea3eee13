import type { AcceptedEntry } from '@brine/core/record/entries';
import { ApiError, request } from '../api/client.ts';
import { kept, type KeptStream } from './keptStorage.ts';

/** A job's stream as this device has it; empty where it was never opened here. */
export async function keptStream(person: string, job: string): Promise<KeptStream> {
  return (await kept().stream(person, job)) ?? { person, job, entries: [], names: {}, seen: 0 };
}

/** What the server has after that, page by page, until nothing more is there; each page is told as it comes. */
export async function entriesAfter(
  job: string,
  seen: number,
  told: (entries: readonly AcceptedEntry[], names: Readonly<Record<string, string>>) => void,
): Promise<void> {
  let after = seen;
  for (let more = true; more;) {
    const page = await request('entries', { params: { id: job }, query: { after } });
    told(page.entries, page.names);
    after = Math.max(after, ...page.entries.map((entry) => entry.sequence));
    more = page.more;
  }
}

/** A stream with more of it: by sequence, each entry once. `seen`: up to where the server gave it in a row. */
export function joined(
  stream: KeptStream,
  entries: readonly AcceptedEntry[],
  names: Readonly<Record<string, string>>,
  seen: number,
): KeptStream {
  const all = new Map(stream.entries.map((entry) => [entry.id, entry]));
  for (const entry of entries) if (entry.job === stream.job) all.set(entry.id, entry);
  return {
    ...stream,
    entries: [...all.values()].toSorted((a, b) => a.sequence - b.sequence),
    names: { ...stream.names, ...names },
    seen: Math.max(stream.seen, seen),
  };
}

/**
 * The whole stream of a job: what is here, and what the server has beyond it.
 *
 * @throws ApiError where the server does not answer, or refuses
 */
export async function wholeStream(person: string, job: string): Promise<KeptStream> {
  const here = await kept().stream(person, job);
  let stream = here ?? (await keptStream(person, job));
  await entriesAfter(job, stream.seen, (entries, names) => {
    stream = joined(stream, entries, names, Math.max(0, ...entries.map((entry) => entry.sequence)));
  });
  // A job on which nothing was done yet is kept as well: it begins without signal.
  if (stream !== here) await kept().keepStream(stream);
  return stream;
}

/**
 * The same, to be read: with the server away, what is here.
 *
 * @throws ApiError where the server refuses, or where it is away and nothing is here
 */
export async function historyOf(person: string, job: string): Promise<KeptStream> {
  try {
    return await wholeStream(person, job);
  } catch (error) {
    const here = await kept().stream(person, job);
    if (!(error instanceof ApiError) || !error.isAway || !here) throw error;
    return here;
  }
}
