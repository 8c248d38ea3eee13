import type { PlanWire } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const planWire: KindOfEntry<PlanWire> = {
  key: (body) => `planWire:${body.wire}`,
  about: (body) => `Wire ${body.wire}`,
  says: (body) => [body.colour, body.gauge].filter(Boolean).join(', ') || 'as planned',
};
