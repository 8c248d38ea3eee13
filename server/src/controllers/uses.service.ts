import type { Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import type { ControlPlace } from '../jobs/entry.repository.ts';

/** A unit that has, had or gets a control of a family. */
export interface ControllerUse extends ControlPlace {
  /** True where it is the very version asked about. */
  readonly thisVersion: boolean;
}

const MOST = 500;

/** Where a family is used. A job that has since named another control in the same place does not count. */
export function readUses(services: Services, hash: string): Promise<readonly ControllerUse[]> {
  return services.database.transaction(async (repositories) => {
    const controller = await repositories.controllers.byHash(hash);
    if (!controller) throw new AppError('notFound', 'No such version of a controller definition');
    const places = await repositories.entries.usesOf(controller.definitionId, MOST);
    return places.map((place) => ({ ...place, thisVersion: place.hash === hash }));
  });
}
