import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { ticketEntity, type Ticket } from './ticket.entity.ts';

export function ticketRepository(em: EntityManager) {
  return {
    byHash: (hash: string) => em.findOne(ticketEntity, { hash }),
    create: (ticket: Ticket) => insert(em, ticketEntity, ticket),
    end: (hash: string) => em.nativeDelete(ticketEntity, { hash }),
    endAllOf: (personId: string) => em.nativeDelete(ticketEntity, { personId }),
    endExpired: (now: Date) => em.nativeDelete(ticketEntity, { expiresAt: { $lt: now } }),
  };
}
