import { array, boolean, mixed, number, string, type AnyObject, type ISchema } from 'yup';
import type { FileProblem } from '@brine/core/foundation/files';
import { LONGEST_CODE, LONGEST_ID } from '../lengths/index.ts';

// Fields of entries. Their messages do not name the field: whoever validates puts the path before them.

/** Characters as a person counts them: an emoji is one, whatever it takes to store. */
export const characters = (text: string): number => {
  let count = 0;
  for (const _ of text) count += 1;
  return count;
};

const short = (longest: number) => (text: string | null | undefined) =>
  text === null || text === undefined || text.length <= longest || characters(text) <= longest;

/** A text that says something, of at most so many characters. */
export const text = (longest: number) =>
  string()
    .typeError('expected a text')
    .required('expected a text')
    .matches(/\S/, 'expected a text')
    .test('longest', ({ value }) => tooLong(value, longest), short(longest))
    .meta({ longest });

/** A text that may be empty. */
export const anyText = (longest: number) =>
  string()
    .typeError('expected a text')
    .defined('expected a text')
    .test('longest', ({ value }) => tooLong(value, longest), short(longest))
    .meta({ longest });

const tooLong = (value: unknown, longest: number) =>
  `${characters(String(value))} characters; expected at most ${longest}`;

/** A code of a controller's menu or of an alarm. */
export const code = () => text(LONGEST_CODE);
/** An id made by a page, a part's name, the key of a row. */
export const id = () => text(LONGEST_ID);

/** One of a list of words. */
export const oneOf = <Word extends string>(words: readonly Word[]) =>
  string<Word>()
    .typeError(`expected one of ${words.join(', ')}`)
    .required(`expected one of ${words.join(', ')}`)
    .oneOf(words, `expected one of ${words.join(', ')}`);

/** True or false. */
export const yesNo = () => boolean().typeError('expected true or false').required('expected true or false');

/** A number of any sign. */
export const finite = () =>
  number()
    .typeError('expected a number')
    .required('expected a number')
    .test('finite', 'expected a number', (n: unknown) => n === null || n === undefined || Number.isFinite(n));

/** A number from 0 up. */
export const atLeastZero = () => finite().min(0, 'expected 0 or more');

/** A number above 0. */
export const positive = () => finite().moreThan(0, 'expected a number above 0');

/** A whole number of a range. */
export const whole = (from: number, to: number) =>
  finite()
    .integer(`expected a whole number from ${from} to ${to}`)
    .min(from, `expected a whole number from ${from} to ${to}`)
    .max(to, `expected a whole number from ${from} to ${to}`);

/** A time in ISO 8601. */
export const isoTime = () =>
  string()
    .typeError('expected a time in ISO 8601')
    .required('expected a time in ISO 8601')
    .test(
      'time',
      'expected a time in ISO 8601',
      (t: unknown) => t === null || t === undefined || isTime(String(t)),
    );

const isTime = (text: string) =>
  text.length <= 40 && /^[+-]?\d{4,6}-\d{2}/.test(text) && !Number.isNaN(Date.parse(text));

/** A day, `YYYY-MM-DD`. */
export const day = () =>
  string()
    .typeError('expected YYYY-MM-DD')
    .required('expected YYYY-MM-DD')
    .test('day', 'expected YYYY-MM-DD', (d: unknown) => d === null || d === undefined || isDay(String(d)));

/** A day, or an empty text where there is none. */
export const dayOrNone = () =>
  string()
    .typeError('expected YYYY-MM-DD, or nothing')
    .defined('expected YYYY-MM-DD, or nothing')
    .test(
      'day',
      'expected YYYY-MM-DD, or nothing',
      (d: unknown) => d === undefined || d === '' || isDay(String(d)),
    );

const isDay = (text: string) =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) &&
  !Number.isNaN(Date.parse(text)) &&
  new Date(text).toISOString().startsWith(text);

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
/** An id of the server's, or one that a device made in the same spelling. */
export const uuidField = () =>
  string()
    .typeError('expected an id such as 3f2b8c1e-…')
    .required('expected an id such as 3f2b8c1e-…')
    .matches(UUID, 'expected an id such as 3f2b8c1e-…');

/** A list of at most so many. */
export const listOf = <Item>(item: ISchema<Item, AnyObject>, most: number, what: string) =>
  array<AnyObject, Item>(item)
    .typeError(`expected a list of at most ${most} ${what}`)
    .required(`expected a list of at most ${most} ${what}`)
    .max(most, `expected a list of at most ${most} ${what}`)
    .strict();

/** A value that the core judges: `problem` gives what is wrong with it, or null. Its type is the core's. */
export const judged = <Value extends object | string | number | boolean>(
  problem: (value: unknown) => FileProblem | string | null,
) =>
  mixed<Value>()
    .defined('expected a value')
    .test('judged', (value: unknown, context) => {
      const found = value === null || value === undefined ? null : problem(value);
      if (found === null) return true;
      return context.createError({
        message: typeof found === 'string' ? found : `${found.field}: ${found.message}`,
      });
    });

/** A share, 0 to 1. */
export const share = () =>
  finite().min(0, 'expected a share from 0 to 1').max(1, 'expected a share from 0 to 1');
