import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { LineKind } from '@brine/contract/routes';

/** A line of a site that the server may call: an address that a lead entered. */
export const busLineEntity = defineEntity({
  name: 'BusLine',
  tableName: 'bus_line',
  properties: {
    id: p.uuid().primary(),
    siteId: p.uuid(),
    name: p.string(),
    host: p.string(),
    port: p.integer(),
    kind: p.string().$type<LineKind>(),
    /** Whether it is called at all. */
    open: p.boolean().default(true),
    enteredBy: p.uuid(),
    enteredAt: p.datetime(),
    /** The piece of work that has the line, and until when unless it says again that it lives. */
    heldBy: p.uuid().nullable(),
    heldUntil: p.datetime().nullable(),
    /** The program on site that holds it; null: the server calls it. */
    linkId: p.uuid().nullable(),
    /** When something else last waited for it. */
    wantedAt: p.datetime().nullable(),
  },
});

export type StoredBusLine = InferEntity<typeof busLineEntity>;
