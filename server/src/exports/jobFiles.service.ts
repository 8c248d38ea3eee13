import type { Work } from '@brine/contract/routes';
import type { Services, SignedIn } from '../http/context.ts';
import { askFor } from '../work/work.service.ts';

/** Begins writing every job, archived ones too, as a file of its own. */
export function askForJobFiles(services: Services, person: SignedIn): Promise<Work> {
  return askFor(services, person, 'jobFiles', 'Every job as a file', {});
}
