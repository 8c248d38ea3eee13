import { dimensionOf, isQuantity } from '../quantities/index.ts';
import { validateValue } from '../settings/index.ts';
import type { EntryBody } from './entry.ts';
import { findQuestion } from './questions.ts';

/** Longest text one entry may carry, in characters. */
export const LONGEST_TEXT = 2000;
const LONGEST_CODE = 40;
const MOST_FROZEN_ROWS = 500;

type Fields = Readonly<Record<string, unknown>>;

/**
 * Judges the body of an entry that came over the wire: null when it is one of `EntryBody`, else a sentence that names the field and
 * what was expected. Values stay as typed; whether they are wise is not asked here.
 */
export function entryProblem(body: unknown): string | null {
  if (typeof body !== 'object' || body === null) return 'body: expected an object with a kind';
  const fields = body as Fields;
  const judge = judges.get(fields['kind'] as string);
  return judge
    ? judge(fields)
    : `body.kind: ${JSON.stringify(fields['kind'])} is unknown; expected ${[...judges.keys()].join(', ')}`;
}

const judges: ReadonlyMap<string, (fields: Fields) => string | null> = new Map<
  EntryBody['kind'],
  (fields: Fields) => string | null
>([
  ['control', (f) => oneOf(f, 'role', ['old', 'new']) ?? pinned(f['definition'])],
  [
    'found',
    (f) => text(f, 'code', LONGEST_CODE) ?? (f['value'] === null ? null : text(f, 'value', 200, true)),
  ],
  ['answer', answer],
  ['planned', planned],
  [
    'plannedCode',
    (f) => text(f, 'code', LONGEST_CODE) ?? (f['value'] === null ? null : codeValue(f, 'value')),
  ],
  ['keyed', keyed],
  ['note', (f) => text(f, 'text', LONGEST_TEXT)],
  ['sheet', sheet],
  ['handedOver', (f) => text(f, 'to', 200, true) ?? text(f, 'watch', LONGEST_TEXT, true)],
] as [EntryBody['kind'], (fields: Fields) => string | null][]);

function answer(f: Fields): string | null {
  const question = typeof f['question'] === 'string' ? findQuestion(f['question']) : undefined;
  if (!question) return `body.question: ${JSON.stringify(f['question'])} is no question of the survey`;
  const value = f['value'];
  if (value === null) return null;
  const { form } = question;
  switch (form.type) {
    case 'choice':
      return typeof value === 'string' && Object.hasOwn(form.options, value)
        ? null
        : `${question.label} Expected one of ${Object.keys(form.options).join(', ')}`;
    case 'list':
      return Array.isArray(value) &&
        value.every((v) => typeof v === 'string' && Object.hasOwn(form.options, v))
        ? null
        : `${question.label} Expected a list of ${Object.keys(form.options).join(', ')}`;
    case 'yesNo':
      return typeof value === 'boolean' ? null : `${question.label} Expected yes or no`;
    case 'temperature':
      return isQuantity(value) && dimensionOf(value.unit) === 'temperature'
        ? null
        : `${question.label} Expected a temperature such as 90F or 32C`;
    case 'text':
      return text(f, 'value', LONGEST_TEXT, true);
  }
}

function planned(f: Fields): string | null {
  if (f['value'] === null)
    return validateValue(String(f['setting']), undefined)?.code === 'unknownSetting'
      ? `body.setting: ${JSON.stringify(f['setting'])} is no setting of the dictionary`
      : null;
  return (
    validateValue(String(f['setting']), f['value'])?.message ??
    (f['why'] === undefined ? null : text(f, 'why', LONGEST_TEXT, true))
  );
}

function keyed(f: Fields): string | null {
  return (
    text(f, 'code', LONGEST_CODE) ??
    (f['state'] === null ? null : oneOf(f, 'state', ['keyed', 'showsElse', 'skipped'])) ??
    codeValue(f, 'value') ??
    (f['state'] === 'showsElse' ? text(f, 'shown', 40) : null) ??
    (f['state'] === 'skipped' ? text(f, 'why', LONGEST_TEXT, true) : null)
  );
}

function sheet(f: Fields): string | null {
  const rows = f['rows'];
  if (!Array.isArray(rows) || rows.length > MOST_FROZEN_ROWS)
    return `body.rows: expected a list of at most ${MOST_FROZEN_ROWS} rows`;
  const odd = (rows as Fields[]).findIndex(
    (row) =>
      typeof row !== 'object' ||
      row === null ||
      text(row, 'code', LONGEST_CODE) !== null ||
      codeValue(row, 'value') !== null,
  );
  if (odd >= 0) return `body.rows[${odd}]: expected a code and a value`;
  return oneOf(f, 'sheet', ['found', 'planned', 'left']) ?? pinned(f['definition']);
}

function pinned(definition: unknown): string | null {
  if (definition === null) return null;
  const fields = definition as Fields;
  const whole =
    typeof definition === 'object' &&
    ['id', 'family', 'version', 'hash'].every((key) => typeof fields[key] === 'string');
  return whole ? null : 'body.definition: expected id, family, version and hash';
}

function text(f: Fields, field: string, longest: number, mayBeEmpty = false): string | null {
  const value = f[field];
  if (typeof value !== 'string' || (!mayBeEmpty && value.trim() === ''))
    return `body.${field}: expected a text`;
  return value.length > longest
    ? `body.${field}: ${value.length} characters; expected at most ${longest}`
    : null;
}

function codeValue(f: Fields, field: string): string | null {
  const value = f[field];
  if (typeof value === 'number' && Number.isFinite(value)) return null;
  return text(f, field, 40);
}

function oneOf(f: Fields, field: string, allowed: readonly string[]): string | null {
  return allowed.includes(f[field] as string) ? null : `body.${field}: expected one of ${allowed.join(', ')}`;
}
