import { UNNAMED_COMPANY, type SecondFactorOf } from '@brine/contract/company';
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
    readonly logo?: string | null | undefined;
    readonly schools?: Sides | undefined;
    readonly displayUnit?: CompanyView['displayUnit'] | undefined;
    readonly offlineDays?: number | undefined;
    readonly secondFactor?: SecondFactorOf | undefined;
    readonly version: number;
  },
): Promise<CompanyView> {
  return services.database.transaction(async (repositories) => {
    const company = await theCompany(repositories);
    if (company.version !== change.version)
      throw new AppError('conflict', 'The company was changed by somebody else meanwhile; look again');
    if (change.name !== undefined) company.name = change.name;
    if (change.phone !== undefined) company.phone = change.phone;
    if (change.logo !== undefined) company.logo = change.logo === null ? null : wholePicture(change.logo);
    if (change.schools !== undefined) {
      company.schools = change.schools;
      // A plan that follows the company's preferences may be another one now, and what is open with it.
      await repositories.jobs.summariseAnew();
    }
    if (change.displayUnit !== undefined) company.displayUnit = change.displayUnit;
    if (change.offlineDays !== undefined) company.offlineDays = change.offlineDays;
    if (change.secondFactor !== undefined) company.secondFactor = change.secondFactor;
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
    name: UNNAMED_COMPANY,
    phone: '',
    schools: {},
    displayUnit: 'celsius',
  });
  return (await repositories.company.find())!;
}

/** First bytes of the pictures that papers can hold (ISO/IEC 15948, 5.2; ITU-T T.81, table B.1). */
const beginnings = { png: [0x89, 0x50, 0x4e, 0x47], jpeg: [0xff, 0xd8, 0xff] } as const;

/** A picture is what it says it is: papers are drawn from it for everybody. */
function wholePicture(url: string): string {
  const [, type, data] = /^data:image\/(png|jpeg);base64,(.+)$/.exec(url) ?? [];
  const bytes = Buffer.from(data ?? '', 'base64');
  if (!type || !beginnings[type as 'png' | 'jpeg'].every((byte, at) => bytes[at] === byte))
    throw new AppError('badInput', 'logo: expected a PNG or JPEG picture');
  return url;
}

/** What everybody may know of the company. */
export function viewOf(company: Company): CompanyView {
  return {
    name: company.name,
    phone: company.phone,
    logo: company.logo ?? null,
    schools: company.schools,
    displayUnit: company.displayUnit,
    offlineDays: company.offlineDays,
    secondFactor: company.secondFactor,
    kinds: company.kinds,
    version: company.version,
  };
}
