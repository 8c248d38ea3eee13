import type { AnswerOf, api } from '@brine/contract/routes';
import type { Services } from '../http/context.ts';

/** Most unfinished jobs that are told at once; the rest are found in the list of jobs. */
const MOST_UNFINISHED = 300;
const MOST_OTHERS = 50;
/** Some stand beside the board; all are found among the units. */
const MOST_WITHOUT_SHEET = 5;
const DAY_MS = 24 * 3600 * 1000;
/** What is due within so many days is told. */
const AHEAD_DAYS = 7;

/** The company's day: what is not finished, what was handed over since yesterday, what is due. */
export function readToday(services: Services): Promise<AnswerOf<typeof api.today>> {
  const now = services.now();
  const ahead = new Date(now.getTime() + AHEAD_DAYS * DAY_MS).toISOString().slice(0, 10);
  return services.database.transaction(async (repositories) => {
    const { ids, total } = await repositories.jobs.unfinished(MOST_UNFINISHED);
    const handed = await repositories.jobs.finishedSince(new Date(now.getTime() - DAY_MS), MOST_OTHERS);
    const due = await repositories.jobs.dueBy(ahead, MOST_OTHERS);
    const people = await repositories.people.all();
    return {
      jobs: await repositories.jobs.views(ids),
      total,
      handedOver: await repositories.jobs.views(handed),
      due: await repositories.jobs.views(due),
      withoutSheet: await repositories.units.withoutSheet(MOST_WITHOUT_SHEET),
      people: people
        .filter((person) => person.disabledAt === null && person.role !== 'viewer')
        .map(({ id, name }) => ({ id, name })),
    };
  });
}
