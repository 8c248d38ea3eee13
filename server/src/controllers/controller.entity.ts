import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';

/** A version of a controller definition. Versions are never changed: sheets pin them by hash. */
export const controllerEntity = defineEntity({
  name: 'Controller',
  tableName: 'controller',
  properties: {
    hash: p.string().primary(),
    definitionId: p.string(),
    family: p.string(),
    summary: p.string(),
    definitionVersion: p.string(),
    data: p.json<ControllerDefinition>(),
    createdAt: p.datetime(),
    addedBy: p.uuid().nullable(),
  },
});

export type StoredController = InferEntity<typeof controllerEntity>;
