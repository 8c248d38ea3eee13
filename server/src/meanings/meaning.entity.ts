import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** What somebody of the company took a row of a booklet to mean; no setting where they said that it fits nothing. */
export const meaningEntity = defineEntity({
  name: 'Meaning',
  tableName: 'meaning',
  properties: {
    id: p.uuid().primary(),
    personId: p.uuid(),
    description: p.string(),
    setting: p.string().nullable(),
    chosenAt: p.datetime(),
  },
});

export type Meaning = InferEntity<typeof meaningEntity>;
