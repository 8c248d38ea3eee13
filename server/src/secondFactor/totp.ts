import { randomBytes } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';

/** Seconds that a code lasts, and its digits: what every authenticator app takes without being told (RFC 6238, 4; RFC 4226, 5.3). */
const STEP_SECONDS = 30;
const DIGITS = 6;
/** A clock that is so many steps off is still let in (RFC 6238, 5.2 advises one). */
const STEPS_OFF = 1;
/** 160 bits, as long as the output of its hash (RFC 4226, 4). */
const SECRET_BYTES = 20;

/** A new secret, in the letters that apps and people read. */
export const newSecret = (): string =>
  new Secret({ buffer: new Uint8Array(randomBytes(SECRET_BYTES)).buffer }).base32;

/** What an app reads from a square code: whose secret it is, and where. */
export const addressOf = (secret: string, login: string, company: string): string =>
  totp(secret, login, company).toString();

/**
 * The step of time whose code this is, at a moment; null where it is none, or one of a step up to `last`, which was used already: a code works once.
 *
 * @param secret in base 32
 * @param code digits as typed, with or without blanks
 */
export function stepOf(secret: string, code: string, now: Date, last: number): number | null {
  const typed = code.replace(/\s/g, '');
  if (!/^\d{6}$/.test(typed)) return null;
  const off = totp(secret, '', '').validate({ token: typed, timestamp: now.getTime(), window: STEPS_OFF });
  if (off === null) return null;
  const step = Math.floor(now.getTime() / 1000 / STEP_SECONDS) + off;
  return step > last ? step : null;
}

const totp = (secret: string, label: string, issuer: string): TOTP =>
  new TOTP({ issuer, label, secret: Secret.fromBase32(secret), digits: DIGITS, period: STEP_SECONDS });
