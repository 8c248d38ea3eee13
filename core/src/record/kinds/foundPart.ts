import type { FoundPart } from '@brine/contract/entries';
import { nameOf } from '../../wiring/circuit/index.ts';
import type { KindOfEntry } from './kind.ts';

export const foundPart: KindOfEntry<FoundPart> = {
  key: (body) => `foundPart:${body.id}`,
  about: (body) => `Found, part ${body.id}`,
  says: (body) => (body.part ? nameOf(body.part) : 'removed'),
};
