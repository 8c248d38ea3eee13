import type { Verdict } from '@brine/contract/entries';
import { decisionNames } from '../../judgement/complaints/index.ts';
import type { KindOfEntry } from './kind.ts';

export const verdict: KindOfEntry<Verdict> = {
  key: () => 'verdict',
  about: () => 'Verdict',
  says: (body) => (body.decision ? decisionNames[body.decision] : 'none'),
};
