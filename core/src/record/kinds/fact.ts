import type { Fact } from '@brine/contract/entries';
import { factWords } from '../../foundation/unit/index.ts';
import type { KindOfEntry } from './kind.ts';

export const fact: KindOfEntry<Fact> = {
  key: (body) => `fact:${body.fact}`,
  about: (body) => factWords[body.fact].label,
  says: (body) => (body.value === null ? 'as usual' : `${body.value} ${factWords[body.fact].unit}`.trim()),
};
