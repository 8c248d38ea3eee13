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
    version: p.integer().version(),
  },
});

export type Job = InferEntity<typeof jobEntity>;
