import type { AcceptedEntry } from '@brine/core/record/entries';
import { request } from '../api/client.ts';
import { historyOf } from '../kept/stream.ts';

/** A job of a unit with its stream and the names in it. */
export interface NamedJob {
  readonly id: string;
  readonly title: string;
  readonly createdAt: string;
  /** Filed away: nothing is written into it any more. */
  readonly archived: boolean;
  readonly entries: readonly AcceptedEntry[];
  readonly names: Readonly<Record<string, string>>;
  /** Everything up to here was given to this device. */
  readonly seen: number;
}

/**
 * All jobs of a unit, open and filed away, with what was written into each.
 *
 * @throws ApiError where the server does not answer, or refuses
 */
export async function jobsOfUnit(person: string, unit: string): Promise<readonly NamedJob[]> {
  const lists = await Promise.all(
    [false, true].map(async (archived) =>
      (await request('jobs', { query: { unit, archived } })).jobs.map((job) => ({ job, archived })),
    ),
  );
  return Promise.all(
    lists.flat().map(async ({ job: { id, title, createdAt }, archived }) => {
      const { entries, names, seen } = await historyOf(person, id);
      return { id, title, createdAt, archived, entries, names, seen };
    }),
  );
}
