import { dimensionOf, isQuantity, printFor, quantity } from '@brine/core/foundation/quantities';
import type { SettingValue } from '@brine/core/foundation/settings';
import { findQuestion, within, type QuestionId } from '@brine/core/judgement/survey';
import { mixed } from 'yup';
import { characters, judged, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** An answer of the survey, as typed: a word, a text, a yes or no, a list, or a quantity; null takes it back. */
export const answer = entry('answer', {
  question: judged<QuestionId>((value) =>
    typeof value === 'string' && findQuestion(value)
      ? null
      : `${JSON.stringify(value)} is no question of the survey`,
  ).required('expected a question of the survey'),
  value: mixed<Exclude<SettingValue, null>>()
    .nullable()
    .defined('expected an answer or null')
    .when('question', ([question], field) =>
      field.test('answer', (value, context) => {
        const wrong = value === null ? null : answerProblem(question, value);
        return wrong === null || context.createError({ message: wrong });
      }),
    ),
});

export type Answer = BodyOf<typeof answer>;

function answerProblem(id: unknown, value: unknown): string | null {
  const question = typeof id === 'string' ? findQuestion(id) : undefined;
  if (!question) return 'expected an answer to a question of the survey';
  const { form, label } = question;
  switch (form.type) {
    case 'choice':
      return typeof value === 'string' && Object.hasOwn(form.options, value)
        ? null
        : `${label} Expected one of ${Object.keys(form.options).join(', ')}`;
    case 'list':
      return Array.isArray(value) &&
        value.length <= Object.keys(form.options).length &&
        value.every((v) => typeof v === 'string' && Object.hasOwn(form.options, v))
        ? null
        : `${label} Expected a list of ${Object.keys(form.options).join(', ')}`;
    case 'yesNo':
      return typeof value === 'boolean' ? null : `${label} Expected yes or no`;
    case 'temperature':
      return isQuantity(value) && dimensionOf(value.unit) === 'temperature' && within(value, form)
        ? null
        : `${label} Expected a temperature such as 90F or 32C, from ${printFor(quantity(form.from, 'degC'), 'degC')} to ${printFor(quantity(form.to, 'degC'), 'degC')}`;
    case 'text':
      return typeof value === 'string' && characters(value) <= LONGEST_TEXT
        ? null
        : `${label} Expected a text of at most ${LONGEST_TEXT} characters`;
  }
}
