import { randomUUID } from 'node:crypto';
import { findSetting, type SettingId } from '@brine/core/foundation/settings';
import type { Choice } from '@brine/core/controllers/suggest';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';

/** Choices that suggestions learn from: the newest of each wording. */
const MOST = 5000;

export function readMeanings(services: Services): Promise<readonly Choice[]> {
  return services.database.transaction(async (repositories) => {
    const seen = new Set<string>();
    return (await repositories.meanings.newest(MOST)).flatMap(({ description, setting }) => {
      const key = description.toLowerCase();
      if (seen.has(key)) return [];
      seen.add(key);
      return [{ description, setting: setting as SettingId | null }];
    });
  });
}

/** Keeps what somebody decided, so that the company's next booklet is read better. */
export function learnMeanings(
  services: Services,
  person: SignedIn,
  choices: readonly { readonly description: string; readonly setting?: string | null | undefined }[],
): Promise<{ readonly kept: number }> {
  const unknown = choices.find(({ setting }) => Boolean(setting) && !findSetting(setting!));
  if (unknown) throw new AppError('badInput', `${unknown.setting} is not a known setting`);
  return services.database.transaction(async (repositories) => {
    for (const { description, setting } of choices)
      await repositories.meanings.create({
        id: randomUUID(),
        personId: person.id,
        description,
        setting: setting ?? null,
        chosenAt: services.now(),
      });
    return { kept: choices.length };
  });
}
