import { afterAll, describe, expect, test } from '@jest/globals';
import { run } from './run.ts';
import { Scratch } from '../testing/scratch.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());

function json(...argv: string[]) {
  const outcome = run(argv);
  expect(outcome).toMatchObject({ stderr: '', exitCode: 0 });
  return JSON.parse(outcome.stdout);
}
function refused(...argv: string[]): string {
  const outcome = run(argv);
  expect([outcome.exitCode, outcome.stdout, outcome.stderr.trim().split('\n').length]).toEqual([2, '', 1]);
  return outcome.stderr;
}

describe('probe', () => {
  test('identify: the worked example, open, short, two readings, lead', () => {
    const found = json('probe', 'identify', '--ohms', '9.0k', '--at', '27C');
    expect([found.ohms, found.at_degC, found.verdict, found.candidates[0].type]).toEqual([
      9000,
      27,
      'match',
      'ntc10k',
    ]);
    expect(found.candidates[0].expectedOhms).toBeCloseTo(9261.0414, 3);
    expect(found.candidates[0].error_K).toBeCloseTo(0.75176, 4);
    expect(json('probe', 'identify', '--ohms', '25M', '--at', '20C').verdict).toBe('open');
    expect(json('probe', 'identify', '--ohms', '3', '--at', '68F').verdict).toBe('short');
    const two = json('probe', 'identify', '--ohms', '814.9', '--at', '0C', '--ohms', '1000', '--at', '25C');
    expect([two.verdict, two.candidates[0].type, two.readings.length]).toEqual(['match', 'ptc1k', 2]);
    // Pt100 at 0 °C behind 2.6 Ω of lead.
    expect(
      json('probe', 'identify', '--ohms', '102.6', '--at', '0C', '--lead', '2.6').candidates[0],
    ).toMatchObject({ type: 'pt100', reads_degC: 0 });
  });

  test('curve: a point below zero, and the table', () => {
    expect(json('probe', 'curve', '--type', 'ptc1k', '--at', '0C').points[0].ohms).toBeCloseTo(814.8625, 6);
    expect(json('probe', 'curve', '--type', 'pt100', '--at', '-40F').points[0]).toMatchObject({ degC: -40 });
    expect(json('probe', 'curve', '--type', 'pt1000').points.length).toBeGreaterThan(20);
  });

  test('calibrate: points in either degrees, an offset that stands there already', () => {
    const points = scratch.file('points.csv', 'reading_degF,reference_degC\n34.7,0\n70.7,20\n');
    const found = json('probe', 'calibrate', points, '--existing-offset', '0.9dF');
    // 34.7 °F is 1.5 °C; less the 0.5 K in there: +1 K too much.
    expect(found.offsetOnly.offset_K).toBeCloseTo(-1, 9);
    expect(found.offsetOnly.offset_deltaF).toBeCloseTo(-1.8, 9);
    expect([found.offsetOnly.class, found.offsetOnly.en12830, found.advised]).toEqual([
      'AA',
      { '0.5': true, '1': true, '2': true },
      'offsetOnly',
    ]);
    expect(found.slopeAndOffset.slope).toBeCloseTo(1, 9);
    expect(
      json('probe', 'calibrate', scratch.file('one.csv', 'reading_degC,reference_degC\n44,42\n'))
        .slopeAndOffset,
    ).toBeNull();
  });

  test('tag: a slipped point and a tenfold change', () => {
    const slip = json(
      'probe',
      'tag',
      '--slope',
      '1.0079',
      '--offset',
      '0.31',
      '--slope-range',
      '9.5..10.5',
      '--offset-range',
      '0.1..0.6',
    );
    expect(slip.findings).toMatchObject([
      { code: 'decimalSlip', field: 'slope', typed: 1.0079, suggested: 10.079 },
    ]);
    expect(
      json('probe', 'tag', '--slope', '2.0431', '--offset', '0.3', '--present-slope', '20.4').findings[0]
        .code,
    ).toBe('tenfoldChange');
  });

  test.each([
    [['identify', '--ohms', '9.0k'], '--at'],
    [['identify', '--ohms', '9 bananas', '--at', '20C'], '--ohms'],
    [['identify', '--ohms', '9k', '--at', '20'], 'no unit'],
    [['identify', '--ohms', '-5', '--at', '20C'], 'more than 0'],
    [['curve', '--type', 'x'], 'ntc10k'],
    [['calibrate'], 'expected a file'],
    [['tag', '--slope', 'x', '--offset', '1'], '--slope: x'],
    [['tag', '--slope', '1', '--offset', '1', '--slope-range', '5'], '9.5..10.5'],
  ])('%j is refused', (argv, part) => expect(refused('probe', ...argv)).toContain(part));

  test('a bad cell is named by file, line and column', () => {
    expect(
      refused('probe', 'calibrate', scratch.file('bad.csv', 'reading_degC,reference_degC\n1,x\n')),
    ).toMatch(/bad\.csv: line 2: reference_degc: x/);
    expect(refused('probe', 'calibrate', scratch.file('no.csv', 'reading,reference\n1,2\n'))).toContain(
      'reading_degC',
    );
  });
});

