import type { Sign } from '@brine/contract/entries';
import { signNames } from '../../judgement/complaints/index.ts';
import { yesNoWords } from './yesNoWords.ts';
import type { KindOfEntry } from './kind.ts';

export const sign: KindOfEntry<Sign> = {
  key: (body) => `sign:${body.sign}`,
  about: (body) => signNames[body.sign],
  says: (body) => yesNoWords(body.seen),
};
