import type { Means } from '../http/context.ts';
import { firstOfMonth } from '../logs/months.ts';

/** Months made ahead of time, this one included: a log that is loaded into a month never waits for it. */
const MONTHS_AHEAD = 3;
/** Work that has ended is kept so long, with its file; links that have, as well. */
const KEPT_DAYS = 30;
const DAY_MS = 24 * 3600 * 1000;

/** What is done once an hour, by one of the servers. May be done twice. */
export async function keepHouse({ database, now }: Means): Promise<void> {
  const months = Array.from({ length: MONTHS_AHEAD }, (_, after) => firstOfMonth(now(), after));
  await database.transaction((repositories) => repositories.logs.makeMonths(months));
  await database.transaction(async (repositories) => {
    const before = new Date(now().getTime() - KEPT_DAYS * DAY_MS);
    await repositories.shares.dropBefore(before);
    await repositories.calendarFeeds.dropBefore(before);
    await repositories.work.dropBefore(before);
    await repositories.busLinks.dropCallsBefore(before);
  });
}
