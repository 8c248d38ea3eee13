import { afterAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from './run.ts';
import { root, Scratch } from '../testing/scratch.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());
const examples = join(root, 'docs/formats/examples');
const settings = join(examples, 'replay/cooler.settings.json');
const log = join(examples, 'replay/cooler.log.csv');
const freezer = join(examples, 'fish-freezer.scenario.json');

function json(...argv: string[]) {
  const outcome = run(argv);
  expect(outcome).toMatchObject({ stderr: '', exitCode: 0 });
  return JSON.parse(outcome.stdout);
}

describe('replay', () => {
  test('a log of the liquid line replays as fan percent: (T − S)/D of full, off at the set point (closed form of a proportional band)', () => {
    const fans = scratch.file(
      'fans.settings.json',
      JSON.stringify({
        format: 'brine-dial/settings@1',
        values: {
          'condenser.setpoint': { value: 30, unit: 'degC' },
          'condenser.differential': { value: 4, unit: 'K' },
          'condenser.method': 'proportional',
          'condenser.speedMin': { value: 0, unit: '%' },
          'condenser.speedMax': { value: 100, unit: '%' },
        },
      }),
    );
    const liquid = [29, 31, 32, 33.5, 36, 30, 28];
    const trace = scratch.file(
      'liquid.csv',
      `time,liquid_degC,compressor\n${liquid.map((t, i) => `${i * 60},${t},1`).join('\n')}\n`,
    );
    const { events } = json('replay', '--settings', fans, '--trace', trace);
    expect(events).toEqual([
      { t: 60, kind: 'condenserFan', value: 25 },
      { t: 120, kind: 'condenserFan', value: 50 },
      { t: 180, kind: 'condenserFan', value: 87.5 },
      { t: 240, kind: 'condenserFan', value: 100 },
      { t: 300, kind: 'condenserFan', value: 0 },
    ]);
  });

  test('the example, worked out by hand', () => {
    const { events, totals } = json('replay', '--settings', settings, '--trace', log);
    // 42 °F is above 41: runs at once. 38 at 600: off. 41.5 at 700 calls; the rest of 240 s ends at 840. 45 at 760 is over the limit of 44,
    // ten minutes later it alarms, until 43.9 at 1500. 38 at 1800: off, the last tick.
    const told = events.filter((e: { kind: string }) => ['compressor', 'alarm'].includes(e.kind));
    expect(
      told.map((e: { t: number; kind: string; value: boolean }) => `${e.t} ${e.kind} ${e.value}`),
    ).toEqual([
      '0 compressor true',
      '600 compressor false',
      '840 compressor true',
      '1360 alarm true',
      '1500 alarm false',
      '1800 compressor false',
    ]);
    expect(totals).toEqual({
      compressorStarts: 2,
      compressorSeconds: 600 + 960,
      defrosts: 0,
      fanSeconds: 1801,
      defrostSeconds: 0,
      alarms: 1,
    });
  });

  test('--stop ends earlier, or goes on with the last reading', () => {
    expect(
      json('replay', '--settings', settings, '--trace', log, '--stop', '700').totals.compressorStarts,
    ).toBe(1);
    expect(json('replay', '--settings', settings, '--trace', log, '--stop', '5000').totals.fanSeconds).toBe(
      5000,
    );
  });

  test('ISO times with offsets, commas as decimals, a clock change: elapsed time is true time', () => {
    const path = scratch.file(
      'iso.csv',
      '\uFEFFtime;air_degC\r\n2026-03-29T01:59:00+01:00;"9,5"\r\n2026-03-29T03:01:00+02:00;"9,5"\r\n',
    );
    expect(json('replay', '--settings', settings, '--trace', path).totals.fanSeconds).toBe(121);
  });

  test.each([
    ['time,coil_degC\n0,1', 'line 1: expected a column air_degC or air_degF'],
    ['time,air_degC\n0,1\n5,x', 'line 3: x is no reading'],
    ['time,air_degC\nsoon,1', 'line 2: soon is no time'],
    ['time,air_degC\n9,1\n3,1', 'line 3: the time runs backwards'],
    ['time,air_degC\n0,1\n999999999,1', 'line 3: more than 400 days'],
    ['time,air_degC,command\n0,1,dance', 'line 2: dance is no command'],
    ['time,air_degC,door\n0,1,ajar', 'line 2: door and input: expected 0 or 1'],
    ['time,air_degC', 'expected at least one row'],
  ])('%j is refused', (text, sentence) => {
    const outcome = run(['replay', '--settings', settings, '--trace', scratch.file('bad.csv', text)]);
    expect([outcome.stdout, outcome.exitCode]).toEqual(['', 2]);
    expect(outcome.stderr).toContain(sentence);
  });

  test('a gap of hours is told on stderr beside the result', () => {
    const path = scratch.file('gap.csv', 'time,air_degC\n0,3\n36000,5\n');
    const outcome = run(['replay', '--settings', settings, '--trace', path]);
    expect([outcome.exitCode, outcome.stderr]).toEqual([
      0,
      expect.stringContaining('line 3: no reading for 10 h'),
    ]);
    expect(JSON.parse(outcome.stdout)).toHaveProperty('totals');
  });

  test('settings without a set point cannot be replayed', () => {
    const path = scratch.file('bare.settings.json', '{"format":"brine-dial/settings@1","values":{}}');
    expect(run(['replay', '--settings', path, '--trace', log]).stderr).toContain('expected a set point');
  });
});

describe('simulate', () => {
  test('figures and events of the example; the series as CSV, a row a minute', () => {
    const { metrics, events } = json('simulate', freezer);
    expect(metrics.hours).toBe(48);
    expect(metrics.defrosts).toEqual({ temperature: 8, time: 0, other: 0, skipped: 0 });
    expect(events.every((e: { t: number }) => e.t >= 0 && e.t < 48 * 3600)).toBe(true);
    const { stdout } = run(['simulate', freezer, '--csv']);
    const rows = stdout.trim().split(/\r?\n/);
    expect(rows[0]).toBe(
      'time,air_degC,coil_degC,product_degC,frost_kg,compressor,fan,defrost,stage2,alarm,door,phase',
    );
    expect(rows).toHaveLength(48 * 60 + 1);
  });

  test('ten years end in a sentence', () => {
    const scenario = { ...(JSON.parse(readFileSync(freezer, 'utf8')) as object), hours: 87600 };
    const outcome = run(['simulate', scratch.file('long.scenario.json', JSON.stringify(scenario))]);
    expect([outcome.exitCode, outcome.stderr]).toEqual([
      2,
      expect.stringContaining('hours: expected a number of hours up to 1440'),
    ]);
  });
});

describe('sweep', () => {
  test('a row a value, and one advised with the reason', () => {
    const scenario = { ...(JSON.parse(readFileSync(freezer, 'utf8')) as object), hours: 12 };
    const path = scratch.file('short.scenario.json', JSON.stringify(scenario));
    const { setting, rows, advised } = json('sweep', path, '--vary', 'defrost.drainTime=2min..6min/2min');
    expect(setting).toBe('defrost.drainTime');
    expect(rows.map((row: { value: object }) => row.value)).toEqual(
      [2, 4, 6].map((value) => ({ value, unit: 'min' })),
    );
    expect(rows.map((row: { value: object }) => JSON.stringify(row.value))).toContain(
      JSON.stringify(advised.value),
    );
    expect(advised.reason).not.toBe('');
  });

  test('nonsense is refused in a line', () => {
    expect(run(['sweep', freezer, '--vary', 'x=1']).stderr).toContain('--vary: x=1: expected ID=a..b/step');
    expect(run(['sweep', freezer]).exitCode).toBe(2);
  });
});
