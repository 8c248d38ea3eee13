import type { Work } from '@brine/contract/routes';
import type { Services, SignedIn } from '../http/context.ts';
import { mustFindSite } from '../sites/sites.service.ts';
import { askFor } from '../work/work.service.ts';
import type { ReportWish } from './report.work.ts';

/** Begins a report for the customer on a site, or on all sites where none is named. */
export async function askForReport(services: Services, person: SignedIn, wish: ReportWish): Promise<Work> {
  const { site, from, to } = wish;
  const name =
    site === null
      ? 'every site'
      : (await services.database.transaction((repositories) => mustFindSite(repositories, site))).name;
  return askFor(services, person, 'report', `Report on ${name}, ${from} to ${to}`, wish);
}
