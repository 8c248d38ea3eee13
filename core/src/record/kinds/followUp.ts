import type { FollowUp } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const followUp: KindOfEntry<FollowUp> = {
  key: (body) => `followUp:${body.id}`,
  about: () => 'Follow-up',
  says: (body) =>
    body.followUp
      ? `${body.followUp.due}, ${body.followUp.what}${body.followUp.done ? ', done' : ''}`
      : 'removed',
};
