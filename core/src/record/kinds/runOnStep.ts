import type { RunOnStep } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const runOnStep: KindOfEntry<RunOnStep> = {
  key: (body) => `runOnStep:${body.doneAt}`,
  about: () => 'Run-on of the fans changed',
  says: (body) => (body.minutes === null ? 'removed' : `${body.minutes} min`),
};
