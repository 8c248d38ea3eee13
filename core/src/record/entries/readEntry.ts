import { dimensionOf, isQuantity } from '../../foundation/quantities/index.ts';
import { validateValue } from '../../foundation/settings/index.ts';
import { measureIds, powerStates, type EntryBody } from './entry.ts';
import {
  LONGEST_CODE,
  LONGEST_ID,
  LONGEST_TEXT,
  oneOf,
  record,
  text,
  textOrNull,
  yesNo,
  type Fields,
} from './fields.ts';
import { judgeProving, provingKinds } from './readProving.ts';
import { judgeTrade } from './readTrade.ts';
import { tradeKinds } from './tradeEntry.ts';
import { findQuestion } from './questions.ts';

const MOST_POINTS = 60;
const MOST_FROZEN_ROWS = 500;

export { LONGEST_TEXT };

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
  ['mechanical', (f) => temperatureOrNull(f, 'cutIn') ?? temperatureOrNull(f, 'cutOut')],
  ['startedFrom', (f) => (f['conversion'] === null ? null : text(f, 'conversion', LONGEST_CODE))],
  ['unitLoad', (f) => text(f, 'id', LONGEST_ID) ?? record(f, 'load')],
  ['foundSupply', (f) => text(f, 'id', LONGEST_ID) ?? record(f, 'supply')],
  ['foundPart', (f) => text(f, 'id', LONGEST_ID) ?? record(f, 'part')],
  ['foundWire', (f) => text(f, 'id', LONGEST_ID) ?? record(f, 'wire')],
  ['doubt', (f) => text(f, 'id', LONGEST_ID) ?? record(f, 'fact')],
  ['measure', (f) => oneOf(f, 'measure', measureIds) ?? numberOrNull(f, 'value')],
  ['power', (f) => oneOf(f, 'state', powerStates)],
  ['reading', (f) => oneOf(f, 'circuit', ['found', 'plan']) ?? place(f['place']) ?? numberOrNull(f, 'value')],
  ['wired', (f) => text(f, 'wire', LONGEST_ID) ?? yesNo(f, 'done')],
  ['planWire', (f) => text(f, 'wire', LONGEST_ID) ?? textOrNull(f, 'colour') ?? textOrNull(f, 'gauge')],
  ['picture', picture],
  ...tradeKinds.map((kind) => [kind, (f: Fields) => judgeTrade(kind, f)] as const),
  ...provingKinds.map((kind) => [kind, (f: Fields) => judgeProving(kind, f)] as const),
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

function codeValue(f: Fields, field: string): string | null {
  const value = f[field];
  if (typeof value === 'number' && Number.isFinite(value)) return null;
  return text(f, field, 40);
}

function place(value: unknown): string | null {
  if (typeof value !== 'object' || value === null) return 'body.place: expected a place for the meter';
  const f = value as Fields;
  const ends = (['state', 'from', 'to', 'through'] as const).filter((end) => f[end] !== undefined);
  const odd = ends.find((end) => text(f, end, LONGEST_ID) !== null);
  const whole = ends.join() === 'state,from,to' || ends.join() === 'state,through';
  return odd !== undefined || !whole ? 'body.place: expected state with from and to, or with through' : null;
}

function picture(f: Fields): string | null {
  const points = f['points'];
  if (!Array.isArray(points) || points.length > MOST_POINTS)
    return `body.points: expected a list of at most ${MOST_POINTS} points`;
  const share = (n: unknown) => typeof n === 'number' && n >= 0 && n <= 1;
  const odd = (points as Fields[]).findIndex(
    (p) =>
      typeof p !== 'object' ||
      p === null ||
      !share(p['x']) ||
      !share(p['y']) ||
      textOrNull(p, 'wire') !== null ||
      text(p, 'text', 200, true) !== null,
  );
  if (odd >= 0) return `body.points[${odd}]: expected x and y from 0 to 1, a wire or null, and a text`;
  const size = (n: unknown) => typeof n === 'number' && Number.isInteger(n) && n > 0 && n <= 8000;
  if (!size(f['width']) || !size(f['height']))
    return 'body.width: expected the size of the picture in points';
  return text(f, 'id', LONGEST_ID) ?? text(f, 'caption', 200, true);
}

function numberOrNull(f: Fields, field: string): string | null {
  const value = f[field];
  return value === null || (typeof value === 'number' && Number.isFinite(value) && value >= 0)
    ? null
    : `body.${field}: expected a number from 0 up, or null`;
}

function temperatureOrNull(f: Fields, field: string): string | null {
  const value = f[field];
  return value === null || (isQuantity(value) && dimensionOf(value.unit) === 'temperature')
    ? null
    : `body.${field}: expected a temperature such as 38F or 3C, or null`;
}
