import type { Company as CompanyView, KindOffer } from '@brine/contract/routes';
import { kindPriors, UNITS_FOR_A_KIND } from '@brine/core/judgement/learning';
import type { BoxFile } from '@brine/core/machines/identification';
import type { Repositories } from '../database/database.ts';
import type { Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import type { Company } from './company.entity.ts';
import { theCompany, viewOf } from './company.service.ts';

/** Kinds of which units were learned, most units first; what they have in common where there are enough of them. */
export function readKinds(services: Services): Promise<readonly KindOffer[]> {
  return services.database.transaction(async (repositories) =>
    offersOf(repositories, await theCompany(repositories)),
  );
}

/** Takes what the learned units of a kind have in common for the next ones, or goes back to what is usual. */
export function useKind(
  services: Services,
  { application, use }: { readonly application: string; readonly use: boolean },
): Promise<{ readonly company: CompanyView; readonly kinds: readonly KindOffer[] }> {
  return services.database.transaction(async (repositories) => {
    const company = await theCompany(repositories);
    const offer = (await offersOf(repositories, company)).find((kind) => kind.application === application);
    if (use && !offer?.priors)
      throw new AppError(
        'badInput',
        `application: expected a kind of which ${UNITS_FOR_A_KIND} units or more were learned, this one has ${offer?.units ?? 0}`,
      );
    const { [application]: _, ...others } = company.kinds;
    company.kinds = use
      ? {
          ...others,
          [application]: {
            units: offer!.units,
            at: services.now().toISOString(),
            priors: offer!.priors!,
          },
        }
      : others;
    await repositories.company.save();
    return { company: viewOf(company), kinds: await offersOf(repositories, company) };
  });
}

async function offersOf({ entries }: Repositories, { kinds }: Company): Promise<readonly KindOffer[]> {
  const byKind = new Map<string, BoxFile[]>(Object.keys(kinds).map((application) => [application, []]));
  for (const box of await entries.boxesInUse()) {
    if (!box.application || !box.point) continue;
    byKind.set(box.application, [...(byKind.get(box.application) ?? []), box]);
  }
  return [...byKind]
    .map(([application, boxes]) => {
      const priors = boxes.length < UNITS_FOR_A_KIND ? {} : kindPriors(boxes);
      return {
        application,
        units: boxes.length,
        priors: Object.keys(priors).length > 0 ? priors : null,
        used: kinds[application] ?? null,
      };
    })
    .sort((a, b) => b.units - a.units);
}
