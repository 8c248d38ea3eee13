import { randomBytes } from 'node:crypto';
import { Secret } from 'otpauth';

/** Recovery codes of one set. */
export const RECOVERY_CODES = 10;
const RECOVERY_BYTES = 10;

/** A code of 80 bits for the day the phone is gone, in four groups that can be read out. */
export const newRecoveryCode = (): string =>
  new Secret({ buffer: new Uint8Array(randomBytes(RECOVERY_BYTES)).buffer }).base32
    .toLowerCase()
    .replace(/(.{4})(?=.)/g, '$1-');

/** A recovery code as it is kept, however it was typed; null where it is none. */
export function recoveryCodeTyped(typed: string): string | null {
  const letters = typed.toLowerCase().replace(/[\s-]/g, '');
  return /^[a-z2-7]{16}$/.test(letters) ? letters : null;
}
