import type { Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import type { ControlPlace, ShownOtherwise } from '../jobs/entry.repository.ts';

/** A unit that has, had or gets a control of a family. */
export interface ControllerUse extends ControlPlace {
  /** True where it is the very version asked about. */
  readonly thisVersion: boolean;
}

const MOST = 500;

/** What is known of a version from where it is used. */
export interface ControllerUses {
  readonly uses: readonly ControllerUse[];
  /** Who added it, and when; empty where nobody is known. */
  readonly addedBy: string;
  readonly addedAt: string;
  /** Its codes by the units on which their display was confirmed. */
  readonly proven: readonly { readonly code: string; readonly units: number }[];
  /** Where a display showed something else than was keyed. */
  readonly shownOtherwise: readonly ShownOtherwise[];
}

/** Where a family is used. A job that has since named another control in the same place does not count. */
export function readUses(services: Services, hash: string): Promise<ControllerUses> {
  return services.database.transaction(async (repositories) => {
    const controller = await repositories.controllers.byHash(hash);
    if (!controller) throw new AppError('notFound', 'No such version of a controller definition');
    const places = await repositories.entries.usesOf(controller.definitionId, MOST);
    const uses = places.map((place) => ({ ...place, thisVersion: place.hash === hash }));
    const jobs = uses.filter((use) => use.thisVersion && use.role === 'new').map(({ job }) => job);
    const { proven, shownOtherwise } = await repositories.entries.keyedIn(jobs);
    const person = !controller.addedBy ? null : await repositories.people.byId(controller.addedBy);
    return {
      uses,
      addedBy: person?.name ?? '',
      addedAt: controller.createdAt.toISOString(),
      proven,
      shownOtherwise,
    };
  });
}
