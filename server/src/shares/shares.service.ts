import { randomUUID } from 'node:crypto';
import type { SharedPage } from '@brine/contract/routes';
import { hashOf, newLinkToken } from '../auth/token.ts';
import type { Repositories } from '../database/database.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { sheetInputOf } from '../sheets/sheets.service.ts';
import { mustFindUnit } from '../units/units.service.ts';

/** A sheet is printed anew at the next visit: long before its link ends. */
const SHARE_YEARS = 3;

/** A link that was just made: its token is told here, once. */
export interface NewShare {
  readonly token: string;
  readonly endsAt: string;
}

/** Whether a unit has an open link, and until when the longest lasts. */
export function shareOf(services: Services, unitId: string): Promise<{ readonly endsAt: string } | null> {
  return services.database.transaction(async (repositories) => {
    await mustFindUnit(repositories, unitId);
    const share = await repositories.shares.openOf(unitId, services.now());
    return share && { endsAt: share.endsAt.toISOString() };
  });
}

/** Makes a link for a unit. Those made before go on. */
export function makeShare(services: Services, person: SignedIn, unitId: string): Promise<NewShare> {
  return services.database.transaction(async (repositories) => {
    await mustFindUnit(repositories, unitId);
    return newShare(repositories, services.now(), person.id, unitId);
  });
}

/** A link of its own for a sheet, on a unit that has an open one already; null where links were never asked for or are revoked. */
export async function shareForSheet(
  repositories: Repositories,
  now: Date,
  personId: string,
  unitId: string,
): Promise<string | null> {
  const open = await repositories.shares.openOf(unitId, now);
  return open && (await newShare(repositories, now, personId, unitId)).token;
}

async function newShare(
  repositories: Repositories,
  now: Date,
  personId: string,
  unitId: string,
): Promise<NewShare> {
  const token = newLinkToken();
  const endsAt = new Date(now);
  endsAt.setUTCFullYear(endsAt.getUTCFullYear() + SHARE_YEARS);
  await repositories.shares.create({
    id: randomUUID(),
    tokenHash: hashOf(token),
    unitId,
    createdBy: personId,
    createdAt: now,
    endsAt,
    revokedAt: null,
  });
  return { token, endsAt: endsAt.toISOString() };
}

/** Revokes every link of a unit: the QR codes on its sheets lead nowhere from now on. */
export function revokeShare(services: Services, unitId: string): Promise<void> {
  return services.database.transaction(async (repositories) => {
    if ((await repositories.shares.revokeAll(unitId, services.now())) === 0)
      throw new AppError('notFound', 'This unit has no open link');
  });
}

/** The unit of a link that is open. */
export async function unitOfShare(services: Services, token: string): Promise<string> {
  const share = await services.database.transaction((repositories) =>
    repositories.shares.openByHash(hashOf(token), services.now()),
  );
  if (!share) throw leadsNowhere();
  return share.unitId;
}

/** A wrong, an ended and a revoked link look the same from outside. */
const leadsNowhere = () => new AppError('notFound', 'This link leads nowhere (any more)');

/**
 * What a link shows, without people, pictures and codes: the unit by its newest job in which somebody saw what is in it. A control that is only planned does not stand
 * for the one that is there; it is shown where nobody saw anything yet.
 */
export async function readShare(services: Services, token: string): Promise<SharedPage> {
  const { database, threads } = services;
  const jobs = await database.transaction(async (repositories) => {
    const share = await repositories.shares.openByHash(hashOf(token), services.now());
    if (!share) throw leadsNowhere();
    return repositories.jobs.ofUnit(share.unitId);
  });
  let planned: SharedPage | null = null;
  for (const { id } of jobs) {
    const input = await database.transaction((repositories) => sheetInputOf(repositories, id));
    const page = await threads.run('sharedPageOf', input);
    if (page && page.groups.length > 0) return page;
    planned ??= page;
  }
  if (planned) return planned;
  throw new AppError('notFound', 'Nothing was handed over on this unit yet');
}
