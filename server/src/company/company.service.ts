import type { Company as CompanyView } from '@brine/contract/routes';
import { randomUUID } from 'node:crypto';
import type { Sides } from '@brine/core/foundation/unit';
import type { Repositories } from '../database/database.ts';
import type { Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import type { Company } from './company.entity.ts';

export function readCompany(services: Services): Promise<CompanyView> {
  return services.database.transaction(async (repositories) => viewOf(await theCompany(repositories)));
}

export function changeCompany(
  services: Services,
  change: {
    readonly name?: string | undefined;
    readonly phone?: string | undefined;
    readonly schools?: Sides | undefined;
    readonly displayUnit?: CompanyView['displayUnit'] | undefined;
    readonly offlineDays?: number | undefined;
    readonly version: number;
  },
): Promise<CompanyView> {
  return services.database.transaction(async (repositories) => {
    const company = await theCompany(repositories);
    if (company.version !== change.version)
      throw new AppError('conflict', 'The company was changed by somebody else meanwhile; look again');
    if (change.name !== undefined) company.name = change.name;
    if (change.phone !== undefined) company.phone = change.phone;
    if (change.schools !== undefined) company.schools = change.schools;
    if (change.displayUnit !== undefined) company.displayUnit = change.displayUnit;
    if (change.offlineDays !== undefined) company.offlineDays = change.offlineDays;
    await repositories.company.save();
    return viewOf(company);
  });
}

/** The one company of this installation; made with a plain name where there is none yet. */
export async function theCompany(repositories: Repositories): Promise<Company> {
  const there = await repositories.company.find();
  if (there) return there;
  await repositories.company.makeOnce({
    id: randomUUID(),
    name: 'Our company',
    phone: '',
    schools: {},
    displayUnit: 'celsius',
  });
  return (await repositories.company.find())!;
}

function viewOf(company: Company): CompanyView {
  return {
    name: company.name,
    phone: company.phone,
    schools: company.schools,
    displayUnit: company.displayUnit,
    offlineDays: company.offlineDays,
    version: company.version,
  };
}
