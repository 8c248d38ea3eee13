import { boolean, number, object, string } from 'yup';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** Schemas several routes share. Messages name the field and what was expected. */
export const uuid = (label: string) =>
  string().required(`${label}: expected an id`).matches(UUID, `${label}: expected an id`);

/** A text that must be there, trimmed. */
export const name = (label: string, longest = 200) =>
  string()
    .trim()
    .required(`${label}: expected a text`)
    .max(longest, `${label}: expected at most ${longest} characters`);

/** A text that may be empty. */
export const text = (label: string, longest: number) =>
  string().trim().max(longest, `${label}: expected at most ${longest} characters`);

/** The version a change starts from; a change to an older one is refused. */
export const version = number().required('version: expected the version that was read').integer();

export const idParams = object({ id: uuid('id') });

/** What a list is asked for. */
export const listQuery = object({
  search: string().default('').max(100, 'search: expected at most 100 characters'),
  archived: boolean().default(false),
});
