import { dictionary } from '@zxcvbn-ts/language-common';
import { SHORTEST_PASSWORD } from '@brine/contract/lengths';
import { fieldProblem } from '../http/errors.ts';

/** Fewer different characters than this are a pattern, not a password. */
const LEAST_DIFFERENT = 5;
/** Passwords that stand in this project's own pages. */
const PRINTED = ['salt-and-ice'];
const common = new Set([...(dictionary['passwords-common'] as readonly string[]), ...PRINTED]);

/**
 * What is wrong with a new password, in a sentence, or null. Length counts most (NIST SP 800-63B §5.1.1.2, from memory: no rules on kinds of
 * characters, but a list of what is tried first); a login or a name is no secret.
 */
export function passwordProblem(password: string, known: readonly string[]): string | null {
  if (Array.from(password.trim()).length < SHORTEST_PASSWORD)
    return `expected at least ${SHORTEST_PASSWORD} characters, blanks around them not counted`;
  if (new Set(password.replace(/\s/g, '')).size < LEAST_DIFFERENT)
    return `expected at least ${LEAST_DIFFERENT} different characters`;
  const plain = password.trim().toLowerCase();
  if (common.has(plain)) return 'this one is on the lists that are tried first; expected another';
  const bare = plain.replace(/[\d\W_]+/g, '');
  const told = known.map((text) => text.toLowerCase().replace(/[\d\W_]+/g, '')).filter((text) => text !== '');
  if (told.includes(bare)) return 'this is your login or name with a few signs; expected another';
  return null;
}

/** Refuses a password with its sentence, at its field. */
export function refuseWeak(password: string, known: readonly string[], field = 'body.password'): void {
  const problem = passwordProblem(password, known);
  if (problem === null) return;
  throw fieldProblem(field, `Password: ${problem}`);
}
