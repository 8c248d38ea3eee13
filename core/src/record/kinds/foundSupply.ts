import type { FoundSupply } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const foundSupply: KindOfEntry<FoundSupply> = {
  key: (body) => `foundSupply:${body.id}`,
  about: (body) => `Found, supply ${body.id}`,
  says: (body) => (body.supply ? `${body.supply.volts} V` : 'removed'),
};
