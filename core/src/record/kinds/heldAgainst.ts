import type { HeldAgainst } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

const isInside = ({ measured, low, high }: HeldAgainst['figures'][number]) =>
  measured >= low && measured <= high;

export const heldAgainst: KindOfEntry<HeldAgainst> = {
  key: (body) => `heldAgainst:${body.log}`,
  about: ({ name }) => `${name} against the prediction`,
  says: ({ figures }) => `${figures.filter(isInside).length} of ${figures.length} figures inside`,
};
