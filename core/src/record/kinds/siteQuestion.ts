import type { SiteQuestion } from '@brine/contract/entries';
import { printQuantity, quantity } from '../../foundation/quantities/index.ts';
import type { KindOfEntry } from './kind.ts';

const degrees = (celsius: number) => printQuantity(quantity(celsius, 'degC'));

export const siteQuestion: KindOfEntry<SiteQuestion> = {
  key: (body) => `siteQuestion:${body.id}`,
  about: () => 'Asked of the people on site',
  says: ({ question, answer }) =>
    question === null ? 'removed' : answer ? `it showed ${degrees(answer.celsius)}` : question.words,
};
