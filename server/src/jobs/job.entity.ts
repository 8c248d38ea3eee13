import type { JobSummary } from '@brine/contract/routes';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A visit to a unit. What is done on it is a stream of entries; here stands only what finds it and counts it. */
export const jobEntity = defineEntity({
  name: 'Job',
  tableName: 'job',
  properties: {
    id: p.uuid().primary(),
    unitId: p.uuid(),
    title: p.string(),
    lastSequence: p.integer(),
    createdBy: p.uuid(),
    createdAt: p.datetime(),
    archivedAt: p.datetime().nullable(),
    /** Who goes there, when, and what it waits for. */
    assignedTo: p.uuid().nullable(),
    plannedFor: p.type('date').$type<string>().nullable(),
    waitsFor: p.string().default(''),
    /** How far it is, as of a sequence of its stream; computed in a thread after each change. */
    summary: p.json<JobSummary>().nullable(),
    summaryOf: p.integer().default(-1),
    version: p.integer().version(),
  },
});

export type Job = InferEntity<typeof jobEntity>;
