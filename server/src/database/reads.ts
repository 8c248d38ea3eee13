import { sessionReads } from '../auth/session.reads.ts';
import { auditReads } from '../audit/audit.reads.ts';
import { entryReads } from '../jobs/entry.reads.ts';
import { jobReads } from '../jobs/job.reads.ts';
import { logReads } from '../logs/log.reads.ts';
import { siteReads } from '../sites/site.reads.ts';
import { unitReads } from '../units/unit.reads.ts';
import { personReads } from '../people/person.reads.ts';
import type { Reader } from './reader.ts';

/** What is asked most, read without the ORM and without a transaction around it: each statement sees what was kept when it began. */
export function readsOn(reader: Reader) {
  return {
    sessions: sessionReads(reader),
    people: personReads(reader),
    audit: auditReads(reader),
    sites: siteReads(reader),
    units: unitReads(reader),
    jobs: jobReads(reader),
    entries: entryReads(reader),
    logs: logReads(reader),
  };
}

export type Reads = ReturnType<typeof readsOn>;
