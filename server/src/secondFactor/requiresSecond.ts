import type { SecondFactorOf } from '@brine/contract/company';
import type { Role } from '@brine/contract/routes';

/** Whether a company asks somebody for a second factor. Demo people sign in on this machine alone and have none. */
export const requiresSecond = (
  { secondFactor }: { readonly secondFactor: SecondFactorOf },
  { role, demo }: { readonly role: Role; readonly demo: boolean },
): boolean => !demo && (secondFactor === 'everybody' || (secondFactor === 'leads' && role === 'lead'));
