import { alarmLimits, secondsOf, written } from '../../foundation/regulation/index.ts';
import { printNumber, printQuantity, type TemperatureUnit } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { excursionsOf, type Excursion } from '../../logs/excursions/index.ts';
import type { LeaveBehindSheet } from '../handover/index.ts';
import { unitHistory, type HistoryJob, type HistoryLine, type UnitHistory } from '../history/index.ts';
import type { ReportPeriod, UnitReport } from './report.ts';

/** A log of a unit, with its air. */
export interface ReportedLog {
  readonly name: string;
  /** What its times are: of a zone, as they were written, or counted from its start. */
  readonly clock: 'true' | 'asWritten' | 'elapsed';
  /** The zone in which times are told; UTC where nobody named one. */
  readonly zone: string | null;
  /** The day it was taken in: all that is known of one whose times count from its start. */
  readonly taken: string;
  /** Seconds and °C, times rising. */
  readonly air: Iterable<readonly [time: number, celsius: number]>;
}

/** What the report of a unit is made of. */
export interface UnitReportInput {
  readonly unit: Pick<UnitReport, 'site' | 'tag' | 'name' | 'plate'>;
  readonly jobs: readonly HistoryJob[];
  /** Names of those who wrote entries, by id. */
  readonly names: Readonly<Record<string, string>>;
  /** The papers of the newest job in which somebody saw what is in the unit, with what that sets; null where nobody did. */
  readonly now: { readonly sheet: LeaveBehindSheet; readonly settings: SettingValues } | null;
  /** The papers of the newest job with a control, which says what is planned and open; null where there is none. */
  readonly newest: LeaveBehindSheet | null;
  readonly logs: readonly ReportedLog[];
  readonly period: ReportPeriod;
  /** The day it is made. */
  readonly today: string;
  readonly reader: TemperatureUnit;
}

/** What a customer wants to read of what was done; notes and single tests are the company's own. */
const told: ReadonlySet<HistoryLine['kind']> = new Set<HistoryLine['kind']>([
  'job',
  'control',
  'keyed',
  'calibration',
  'verdict',
  'log',
  'alarmSeen',
  'handedOver',
  'signOff',
]);

/** The report of a unit: what it is set to now, what was done and what its logs say in the period, what is due and open. */
export function unitReport(input: UnitReportInput): UnitReport {
  const { unit, now, newest, period, today } = input;
  const history = unitHistory(input.jobs);
  const logs = input.logs
    .map((log) => ({ log, air: inPeriod(log, period) }))
    .filter(({ air }) => air.length > 0);
  const sheet = now?.sheet;
  const stands = (sheet?.groups ?? []).flatMap(({ lines }) => lines).filter(({ value }) => value !== '');
  return {
    ...unit,
    control: (sheet ?? newest)?.control.replace(/ \(definition .*\)$/, '') ?? '',
    setTo: sheet?.setTo ?? [],
    settings: stands.map(({ code, meaning, value }) => ({ code, meaning, value })),
    notYet: newest?.notYet ?? 0,
    work: history.lines
      .filter(({ kind, at }) => told.has(kind) && within(at.slice(0, 10), period))
      .toSorted((one, other) => one.at.localeCompare(other.at))
      .map(({ at, words, by, foreign }) => ({
        day: at.slice(0, 10),
        words,
        by: foreign ?? (by === null ? '' : (input.names[by] ?? '')),
      })),
    logs: logs.map(({ log, air }) => ({
      name: log.name,
      from: timeWords(air[0]![0], log),
      to: timeWords(air.at(-1)![0], log),
      words: rangeWords(air, input.reader),
    })),
    excursions: now
      ? logs.flatMap(({ log, air }) => excursionLines(log, air, now.settings, input.reader))
      : [],
    calibrations: lastCalibrations(history, today),
    open: (newest?.open ?? []).map(({ words, because }) => ({ words, because })),
    next: history.followUps
      .filter(({ done }) => !done)
      .map(({ due, what }) => ({ due, what, overdue: due < today })),
  };
}

