import type { PlannedCode } from '@brine/contract/entries';
import { named } from './named.ts';
import type { KindOfEntry } from './kind.ts';

export const plannedCode: KindOfEntry<PlannedCode> = {
  key: (body) => `plannedCode:${body.code}`,
  about: (body, names) => `Planned ${named(body.code, names?.replacement)}`,
  says: (body) => (body.value === null ? 'as planned' : String(body.value)),
};
