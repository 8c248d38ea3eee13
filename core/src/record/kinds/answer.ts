import type { Answer } from '@brine/contract/entries';
import { isQuantity, printQuantity } from '../../foundation/quantities/index.ts';
import { findQuestion } from '../../judgement/survey/index.ts';
import type { KindOfEntry } from './kind.ts';

export const answer: KindOfEntry<Answer> = {
  key: (body) => `answer:${body.question}`,
  about: (body) => findQuestion(body.question)?.label ?? body.question,
  says: (body) => answerWords(body),
};

function answerWords({ question, value }: Answer): string {
  if (value === null) return 'no answer';
  if (isQuantity(value)) return printQuantity(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  const form = findQuestion(question)?.form;
  const words = (id: unknown) =>
    (form && 'options' in form ? form.options[String(id)] : undefined) ?? String(id);
  return Array.isArray(value) ? value.map(words).join(', ') : words(value);
}
