import type { Sheet } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const sheet: KindOfEntry<Sheet> = {
  key: () => null,
  about: () => 'Kept',
  says: (body) => `sheet, ${body.sheet}`,
};
