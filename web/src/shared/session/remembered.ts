import { nameHere } from '../mount/mount.ts';
import { USUAL_OFFLINE_DAYS } from '@brine/contract/lengths';
import type { Company, Person } from '@brine/contract/routes';

const KNOWN = nameHere('brine-person');
const DAY_MS = 86_400_000;

/** The person of the last contact with the server. */
export interface Remembered {
  readonly person: Person;
  readonly company: Company | null;
  /** When the server last answered this person, ISO 8601, by this device's clock. */
  readonly contactAt: string;
  /** Days of work without contact. */
  readonly days: number;
}

export function rememberPerson(person: Person, company: Company | null, now: Date): void {
  const days = company?.offlineDays ?? USUAL_OFFLINE_DAYS;
  const known: Remembered = { person, company, contactAt: now.toISOString(), days };
  localStorage.setItem(KNOWN, JSON.stringify(known));
}

export const forgetPerson = (): void => localStorage.removeItem(KNOWN);

/** Who was signed in at the last contact; null where nobody was, or where it cannot be read. */
export function remembered(): Remembered | null {
  try {
    const known = JSON.parse(localStorage.getItem(KNOWN) ?? 'null') as Partial<Remembered> | null;
    return typeof known?.contactAt === 'string' && known.person ? (known as Remembered) : null;
  } catch {
    return null;
  }
}

/** Whether this person may still work without contact. A clock set back by more than a day gains nothing. */
export function mayWorkOffline({ contactAt, days }: Remembered, now: Date): boolean {
  const away = now.getTime() - Date.parse(contactAt);
  return away >= -DAY_MS && away <= days * DAY_MS;
}
