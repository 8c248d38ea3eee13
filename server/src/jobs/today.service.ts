import type { Services } from '../http/context.ts';
import { Written, writtenAnswer, type WrittenAnswer } from '../http/written.ts';

/** Most unfinished jobs that are told at once; the rest are found in the list of jobs. */
const MOST_UNFINISHED = 100;
const MOST_OTHERS = 50;
/** Some stand beside the board; all are found among the units. */
const MOST_WITHOUT_SHEET = 5;
const DAY_MS = 24 * 3600 * 1000;
/** What is due within so many days is told. */
const AHEAD_DAYS = 7;

/** The company's day: what is not finished, what was handed over since yesterday, what is due. */
export async function readToday(services: Services): Promise<WrittenAnswer> {
  const now = services.now();
  const ahead = new Date(now.getTime() + AHEAD_DAYS * DAY_MS).toISOString().slice(0, 10);
  const { jobs, units, people } = services.database.reads;
  const [unfinished, handed, due, withoutSheet, atWork] = await Promise.all([
    jobs.unfinished(MOST_UNFINISHED),
    jobs.finishedSince(new Date(now.getTime() - DAY_MS), MOST_OTHERS),
    jobs.dueBy(ahead, MOST_OTHERS),
    units.withoutSheet(MOST_WITHOUT_SHEET),
    people.atWork(),
  ]);
  const texts = await Promise.all([unfinished.ids, handed, due].map((ids) => jobs.viewsText(ids)));
  const [ofUnfinished, ofHanded, ofDue] = texts.map((text) => new Written(text));
  return writtenAnswer({
    jobs: ofUnfinished,
    total: unfinished.total,
    handedOver: ofHanded,
    due: ofDue,
    withoutSheet,
    people: atWork,
  });
}
