import type { SecondFactorOf } from '@brine/contract/company';
import type { Role } from '@brine/contract/routes';
import type { Reader } from '../database/reader.ts';

/** A session that has not ended, with its person. */
export interface OpenSession {
  readonly lastUsedAt: Date;
  readonly id: string;
  readonly name: string;
  readonly login: string;
  readonly role: Role;
  readonly demo: boolean;
  readonly secondSince: Date | null;
  /** Whom the company asks for a second factor. */
  readonly secondFactor: SecondFactorOf;
}

/** What is read of sessions without changing them. */
export function sessionReads(reader: Reader) {
  return {
    /** The session of a cookie's hash and its person, who is not disabled; null where there is none at a moment. */
    async open(hash: string, now: Date): Promise<OpenSession | null> {
      const [row] = await reader.rows<OpenSession>(
        `select s.last_used_at as "lastUsedAt", p.id, p.name, p.login, p.role, p.demo, p.second_since as "secondSince",
                coalesce((select second_factor from company), 'nobody') as "secondFactor"
           from session s join person p on p.id = s.person_id
          where s.hash = ? and s.expires_at > ? and p.disabled_at is null`,
        [hash, now.toISOString()],
      );
      return row ?? null;
    },
  };
}
