import type { Test } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const test: KindOfEntry<Test> = {
  key: (body) => `test:${body.test}`,
  about: (body) => `Test ${body.test}`,
  says: (body) =>
    [body.result ?? 'open', body.value, body.word].filter((part) => part !== null && part !== '').join(', '),
};
