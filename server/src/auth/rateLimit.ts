import type { Repositories } from '../database/database.ts';
import { AppError } from '../http/errors.ts';

/** Tries within the window: for one login from one address, for one login from anywhere, and for one address whatever the login. */
export const TRIES_PER_LOGIN_HERE = 8;
export const TRIES_PER_LOGIN = 40;
export const TRIES_PER_ADDRESS = 40;
/** Beyond this an address tries out names: nobody signs in from it any more. */
export const MOST_PER_ADDRESS = 200;
const WINDOW_MS = 15 * 60_000;

/**
 * Takes a try before the password is looked at, so that guesses side by side are counted as well as guesses one after the other. Each of
 * the three counts is one statement on one row. An address with too many tries still has one for a login that never failed there: one
 * careless or hostile device does not lock out the colleague beside it.
 */
export async function reserveTry(
  repositories: Repositories,
  login: string,
  address: string,
  now: Date,
): Promise<void> {
  const ends = new Date(now.getTime() + WINDOW_MS);
  const count = (key: string) => repositories.attempts.count(key, now, ends);
  // Always in this order: two requests never wait for each other crosswise.
  const there = await count(addressKey(address));
  const anywhere = await count(loginKey(login));
  const here = await count(pairKey(login, address));
  const shut = [
    here.tries > TRIES_PER_LOGIN_HERE ? here : null,
    anywhere.tries > TRIES_PER_LOGIN && here.tries > 1 ? anywhere : null,
    (there.tries > TRIES_PER_ADDRESS && here.tries > 1) || there.tries > MOST_PER_ADDRESS ? there : null,
  ].flatMap((count) => count ?? []);
  if (shut.length === 0) return;
  const minutes = Math.ceil((Math.max(...shut.map(({ ends: at }) => at.getTime())) - now.getTime()) / 60_000);
  throw new AppError(
    'tooMany',
    `Too many failed sign-ins; try again in ${minutes} min, or ask a lead for a new link`,
  );
}

/** A success gives its tries back. */
export async function giveBack(repositories: Repositories, login: string, address: string): Promise<void> {
  await repositories.attempts.takeBack(addressKey(address));
  await repositories.attempts.takeBack(loginKey(login));
  await repositories.attempts.forget(pairKey(login, address));
}

/** Gives a try back to the address and the login anywhere, and leaves it with the login there. */
export async function giveBackHere(
  repositories: Repositories,
  login: string,
  address: string,
): Promise<void> {
  await repositories.attempts.takeBack(addressKey(address));
  await repositories.attempts.takeBack(loginKey(login));
}

const plain = (login: string) => login.toLowerCase().slice(0, 200);
const loginKey = (login: string) => `login:${plain(login)}`;
const pairKey = (login: string, address: string) => `login:${plain(login)}:${address}`;
const addressKey = (address: string) => `address:${address}`;