describe('saturation', () => {
  test('the worked example; a blend; higher up', () => {
    const found = json('saturation', 'R-134a', '--at', '25C');
    expect(found.dew.absolute_kPa).toBeCloseTo(665.34, 2);
    expect(found.dew.gauge_psi).toBeCloseTo(81.803, 3);
    const blend = json('saturation', 'r404a', '--at', '0C');
    expect(blend.bubble.absolute_kPa).toBeGreaterThan(blend.dew.absolute_kPa);
    expect(json('saturation', 'R-134a', '--at', '25C', '--elevation', '1500').dew.gauge_kPa).toBeCloseTo(
      665.34 - 84.556,
      1,
    );
  });

  test.each([
    [['R-744', '--at', '40C'], 'critical point'],
    [['R-499X', '--at', '0C'], 'no such refrigerant'],
    [['R-449A', '--at', '70C'], 'estimate ends'],
    [['R-9', '--at', '0C'], 'expected one of'],
    [['R-134a'], '--at'],
    [['R-134a', '--at', '5K'], '--at'],
  ])('%j is refused', (argv, part) => expect(refused('saturation', ...argv)).toContain(part));
});

describe('analyse', () => {
  // A saw by hand: 30 min up from 2 to 5, 15 min down, a row a minute; 4 hours. Oracle: arithmetic.
  const saw = (header: string, convert = (c: number) => c) =>
    `${header}\n${Array.from({ length: 241 }, (_, m) => {
      const at = m % 45;
      const air = at < 30 ? 2 + at / 10 : 5 - (at - 30) / 5;
      return `${m * 60},${convert(air).toFixed(2)},${at >= 30 ? 1 : 0}`;
    }).join('\n')}\n`;

  test('a saw drawn by hand', () => {
    const found = json('analyse', scratch.file('saw.log.csv', saw('time,air_degC,compressor')));
    expect([found.samples, found.from, found.to, found.gaps]).toEqual([241, 0, 14400, []]);
    expect(Math.abs(found.cutIn - 5)).toBeLessThan(0.15);
    expect(Math.abs(found.cutOut - 2)).toBeLessThan(0.15);
    expect(found.startsPerHour).toBeCloseTo(5 / 4, 9);
    expect([found.shortestRunMinutes, found.shortestRestMinutes]).toEqual([15, 30]);
    expect(Math.abs(found.dutyPercent - 31.5)).toBeLessThan(1.5);
  });

  test('--unit is for names that do not say; limits of the settings give the minutes', () => {
    const file = scratch.file(
      'f.log.csv',
      saw('time,probe,compressor', (c) => c * 1.8 + 32),
    );
    const settings = scratch.file(
      's.settings.json',
      JSON.stringify({
        format: 'brine-dial/settings@1',
        values: { 'alarms.reference': 'absolute', 'alarms.highTemperature': { value: 39.2, unit: 'degF' } },
      }),
    );
    const found = json('analyse', file, '--unit', 'degF', '--settings', settings);
    expect(Math.abs(found.cutIn - 5)).toBeLessThan(0.15);
    // Above 4 °C: rows 21 to 34 of each 45.
    expect(found.minutesAbove).toBe(14 * 5);
    expect(found.minutesBelow).toBeNull();
    expect(found.findings.map((f: { code: string }) => f.code)).toContain('outsideLimits');
  });

  test('what was put right is told beside the result', () => {
    const outcome = run([
      'analyse',
      scratch.file('odd.log.csv', 'time,air_degC\n0,2\n120,2.2\n60,2.1\nx,3\n'),
    ]);
    expect(outcome.exitCode).toBe(0);
    expect(outcome.stderr).toContain('1 rows could not be read, the first on line 5');
    expect(outcome.stderr).toContain('out of order');
  });

  test.each([
    [[], 'expected a file'],
    [['/no/such.csv'], 'no such file'],
    [[scratch.file('e.csv', '')], 'empty'],
    [[scratch.file('n.csv', 'a,b\n1,2\n')], 'no column holds'],
    [[scratch.file('u.csv', 'time,air_degC\n0,1\n'), '--unit', 'K'], 'degC or degF'],
    [[scratch.file('z.csv', 'time,air_degC\n0,1\n'), '--zone', 'Mars/Base'], 'Europe/Lisbon'],
  ])('%j is refused', (argv, part) => expect(refused('analyse', ...argv)).toContain(part));
});
