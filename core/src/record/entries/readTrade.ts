import { hourMeters, serviceIntervals, tripStepIds } from '../../judgement/transport/index.ts';
import { finiteOrNull, LONGEST_ID, LONGEST_TEXT, oneOf, text, type Fields } from './fields.ts';
import { factIds, tripStepStates, type TradeBody } from './tradeEntry.ts';

const dated = (f: Fields, field: string): string | null =>
  typeof f[field] === 'string' && !Number.isNaN(Date.parse(f[field])) && f[field].length <= 40
    ? null
    : `body.${field}: expected a time in ISO 8601`;
const atLeastZeroOrNull = (f: Fields, field: string): string | null =>
  finiteOrNull(f, field) ??
  (f[field] === null || (f[field] as number) >= 0 ? null : `body.${field}: expected 0 or more`);

/** More rows or columns than any coil face is noted in. */
const MOST_CELLS = 40;
const whole = (f: Fields, field: string, from: number, to: number): string | null =>
  Number.isInteger(f[field]) && (f[field] as number) >= from && (f[field] as number) <= to
    ? null
    : `body.${field}: expected a whole number from ${from} to ${to}`;

const judges: Readonly<Record<TradeBody['kind'], (f: Fields) => string | null>> = {
  fact: (f) => oneOf(f, 'fact', factIds) ?? finiteOrNull(f, 'value'),
  tripStep: (f) =>
    oneOf(f, 'step', tripStepIds) ??
    (f['state'] === null ? null : oneOf(f, 'state', tripStepStates)) ??
    finiteOrNull(f, 'value') ??
    text(f, 'word', LONGEST_TEXT, true),
  tripReading: (f) =>
    dated(f, 'readAt') ?? oneOf(f, 'place', ['return', 'product']) ?? finiteOrNull(f, 'celsius'),
  frostNote: (f) =>
    whole(f, 'row', 1, MOST_CELLS) ??
    whole(f, 'column', 1, MOST_CELLS) ??
    (f['level'] === null ? null : whole(f, 'level', 0, 3)),
  humidity: (f) =>
    dated(f, 'readAt') ??
    finiteOrNull(f, 'percent') ??
    (f['percent'] === null || ((f['percent'] as number) > 0 && (f['percent'] as number) <= 100)
      ? null
      : 'body.percent: expected more than 0, up to 100') ??
    (f['coil'] === null ? null : oneOf(f, 'coil', ['wet', 'dry'])),
  runOnStep: (f) => dated(f, 'doneAt') ?? atLeastZeroOrNull(f, 'minutes'),
  doorStop: (f) => dated(f, 'openedAt') ?? atLeastZeroOrNull(f, 'minutes'),
  hours: (f) => oneOf(f, 'meter', hourMeters) ?? atLeastZeroOrNull(f, 'hours'),
  serviced: (f) =>
    oneOf(
      f,
      'service',
      serviceIntervals.map((s) => s.id),
    ) ?? atLeastZeroOrNull(f, 'atHours'),
  alarmSign: (f) =>
    text(f, 'alarm', LONGEST_ID) ?? (f['sign'] === null ? null : oneOf(f, 'sign', ['steady', 'flashing'])),
};

/** Judges the body of such an entry: a sentence that names the field, or null. */
export const judgeTrade = (kind: TradeBody['kind'], f: Fields): string | null => judges[kind](f);
