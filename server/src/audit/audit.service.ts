import { AUDIT_A_PAGE, type AuditKind } from '@brine/contract/routes';
import type { Caller, Services } from '../http/context.ts';
import { Written, writtenAnswer, type WrittenAnswer } from '../http/written.ts';
import type { AuditEvent } from './audit.repository.ts';

/** Keeps an event; one that comes again and again from the same place once a quarter of an hour. */
export async function note(
  { database, now }: Services,
  caller: Caller,
  event: AuditEvent,
  often: 'each' | 'once' = 'each',
): Promise<void> {
  await database.transaction(({ audit }) =>
    often === 'each' ? audit.note(event, caller, now()) : audit.noteOnce(event, caller, now()),
  );
}

/** Events, the newest first: a page of them, where the next one starts, and how many there are. */
export async function listAudit(
  services: Services,
  wish: {
    readonly after?: string | undefined;
    readonly kind?: AuditKind | undefined;
    readonly person?: string | undefined;
  },
): Promise<WrittenAnswer> {
  const { audit } = services.database.reads;
  const { ids, next, total } = await audit.search({
    kind: wish.kind ?? null,
    personId: wish.person ?? null,
    after: wish.after ?? null,
    limit: AUDIT_A_PAGE,
  });
  return writtenAnswer({ lines: new Written(await audit.viewsText(ids)), next, total });
}
