import { hourMeters, serviceIntervals, tripStepIds } from '../transport/index.ts';
import { finiteOrNull, LONGEST_ID, LONGEST_TEXT, oneOf, text, type Fields } from './fields.ts';
import { factIds, tripStepStates, type TradeBody } from './tradeEntry.ts';

const dated = (f: Fields, field: string): string | null =>
  typeof f[field] === 'string' && !Number.isNaN(Date.parse(f[field])) && f[field].length <= 40
    ? null
    : `body.${field}: expected a time in ISO 8601`;
const atLeastZeroOrNull = (f: Fields, field: string): string | null =>
  finiteOrNull(f, field) ??
  (f[field] === null || (f[field] as number) >= 0 ? null : `body.${field}: expected 0 or more`);

const judges: Readonly<Record<TradeBody['kind'], (f: Fields) => string | null>> = {
  fact: (f) => oneOf(f, 'fact', factIds) ?? finiteOrNull(f, 'value'),
  tripStep: (f) =>
    oneOf(f, 'step', tripStepIds) ??
    (f['state'] === null ? null : oneOf(f, 'state', tripStepStates)) ??
    finiteOrNull(f, 'value') ??
    text(f, 'word', LONGEST_TEXT, true),
  tripReading: (f) =>
    dated(f, 'readAt') ?? oneOf(f, 'place', ['return', 'product']) ?? finiteOrNull(f, 'celsius'),
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

/** Kinds of entries that the tools of one kind of job write. */
export const tradeKinds = Object.keys(judges) as readonly TradeBody['kind'][];

/** Judges the body of such an entry: a sentence that names the field, or null. */
export const judgeTrade = (kind: TradeBody['kind'], f: Fields): string | null => judges[kind](f);
