import { boolean, number, object, string } from 'yup';
import { characters } from './field.ts';
import { LONGEST_NAME, MAX_INTEGER } from '../lengths/index.ts';

// Fields of requests. A person may see their messages in a form, so each names its field.

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** An id in a path, a query or a body. */
export const uuid = (label: string) =>
  string().required(`${label}: expected an id`).matches(UUID, `${label}: expected an id`);

/** A text without blanks around it; what is no text stays what it is, to be refused. Yup's own `trim` throws on it. */
const trimmed = (label: string) =>
  string()
    .typeError(`${label}: expected a text`)
    .transform((value: unknown) => (typeof value === 'string' ? value.trim() : value));

/** A text that must be there, trimmed. */
export const name = (label: string, longest = LONGEST_NAME) =>
  trimmed(label)
    .required(`${label}: expected a text`)
    .test(
      'longest',
      `${label}: expected at most ${longest} characters`,
      (t) => typeof t !== 'string' || characters(t) <= longest,
    )
    .meta({ longest });

/** A text that may be empty. */
export const freeText = (label: string, longest: number) =>
  trimmed(label)
    .test(
      'longest',
      `${label}: expected at most ${longest} characters`,
      (t) => typeof t !== 'string' || characters(t) <= longest,
    )
    .meta({ longest });

/** The version a change starts from; a change to an older one is refused. */
export const version = () =>
  number()
    .required('version: expected the version that was read')
    .integer('version: expected a whole number')
    .min(0, 'version: expected 0 or more')
    .max(MAX_INTEGER, `version: expected at most ${MAX_INTEGER}`);

/** The sequence of an entry in its job. */
export const sequence = (label: string) =>
  number()
    .integer(`${label}: expected a whole number`)
    .min(0, `${label}: expected 0 or more`)
    .max(MAX_INTEGER, `${label}: expected at most ${MAX_INTEGER}`);

export const idParams = object({ id: uuid('id') });

/** What a list is asked for. */
export const listQuery = object({
  search: string().default('').max(100, 'search: expected at most 100 characters'),
  archived: boolean().typeError('archived: expected true or false').default(false),
});

/** Names of a site and a unit and a tag, each letter of four bytes, written as base64. */
const LONGEST_CURSOR = 4000;

/** Where a page of a list starts: what the page before told as `next`; absent for the first. */
export const after = () =>
  string()
    .optional()
    .max(LONGEST_CURSOR, 'after: expected what the page before told as next')
    .matches(/^[\w-]+$/, 'after: expected what the page before told as next');

/** The id a browser gave itself. */
export const device = () =>
  string()
    .required('device: expected an id of this browser')
    .max(100, 'device: expected at most 100 characters');
