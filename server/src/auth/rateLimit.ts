import type { Repositories } from '../database/database.ts';
import { AppError } from '../http/errors.ts';

/** Failed sign-ins allowed within the window: for one login from one address, and for one address whatever the login. */
export const FAILURES_PER_LOGIN = 8;
export const FAILURES_PER_ADDRESS = 40;
const WINDOW_MS = 15 * 60_000;

/** Refuses a sign-in where too many have failed, with the minutes to wait. */
export async function refuseWhenLimited(
  repositories: Repositories,
  login: string,
  address: string,
  now: Date,
): Promise<void> {
  const limits = [
    [loginKey(login, address), FAILURES_PER_LOGIN],
    [addressKey(address), FAILURES_PER_ADDRESS],
  ] as const;
  for (const [key, most] of limits) {
    const attempt = await repositories.attempts.byKey(key);
    if (!attempt || attempt.windowEndsAt <= now || attempt.failures < most) continue;
    const minutes = Math.ceil((attempt.windowEndsAt.getTime() - now.getTime()) / 60_000);
    throw new AppError(
      'tooMany',
      `Too many failed sign-ins; try again in ${minutes} min, or ask a lead for a new link`,
    );
  }
}

/** Counts a failed sign-in for the login and the address. */
export async function countFailure(
  repositories: Repositories,
  login: string,
  address: string,
  now: Date,
): Promise<void> {
  const ends = new Date(now.getTime() + WINDOW_MS);
  await repositories.attempts.countFailure(loginKey(login, address), now, ends);
  await repositories.attempts.countFailure(addressKey(address), now, ends);
  await repositories.attempts.forgetExpired(now);
}

/** A success clears the login's count. */
export async function forgetFailures(
  repositories: Repositories,
  login: string,
  address: string,
): Promise<void> {
  await repositories.attempts.forget(loginKey(login, address));
}

function loginKey(login: string, address: string): string {
  return `login:${login.toLowerCase().slice(0, 200)}:${address}`;
}

function addressKey(address: string): string {
  return `address:${address}`;
}
