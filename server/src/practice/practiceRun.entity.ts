import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A drill somebody finished on a practice panel. */
export const practiceRunEntity = defineEntity({
  name: 'PracticeRun',
  tableName: 'practice_run',
  properties: {
    id: p.uuid().primary(),
    personId: p.uuid(),
    definitionId: p.string(),
    family: p.string(),
    drill: p.string(),
    passed: p.boolean(),
    seconds: p.integer(),
    strokes: p.integer(),
    fewest: p.integer(),
    hints: p.integer(),
    doneAt: p.datetime(),
  },
});

export type PracticeRun = InferEntity<typeof practiceRunEntity>;
