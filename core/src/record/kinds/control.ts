import type { Control } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const control: KindOfEntry<Control> = {
  key: (body) => `control:${body.role}`,
  about: (body) => (body.role === 'old' ? 'The old control' : 'The new control'),
  says: (body) => body.definition?.family ?? 'none',
};
