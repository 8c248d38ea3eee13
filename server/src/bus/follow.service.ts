import type { BusFollow, FollowedPoints, Work } from '@brine/contract/routes';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { askFor, viewWith } from '../work/work.service.ts';
import { checkedOnLine, type OnController } from './bus.service.ts';

/** A following: every how many seconds, from when and until when; of which job. */
export interface FollowWish extends OnController {
  readonly job: string;
  readonly every: number;
  readonly from: string;
  readonly until: string;
}

/** Points that one answer holds. */
const MOST_POINTS = 3600;
/** Followings of a job that are told, the newest first. */
const MOST_FOLLOWS = 5;

export async function askForFollow(
  services: Services,
  person: SignedIn,
  job: string,
  { hours, ...wish }: OnController & { readonly every: number; readonly hours: number },
): Promise<Work> {
  const title = await checkedOnLine(services, person, { job }, wish, 'Following');
  const from = services.now();
  return askFor(services, person, 'busFollow', title, {
    ...wish,
    job,
    from: from.toISOString(),
    until: new Date(from.getTime() + hours * 3_600_000).toISOString(),
  } satisfies FollowWish);
}

/** The followings of a job, the newest first. */
export async function listFollows(
  services: Services,
  person: SignedIn,
  job: string,
): Promise<readonly BusFollow[]> {
  return services.database.transaction(async (repositories) => {
    const follows: BusFollow[] = [];
    for (const work of await repositories.work.follows(job, MOST_FOLLOWS)) {
      const { line, device, every } = work.subject as FollowWish;
      follows.push({ work: await viewWith(repositories, work, person), line, device, every });
    }
    return follows;
  });
}

/** What a controller told after a moment. */
export function pointsAfter(
  services: Services,
  job: string,
  follow: string,
  after: string | undefined,
): Promise<FollowedPoints> {
  return services.database.transaction(async ({ work, busPoints }) => {
    const stored = await work.byId(follow);
    if (stored?.kind !== 'busFollow' || (stored.subject as FollowWish).job !== job)
      throw new AppError('notFound', 'Nothing of this job was followed under that id');
    const points = await busPoints.after(follow, new Date(after ?? 0), MOST_POINTS);
    return {
      points: points.map(({ at, readings }) => ({ at: at.toISOString(), readings })),
      more: points.length === MOST_POINTS,
    };
  });
}
