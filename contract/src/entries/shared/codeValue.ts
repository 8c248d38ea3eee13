import { mixed } from 'yup';
import { characters, LONGEST_CODE } from '../../fields/index.ts';

/** A value as a control's own code has it: a number, or what the display shows. */
export const codeValue = mixed<number | string>()
  .required('expected a number or a text')
  .test('value', `expected a number, or a text of at most ${LONGEST_CODE} characters`, (value: unknown) => {
    if (value === null || value === undefined) return true;
    return typeof value === 'number'
      ? Number.isFinite(value)
      : typeof value === 'string' && value.trim() !== '' && characters(value) <= LONGEST_CODE;
  });