const within = (day: string, { from, to }: ReportPeriod): boolean => day >= from && day <= to;

type Air = readonly (readonly [time: number, celsius: number])[];

function inPeriod(log: ReportedLog, period: ReportPeriod): Air {
  if (log.clock === 'elapsed') return within(log.taken, period) ? [...log.air] : [];
  const day = dayOf(log);
  const air: (readonly [number, number])[] = [];
  for (const reading of log.air) if (within(day(reading[0]), period)) air.push(reading);
  return air;
}

/** The day of a time, where the log was taken. Hours of one day are asked once. */
function dayOf(log: ReportedLog): (time: number) => string {
  if (log.clock === 'asWritten') return (time) => new Date(time * 1000).toISOString().slice(0, 10);
  const format = new Intl.DateTimeFormat('sv-SE', { timeZone: log.zone ?? 'UTC', dateStyle: 'short' });
  // Zones lie at whole quarters of an hour from each other: within one the day stays.
  const known = new Map<number, string>();
  return (time) => {
    const quarter = Math.floor(time / 900);
    let day = known.get(quarter);
    if (day === undefined) known.set(quarter, (day = format.format(quarter * 900_000)));
    return day;
  };
}

/** `2026-11-20 03:10`; of a log that counts from its start `26 h 10 min after its start`. */
function timeWords(time: number, log: ReportedLog): string {
  if (log.clock === 'elapsed') return `${lengthWords(time / 60)} after its start`;
  if (log.clock === 'asWritten') return new Date(time * 1000).toISOString().slice(0, 16).replace('T', ' ');
  return new Intl.DateTimeFormat('sv-SE', {
    timeZone: log.zone ?? 'UTC',
    dateStyle: 'short',
    timeStyle: 'short',
  }).format(time * 1000);
}

function lengthWords(minutes: number): string {
  const whole = Math.round(minutes);
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  return hours === 0 ? `${rest} min` : rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

const degrees = (celsius: number, reader: TemperatureUnit) => printQuantity(written(celsius, reader));

function rangeWords(air: Air, reader: TemperatureUnit): string {
  let [least, most] = [Infinity, -Infinity];
  for (const [, celsius] of air) {
    if (celsius < least) least = celsius;
    if (celsius > most) most = celsius;
  }
  return least > most
    ? 'no reading of the air'
    : `air from ${degrees(least, reader)} to ${degrees(most, reader)}`;
}

function excursionLines(
  log: ReportedLog,
  air: Air,
  settings: SettingValues,
  reader: TemperatureUnit,
): UnitReport['excursions'] {
  const limits = alarmLimits(settings);
  const least = secondsOf(settings, 'alarms.delay');
  const line = ({ side, from, to, peak }: Excursion) => {
    const minutes = (to - from) / 60;
    const limit = degrees(limits[side]!, reader);
    return {
      log: log.name,
      from: timeWords(from, log),
      to: timeWords(to, log),
      minutes: Math.round(minutes),
      words:
        side === 'high'
          ? `${lengthWords(minutes)} above ${limit}, up to ${degrees(peak, reader)}`
          : `${lengthWords(minutes)} below ${limit}, down to ${degrees(peak, reader)}`,
    };
  };
  return excursionsOf(air, { ...limits, least }).map(line);
}

/** The last calibration of each probe. */
function lastCalibrations({ calibrations }: UnitHistory, today: string): UnitReport['calibrations'] {
  const last = new Map<string, UnitHistory['calibrations'][number]>();
  for (const one of calibrations) if (!last.has(one.probe)) last.set(one.probe, one);
  return [...last.values()].map((c) => ({
    probe: c.probe,
    day: c.date,
    words:
      c.code !== null && c.after !== null
        ? `${c.code} ${c.before === null ? '' : `from ${printNumber(c.before, 2)} `}to ${printNumber(c.after, 2)} ${c.unit}`
        : 'found right',
    nextDue: c.nextDue,
    overdue: c.nextDue !== '' && c.nextDue < today,
  }));
}
