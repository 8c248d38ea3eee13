import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';
import { attemptRepository } from '../auth/attempt.repository.ts';
import { recoveryCodeRepository } from '../secondFactor/recoveryCode.repository.ts';
import { auditRepository } from '../audit/audit.repository.ts';
import { sessionRepository } from '../auth/session.repository.ts';
import { ticketRepository } from '../auth/ticket.repository.ts';
import { busLineRepository } from '../bus/busLine.repository.ts';
import { busLinkRepository } from '../bus/busLink.repository.ts';
import { busPointRepository } from '../bus/busPoint.repository.ts';
import { calendarFeedRepository } from '../calendars/calendarFeed.repository.ts';
import { companyRepository } from '../company/company.repository.ts';
import { controllerRepository } from '../controllers/controller.repository.ts';
import { entryRepository } from '../jobs/entry.repository.ts';
import { logRepository } from '../logs/log.repository.ts';
import { jobRepository } from '../jobs/job.repository.ts';
import { invitationRepository } from '../people/invitation.repository.ts';
import { meaningRepository } from '../meanings/meaning.repository.ts';
import { pictureRepository } from '../pictures/picture.repository.ts';
import { practiceRunRepository } from '../practice/practiceRun.repository.ts';
import { personRepository } from '../people/person.repository.ts';
import { reviewRepository } from '../reviews/review.repository.ts';
import { shareRepository } from '../shares/share.repository.ts';
import { siteRepository } from '../sites/site.repository.ts';
import { unitRepository } from '../units/unit.repository.ts';
import { workRepository } from '../work/work.repository.ts';
import { openReader } from './reader.ts';
import { readsOn, type Reads } from './reads.ts';

/** Every repository on one connection. Only repositories know the ORM. */
export function repositoriesOn(em: EntityManager) {
  return {
    company: companyRepository(em),
    people: personRepository(em),
    invitations: invitationRepository(em),
    sessions: sessionRepository(em),
    tickets: ticketRepository(em),
    attempts: attemptRepository(em),
    recoveryCodes: recoveryCodeRepository(em),
    audit: auditRepository(em),
    sites: siteRepository(em),
    units: unitRepository(em),
    jobs: jobRepository(em),
    entries: entryRepository(em),
    controllers: controllerRepository(em),
    practiceRuns: practiceRunRepository(em),
    meanings: meaningRepository(em),
    pictures: pictureRepository(em),
    logs: logRepository(em),
    shares: shareRepository(em),
    busLines: busLineRepository(em),
    busPoints: busPointRepository(em),
    busLinks: busLinkRepository(em),
    work: workRepository(em),
    reviews: reviewRepository(em),
    calendarFeeds: calendarFeedRepository(em),
  };
}

export type Repositories = ReturnType<typeof repositoriesOn>;

/** The store: a transaction a use case that changes something, what is asked most without one, and whether it takes writes. */
export interface Database {
  readonly reads: Reads;
  transaction<Result>(work: (repositories: Repositories) => Promise<Result>): Promise<Result>;
  /** True where a write was made and kept. */
  takesWrites(): Promise<boolean>;
  /** Lets go of every connection. */
  close(): Promise<void>;
}

/** The database on an ORM. Each use case gets its own connection and identity map. */
export function databaseOn(orm: MikroORM, log?: Logger): Database {
  const reader = openReader(orm.config.getClientUrl(), log);
  return {
    reads: readsOn(reader),
    transaction: (work) => orm.em.fork().transactional((em) => work(repositoriesOn(em))),
    takesWrites: async () => {
      try {
        await orm.em
          .getConnection()
          .execute(
            'insert into readiness (one, at) values (true, now()) on conflict (one) do update set at = now()',
          );
        return true;
      } catch {
        return false;
      }
    },
    async close() {
      await reader.close();
      await orm.close(true);
    },
  };
}
