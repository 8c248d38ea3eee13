import { decisions, checkIds, signIds } from '../../judgement/complaints/index.ts';
import { logFindingCodes } from '../../logs/against/index.ts';
import type { ProvingBody } from './provingEntry.ts';
import {
  finiteOrNull,
  LONGEST_CODE,
  LONGEST_ID,
  LONGEST_TEXT,
  oneOf,
  record,
  text,
  textOrNull,
  yesNo,
  yesNoOrNull,
  type Fields,
} from './fields.ts';

/** A calibration of many points, a log's layout, a signature: longer than a note. */
const LONGEST_RECORD = 12_000;
const MOST_READINGS = 40;
const MOST_STROKES = 200;
const MOST_STROKE_NUMBERS = 6000;

const dated = (f: Fields, field: string): string | null =>
  typeof f[field] === 'string' && !Number.isNaN(Date.parse(f[field]))
    ? null
    : `body.${field}: expected a time in ISO 8601`;
const datedOrNull = (f: Fields, field: string) => (f[field] === null ? null : dated(f, field));
const count = (f: Fields, field: string): string | null =>
  Number.isInteger(f[field]) && (f[field] as number) >= 0
    ? null
    : `body.${field}: expected a whole number from 0 up`;

const judges: Readonly<Record<ProvingBody['kind'], (f: Fields) => string | null>> = {
  probe: (f) =>
    text(f, 'id', LONGEST_ID) ??
    text(f, 'role', LONGEST_CODE) ??
    readings(f) ??
    finiteOrNull(f, 'leadOhms') ??
    textOrNull(f, 'sensor'),
  calibration: (f) =>
    text(f, 'id', LONGEST_ID) ?? record(f, 'record', LONGEST_RECORD) ?? calibration(f['record']),
  sign: (f) => oneOf(f, 'sign', signIds) ?? yesNoOrNull(f, 'seen'),
  complaintCheck: (f) => oneOf(f, 'check', checkIds) ?? yesNoOrNull(f, 'answer'),
  verdict: (f) =>
    textOrNull(f, 'cause') ??
    (f['decision'] === null ? null : oneOf(f, 'decision', decisions)) ??
    text(f, 'words', LONGEST_TEXT, true),
  test: (f) =>
    text(f, 'test', LONGEST_ID) ??
    (f['result'] === null ? null : oneOf(f, 'result', ['passed', 'failed', 'skipped'])) ??
    finiteOrNull(f, 'value') ??
    text(f, 'word', LONGEST_TEXT, f['result'] !== 'skipped') ??
    textOrNull(f, 'picture'),
  timer: (f) => text(f, 'test', LONGEST_ID) ?? datedOrNull(f, 'startedAt'),
  pullDown: (f) => datedOrNull(f, 'startedAt'),
  pullDownReading: (f) => dated(f, 'readAt') ?? finiteOrNull(f, 'celsius'),
  log: (f) =>
    text(f, 'id', LONGEST_ID) ??
    text(f, 'name', 200) ??
    record(f, 'layout', LONGEST_RECORD) ??
    count(f, 'samples') ??
    text(f, 'from', 40, true) ??
    text(f, 'to', 40, true) ??
    findingCodes(f['findings']),
  alarmSeen: (f) =>
    text(f, 'id', LONGEST_ID) ??
    text(f, 'code', LONGEST_CODE) ??
    text(f, 'words', LONGEST_TEXT, true) ??
    yesNo(f, 'cleared'),
  followUp: (f) => text(f, 'id', LONGEST_ID) ?? record(f, 'followUp') ?? followUp(f['followUp']),
  signOff: (f) => text(f, 'name', 200, true) ?? strokes(f['strokes']),
  keypadLocked: (f) => yesNoOrNull(f, 'locked'),
};

/** Kinds of entries that Prove and Hand over write. */
export const provingKinds = Object.keys(judges) as readonly ProvingBody['kind'][];

/** Judges the body of such an entry: a sentence that names the field, or null. */
export const judgeProving = (kind: ProvingBody['kind'], f: Fields): string | null => judges[kind](f);

const isNumber = (n: unknown): n is number => typeof n === 'number' && Number.isFinite(n);
const isDay = (day: unknown) =>
  typeof day === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(day) && !Number.isNaN(Date.parse(day));

function readings(f: Fields): string | null {
  const list = f['readings'];
  if (!Array.isArray(list) || list.length > MOST_READINGS)
    return `body.readings: expected a list of at most ${MOST_READINGS}`;
  const odd = (list as Fields[]).findIndex(
    (r) =>
      typeof r !== 'object' ||
      r === null ||
      !isNumber(r['ohms']) ||
      r['ohms'] <= 0 ||
      !isNumber(r['celsius']),
  );
  return odd < 0 ? null : `body.readings[${odd}]: expected ohms above 0 and a temperature`;
}

function findingCodes(list: unknown): string | null {
  return Array.isArray(list) && list.every((code) => (logFindingCodes as readonly unknown[]).includes(code))
    ? null
    : 'body.findings: expected a list of codes of log findings';
}

function calibration(value: unknown): string | null {
  if (value === null) return null;
  const f = value as Fields;
  const points = f['points'];
  if (!Array.isArray(points) || points.length === 0 || points.length > MOST_READINGS)
    return `body.record.points: expected 1 to ${MOST_READINGS} points`;
  const odd = (points as Fields[]).findIndex(
    (p) => typeof p !== 'object' || p === null || !isNumber(p['reading']) || !isNumber(p['reference']),
  );
  if (odd >= 0) return `body.record.points[${odd}]: expected reading and reference`;
  const reference = f['reference'] as Fields | undefined;
  if (typeof reference !== 'object' || reference === null || typeof reference['name'] !== 'string')
    return 'body.record.reference: expected the instrument with its name';
  return isDay(f['date']) ? null : 'body.record.date: expected YYYY-MM-DD';
}

function followUp(value: unknown): string | null {
  if (value === null) return null;
  const f = value as Fields;
  if (!isDay(f['due'])) return 'body.followUp.due: expected YYYY-MM-DD';
  if (typeof f['what'] !== 'string' || f['what'].trim() === '')
    return 'body.followUp.what: expected what is to be done';
  return typeof f['done'] === 'boolean' ? null : 'body.followUp.done: expected true or false';
}

function strokes(value: unknown): string | null {
  if (!Array.isArray(value) || value.length > MOST_STROKES)
    return `body.strokes: expected a list of at most ${MOST_STROKES} lines`;
  const numbers = (value as unknown[]).flat();
  const sound =
    value.every((line: unknown) => Array.isArray(line) && line.length % 2 === 0) &&
    numbers.every((n) => isNumber(n) && n >= 0 && n <= 1);
  return sound && numbers.length <= MOST_STROKE_NUMBERS
    ? null
    : 'body.strokes: expected lines of x and y from 0 to 1';
}
