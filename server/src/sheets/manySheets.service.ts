import type { Work } from '@brine/contract/routes';
import type { Services, SignedIn } from '../http/context.ts';
import { mustFindSite } from '../sites/sites.service.ts';
import { askFor } from '../work/work.service.ts';
import type { ManySheets } from './sheets.work.ts';

/** Begins making the sheets of a site, or of all sites where none is named. */
export async function askForSheets(services: Services, person: SignedIn, wish: ManySheets): Promise<Work> {
  const { site } = wish;
  const name =
    site === null
      ? 'every site'
      : (await services.database.transaction((repositories) => mustFindSite(repositories, site))).name;
  return askFor(services, person, 'sheets', `Sheets of ${name}`, wish);
}
