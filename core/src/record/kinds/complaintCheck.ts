import type { ComplaintCheck } from '@brine/contract/entries';
import { checkWords } from '../../judgement/complaints/index.ts';
import { yesNoWords } from './yesNoWords.ts';
import type { KindOfEntry } from './kind.ts';

export const complaintCheck: KindOfEntry<ComplaintCheck> = {
  key: (body) => `complaintCheck:${body.check}`,
  about: (body) => checkWords[body.check].question,
  says: (body) => yesNoWords(body.answer),
};
