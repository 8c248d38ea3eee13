import { randomBytes } from 'node:crypto';
import type { SharedPage } from '@brine/contract/routes';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { sheetInputOf } from '../sheets/sheets.service.ts';
import { mustFindUnit } from '../units/units.service.ts';

/** 128 bits. */
const TOKEN_BYTES = 16;

/** The open link of a unit, or null. */
export function shareOf(services: Services, unitId: string): Promise<{ readonly token: string } | null> {
  return services.database.transaction(async (repositories) => {
    await mustFindUnit(repositories, unitId);
    const share = await repositories.shares.openOf(unitId);
    return share && { token: share.token };
  });
}

/** Makes a link for a unit, or gives the one that is open: every sheet of a unit carries the same. */
export function makeShare(
  services: Services,
  person: SignedIn,
  unitId: string,
): Promise<{ readonly token: string }> {
  return services.database.transaction(async (repositories) => {
    await mustFindUnit(repositories, unitId);
    const open = await repositories.shares.openOf(unitId);
    if (open) return { token: open.token };
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    await repositories.shares.create({
      token,
      unitId,
      createdBy: person.id,
      createdAt: services.now(),
      revokedAt: null,
    });
    return { token };
  });
}

/** Revokes the open link of a unit: the QR code on its sheets leads nowhere from now on. */
export function revokeShare(services: Services, unitId: string): Promise<void> {
  return services.database.transaction(async (repositories) => {
    const open = await repositories.shares.openOf(unitId);
    if (!open) throw new AppError('notFound', 'This unit has no open link');
    open.revokedAt = services.now();
    await repositories.shares.save();
  });
}

/** What a link shows: the sheet of the unit's last job that chose a control, without people, pictures and codes. */
export async function readShare(services: Services, token: string): Promise<SharedPage> {
  const { database, threads } = services;
  const jobs = await database.transaction(async (repositories) => {
    const share = await repositories.shares.byToken(token);
    // A wrong and a revoked link look the same from outside.
    if (!share || share.revokedAt !== null)
      throw new AppError('notFound', 'This link leads nowhere (any more)');
    return repositories.jobs.ofUnit(share.unitId);
  });
  for (const { id } of jobs) {
    const input = await database.transaction((repositories) => sheetInputOf(repositories, id));
    const page = await threads.run('sharedPageOf', input);
    if (page) return page;
  }
  throw new AppError('notFound', 'Nothing was handed over on this unit yet');
}
