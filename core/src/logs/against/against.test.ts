import { describe, expect, test } from '@jest/globals';
import { isFileProblem } from '../../foundation/files/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { generatedLog, type Recipe } from '../../../testing/generatedLogs.ts';
import { judgeLog, type Judged } from './against.ts';
import { readWholeLog } from '../reading/index.ts';

const settings: SettingValues = {
  'regulation.setpoint': { value: 2.5, unit: 'degC' },
  'regulation.differential': { value: 2, unit: 'K' },
  'regulation.differentialPlacement': 'setpointIsCutOut',
  'compressor.minOffTime': { value: 3, unit: 'min' },
};
const cooler = {
  cutOut: 2.5,
  cutIn: 4.5,
  ambient: 20,
  pull: 32,
  tau: 3 * 3600,
  days: 3,
  every: 60,
  noise: 0.08,
};

function judged(recipe: Partial<Recipe>, values: SettingValues | null = settings): Judged {
  return judgedCsv(generatedLog({ name: '', seed: 21, ...cooler, ...recipe }).csv, values);
}
function judgedCsv(csv: string, values: SettingValues | null): Judged {
  const read = readWholeLog(csv);
  if (isFileProblem(read)) throw new Error(read.message);
  return judgeLog(read.log, values);
}
const codes = ({ findings }: Judged) => findings.map((f) => f.code);
const electric = {
  every: 6 * 3600,
  rate: 0.04,
  end: 12,
  most: 1500,
  drain: 300,
  columns: ['coil', 'defrost'] as const,
};
const freezer = { cutOut: -21, cutIn: -18.5, ambient: 22, pull: 58, tau: 6 * 3600, days: 4 };
const frozen: SettingValues = {
  'regulation.setpoint': { value: -21, unit: 'degC' },
  'regulation.differential': { value: 2.5, unit: 'K' },
  'defrost.method': 'electric',
  'defrost.initiation': 'interval',
  'defrost.interval': { value: 6, unit: 'h' },
  'defrost.maxDuration': { value: 25, unit: 'min' },
  'defrost.termination': 'temperature',
  'defrost.endTemperature': { value: 12, unit: 'degC' },
  'defrost.drainTime': { value: 5, unit: 'min' },
};

describe('a log against its settings', () => {
  test('a log that does what is set says nothing', () => {
    expect(codes(judged({}))).toEqual([]);
    expect(codes(judged({ ...freezer, defrost: electric }, frozen))).toEqual([]);
  });

  test('both ends too high by the offset that is in the control', () => {
    const found = judged(
      { cutOut: 4, cutIn: 6 },
      { ...settings, 'probes.airOffset': { value: -1.5, unit: 'K' } },
    );
    expect(codes(found)).toEqual(['bandShifted']);
    expect(found.findings[0]!.why).toContain('offset that is in the control');
  });

  test('moved while it ran: day and hour', () => {
    const found = judged({ moved: { at: 86400 + 14 * 3600, by: 1.5 } });
    expect(codes(found)).toContain('setPointChanged');
    expect(found.findings.find((f) => f.code === 'setPointChanged')!.message).toMatch(
      /Wednesday 4 Mar, 1[45]:\d\d/,
    );
  });

  test('a rest that is too long for the band holds the start', () => {
    const found = judged(
      { minRest: 3600, cutIn: 3.5, tau: 2 * 3600 },
      {
        ...settings,
        'regulation.differential': { value: 1, unit: 'K' },
        'compressor.minOffTime': { value: 60, unit: 'min' },
      },
    );
    expect(codes(found)).toEqual(['restHoldsStart']);
  });

  test('a rest shorter than set was not honoured', () => {
    expect(codes(judged({}, { ...settings, 'compressor.minOffTime': { value: 40, unit: 'min' } }))).toContain(
      'restNotHonoured',
    );
  });

  test('air that drops at once when it starts hangs in the supply', () => {
    const { csv } = generatedLog({ name: '', seed: 22, ...cooler });
    const [header, ...rows] = csv.trim().split('\r\n');
    const supply = rows.map((row) => {
      const [time, air, on] = row.split(',');
      return `${time},${(Number(air) - (on === '1' ? 3 : 0)).toFixed(1)},${on}`;
    });
    const found = judgedCsv([header, ...supply].join('\n'), settings);
    expect(found.findings.map((f) => f.why).join()).toContain('supply air');
  });

  test('a heater that brings no heat; defrosts all by time; another interval than set', () => {
    const dead = judged({ ...freezer, defrost: { ...electric, rate: 0.004, most: 1200 } }, frozen);
    expect(codes(dead)).toContain('heaterDead');
    const byTime = judged(
      { ...freezer, defrost: { ...electric, most: 900 } },
      { ...frozen, 'defrost.maxDuration': { value: 15, unit: 'min' } },
    );
    expect(codes(byTime)).toContain('endsByTime');
    const colder = judged({ ...freezer, defrost: { ...electric, end: 6 } }, frozen);
    expect(codes(colder)).toContain('endDiffers');
    const often = judged({ ...freezer, defrost: { ...electric, every: 4 * 3600 } }, frozen);
    expect(codes(often)).toContain('intervalDiffers');
  });

  test('a coil that ices runs longer and colder each day; a warmer week does not count', () => {
    const rows = (grows: number, warms: number) => {
      const lines = ['time,air_degC,coil_degC,ambient_degC,compressor'];
      for (let m = 0; m < 6 * 1440; m += 2) {
        const day = m / 1440;
        const cycle = (m % 60) / 60;
        const duty = 0.4 + (grows + warms / 50) * day;
        const on = cycle < duty;
        lines.push(
          `${m * 60},${(3 + (on ? 1 - cycle / duty : (cycle - duty) / (1 - duty))).toFixed(2)},${(on ? -5 - grows * 15 * day : 2).toFixed(2)},${(20 + warms * day).toFixed(1)},${on ? 1 : 0}`,
        );
      }
      return lines.join('\n');
    };
    expect(codes(judgedCsv(rows(0.05, 0), null))).toContain('coilIces');
    expect(codes(judgedCsv(rows(0, 2), null))).not.toContain('coilIces');
    expect(codes(judgedCsv(rows(0, 0), null))).not.toContain('coilIces');
  });

  test('always running, many starts, minutes outside the limits', () => {
    const limits = {
      ...settings,
      'alarms.reference': 'absolute',
      'alarms.highTemperature': { value: 4, unit: 'degC' },
    } as SettingValues;
    const found = judged({}, limits);
    expect(codes(found)).toContain('outsideLimits');
    const time = found.findings.find((f) => f.code === 'outsideLimits')!.numbers['minutesAbove']!;
    expect(time).toBe(found.found.minutesAbove);
    expect(codes(judged({ pull: 15 }))).toContain('alwaysRunning');
    expect(
      codes(
        judged({ cutOut: 3.9, tau: 1800, cutIn: 4.5, noise: 0, days: 1, every: 15 } as Partial<Recipe>, null),
      ),
    ).toContain('manyStarts');
    // Two minutes with one start, as somebody follows a control for a moment: no rate.
    const moment = Array.from({ length: 120 }, (_, s) => {
      const clock = `2026-03-02T09:0${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
      return `${clock},3.0,${s < 60 ? 0 : 1}`;
    });
    const short = codes(judgedCsv(['time,air_degC,compressor', ...moment].join('\n'), settings));
    expect(short).not.toContain('manyStarts');
    expect(short).not.toContain('alwaysRunning');
  });
});
