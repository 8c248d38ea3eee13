import type { AuditKind } from '@brine/contract/routes';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { Caller } from '../http/context.ts';

/** An event as it is kept: by whom, from where, about what. */
export interface AuditEvent {
  readonly kind: AuditKind;
  /** Null where nobody was signed in. */
  readonly personId: string | null;
  /** As it was typed, where nobody was signed in. */
  readonly login: string;
  readonly about: Readonly<Record<string, string>>;
}

/** As long as its column. */
const LONGEST_LOGIN = 200;
/** So long a login that is shut counts once. */
const ONCE_MINUTES = 15;

export function auditRepository(em: EntityManager) {
  const insert = `insert into audit (at, kind, person_id, login, address, browser, about)`;
  const valuesOf = ({ kind, personId, login, about }: AuditEvent, caller: Caller, now: Date) => [
    now,
    kind,
    personId,
    login.slice(0, LONGEST_LOGIN),
    caller.address.slice(0, 100),
    caller.browser,
    JSON.stringify(about),
  ];
  return {
    /** Keeps an event. */
    note: (event: AuditEvent, caller: Caller, now: Date) =>
      em.execute(`${insert} values (?, ?, ?, ?, ?, ?, ?::jsonb)`, valuesOf(event, caller, now)),
    /** Keeps an event unless the same was kept a moment ago: whoever tries on when it is shut fills no table. */
    noteOnce: (event: AuditEvent, caller: Caller, now: Date) =>
      em.execute(
        `${insert} select ?, ?, ?, ?, ?, ?, ?::jsonb where not exists (
           select 1 from audit where kind = ? and login = ? and address = ? and at > ?)`,
        [
          ...valuesOf(event, caller, now),
          event.kind,
          event.login.slice(0, LONGEST_LOGIN),
          caller.address.slice(0, 100),
          new Date(now.getTime() - ONCE_MINUTES * 60_000),
        ],
      ),
  };
}
