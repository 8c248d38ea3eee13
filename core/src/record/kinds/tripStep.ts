import type { TripStep } from '@brine/contract/entries';
import { tripSteps } from '../../judgement/transport/index.ts';
import type { KindOfEntry } from './kind.ts';

const stateWords = { done: 'in order', fault: 'not in order' } as const;

export const tripStep: KindOfEntry<TripStep> = {
  key: (body) => `tripStep:${body.step}`,
  about: (body) => `Trip, ${tripSteps.find((s) => s.id === body.step)?.title.toLowerCase() ?? body.step}`,
  says: (body) =>
    [stateWords[body.state ?? 'done'], body.value, body.word]
      .filter((part) => part !== null && part !== '')
      .join(', '),
};
