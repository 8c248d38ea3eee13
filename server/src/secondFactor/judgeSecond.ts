import type { Repositories } from '../database/database.ts';
import type { Person } from '../people/person.entity.ts';
import { hashOf } from '../auth/token.ts';
import { recoveryCodeTyped } from './recoveryCode.ts';
import { stepOf } from './totp.ts';

/** What is said of a code that is not right: also of one that was, once. */
export const WRONG_CODE = 'This code is not the one of now, or it was used already; wait for the next';

/** What a person with a second factor typed beside the password: a code of the app, or a recovery code. */
export type SecondTyped = 'none' | 'right' | 'wrong' | 'recovery';

/** Judges what was typed, and uses it up: a code works once, whoever comes second. Inside a transaction. */
export async function judgeSecond(
  repositories: Repositories,
  person: Person,
  typed: string | null,
  now: Date,
): Promise<SecondTyped> {
  if (typed === null) return 'none';
  const recovery = recoveryCodeTyped(typed);
  if (recovery !== null)
    return (await repositories.recoveryCodes.use(person.id, hashOf(recovery), now)) ? 'recovery' : 'wrong';
  await repositories.people.lock(person.id);
  const kept = await repositories.people.secondOf(person.id);
  const step = kept && stepOf(kept.secret, typed, now, kept.step);
  if (step === null) return 'wrong';
  await repositories.people.keepSecondStep(person.id, step);
  return 'right';
}
