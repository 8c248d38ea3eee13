import type { FoundWire } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const foundWire: KindOfEntry<FoundWire> = {
  key: (body) => `foundWire:${body.id}`,
  about: () => 'Found, wire',
  says: (body) =>
    body.wire
      ? [`${body.wire.from} to ${body.wire.to}`, body.wire.colour].filter(Boolean).join(', ')
      : 'removed',
};
