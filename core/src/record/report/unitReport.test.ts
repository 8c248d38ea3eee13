import { describe, expect, test } from '@jest/globals';
import { quantity } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import type { LeaveBehindSheet } from '../handover/index.ts';
import type { HistoryJob } from '../history/index.ts';
import { reportTables, unitReport, type ReportedLog, type UnitReportInput } from './index.ts';

const HOUR = 3600;
const at = (iso: string) => Date.parse(iso) / 1000;
const settings: SettingValues = {
  'alarms.reference': 'absolute',
  'alarms.highTemperature': quantity(41, 'degF'),
  'alarms.delay': quantity(60, 'min'),
};
const sheet = {
  control: 'Own control (definition 1)',
  setTo: ['It starts cooling at 39 °F.'],
  groups: [],
  notYet: 0,
  open: [],
} as unknown as LeaveBehindSheet;
const job: HistoryJob = { id: 'j', title: 'New control', createdAt: '2026-03-05T10:00:00.000Z', entries: [] };
const report = (more: Partial<UnitReportInput> = {}) =>
  unitReport({
    unit: { site: 'Own quay', tag: 'OWN-1', name: 'Own store', plate: '' },
    jobs: [job],
    names: {},
    now: { sheet, settings },
    newest: sheet,
    logs: [],
    period: { from: '2026-03-01', to: '2026-03-31' },
    today: '2026-04-01',
    reader: 'degF',
    ...more,
  });
/** An hourly log at 3 °C that is at 7 °C from its third to its fifth hour. */
const log = (start: number, more: Partial<ReportedLog> = {}): ReportedLog => ({
  name: 'own.csv',
  clock: 'true',
  zone: null,
  taken: '2026-03-10',
  air: Array.from({ length: 8 }, (_, i) => [start + i * HOUR, i >= 2 && i <= 4 ? 7 : 3] as const),
  ...more,
});

describe('the report of a unit', () => {
  test('tells an excursion in the reader’s degrees, by the clock of the place', () => {
    // 29 March 2026, 01:00 UTC: clocks in Central Europe go from 2 to 3 (tz database). 00:00, 01:00 and 02:00 UTC are there 01:00, 03:00 and 04:00.
    const zoned = report({ logs: [log(at('2026-03-28T22:00:00Z'), { zone: 'Europe/Berlin' })] });
    expect(zoned.excursions).toEqual([
      {
        log: 'own.csv',
        from: '2026-03-29 01:00',
        to: '2026-03-29 04:00',
        minutes: 120,
        // 7 °C are 44.6 °F.
        words: '2 h above 41 °F, up to 44.6 °F',
      },
    ]);
  });

  test('counts days where the log was taken: what lies outside of the period is left out', () => {
    // In Auckland it is 13 hours later in March: 12:00 UTC on the 31st is 1 April there.
    const late = log(at('2026-03-31T08:00:00Z'), { zone: 'Pacific/Auckland' });
    expect(report({ logs: [late] }).logs).toEqual([
      {
        name: 'own.csv',
        from: '2026-03-31 21:00',
        to: '2026-03-31 23:00',
        words: 'air from 37.4 °F to 44.6 °F',
      },
    ]);
    expect(report({ logs: [{ ...late, zone: null }] }).logs[0]!.to).toBe('2026-03-31 15:00');
  });

  test('one that counts from its start belongs to the day it was taken in', () => {
    const counted = log(0, { clock: 'elapsed' });
    expect(report({ logs: [counted] }).excursions).toMatchObject([
      { from: '2 h after its start', to: '4 h after its start' },
    ]);
    expect(report({ logs: [{ ...counted, taken: '2026-04-02' }] }).logs).toEqual([]);
  });

  test('without a known limit nothing is called an excursion; without a control nothing is called set', () => {
    const start = log(at('2026-03-10T00:00:00Z'));
    expect(report({ logs: [start], now: { sheet, settings: {} } }).excursions).toEqual([]);
    expect(report({ logs: [start], now: null, newest: null })).toMatchObject({
      control: '',
      setTo: [],
      excursions: [],
    });
  });

  test('a control that is planned and not keyed in yet does not stand for the one that is in the unit', () => {
    const planned = {
      ...sheet,
      control: 'New control (definition 2)',
      setTo: [],
      notYet: 25,
      open: [{ words: '25 codes not keyed in', items: [], because: '' }],
    };
    expect(report({ newest: planned })).toMatchObject({
      control: 'Own control',
      setTo: sheet.setTo,
      notYet: 25,
      open: [{ words: '25 codes not keyed in' }],
    });
    expect(report({ now: null, newest: planned })).toMatchObject({
      control: 'New control',
      setTo: [],
      notYet: 25,
    });
  });

  test('tells what was done within the period alone, and as tables a line each', () => {
    expect(report().work).toEqual([{ day: '2026-03-05', words: 'Job opened: New control', by: '' }]);
    expect(report({ period: { from: '2026-03-06', to: '2026-03-31' } }).work).toEqual([]);
    const tables = reportTables({
      company: '',
      phone: '',
      logo: null,
      of: '',
      period: { from: '', to: '' },
      made: '',
      units: [report({ logs: [log(at('2026-03-10T00:00:00Z'))] })],
    });
    expect(Object.fromEntries(tables.map(({ name, rows }) => [name, rows.length]))).toEqual({
      Units: 1,
      'Settings now': 0,
      'Work done': 1,
      Logs: 1,
      Excursions: 1,
      Calibrations: 0,
      Open: 0,
    });
    expect(tables.every(({ header, rows }) => rows.every((row) => row.length === header.length))).toBe(true);
  });
});
