import type { CopiedFrom } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const copiedFrom: KindOfEntry<CopiedFrom> = {
  key: () => 'copiedFrom',
  about: () => 'Program copied from',
  says: ({ unit }) => unit,
};
