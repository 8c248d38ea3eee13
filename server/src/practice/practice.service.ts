import type { ProgressLine } from '@brine/contract/routes';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';

/** A finished drill as a page tells of it. */
export interface FinishedDrill {
  readonly id: string;
  readonly definitionId: string;
  readonly family: string;
  readonly drill: string;
  readonly passed: boolean;
  readonly seconds: number;
  readonly strokes: number;
  readonly fewest: number;
  readonly hints: number;
}

/** Keeps a finished drill. Sent again with the same id it is kept once; an id of somebody else's run is refused. */
export function keepRun(
  services: Services,
  person: SignedIn,
  run: FinishedDrill,
): Promise<{ readonly id: string }> {
  return services.database.transaction(async (repositories) => {
    const known = await repositories.practiceRuns.byId(run.id);
    if (known && known.personId !== person.id) throw new AppError('conflict', 'This run is somebody else’s');
    if (!known)
      await repositories.practiceRuns.create({ ...run, personId: person.id, doneAt: services.now() });
    return { id: run.id };
  });
}

/** One's own progress; a lead sees everybody's. */
export function readProgress(services: Services, person: SignedIn): Promise<readonly ProgressLine[]> {
  return services.database.transaction(async (repositories) => {
    const rows = await repositories.practiceRuns.progress(person.role === 'lead' ? null : person.id);
    const people = new Map((await repositories.people.all()).map((p) => [p.id, p.name]));
    return rows.map(({ personId, lastAt, ...row }) => ({
      ...row,
      person: personId,
      name: people.get(personId) ?? '',
      lastAt: lastAt.toISOString(),
    }));
  });
}
