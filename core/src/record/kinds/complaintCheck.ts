import type { ComplaintCheck } from '@brine/contract/entries';
import { inWords } from '../../foundation/sentences/index.ts';
import { checkWords } from '../../judgement/complaints/index.ts';
import { yesNoWords } from './yesNoWords.ts';
import type { KindOfEntry } from './kind.ts';

export const complaintCheck: KindOfEntry<ComplaintCheck> = {
  key: (body) => `complaintCheck:${body.check}`,
  about: (body) => inWords(checkWords[body.check].question),
  says: (body) => yesNoWords(body.answer),
};
