import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, test } from '@jest/globals';
import { root, Scratch } from '../testing/scratch.ts';
import { run } from './run.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());
const file = (name: string) => join(root, 'docs/formats/examples/learned', name);
const [log, unit, settings] = [
  file('freezer.log.csv'),
  file('freezer.unit.json'),
  file('freezer.settings.json'),
];

describe('identify', () => {
  test('prints the box that stands beside the log as its example', () => {
    const { stdout, exitCode } = run(['identify', log, '--unit', unit, '--settings', settings]);
    expect(exitCode).toBe(0);
    const box = JSON.parse(stdout) as {
      readonly parameters: object;
      readonly fit: Readonly<Record<string, { readonly measured: number; readonly model: number }>>;
    };
    const example = JSON.parse(readFileSync(file('freezer.box.json'), 'utf8')) as typeof box;
    expect(box).toMatchObject({ format: 'brine-dial/box@1', hours: expect.closeTo(48, 0) });
    expect(Object.keys(box.parameters)).toEqual(Object.keys(example.parameters));
    // Measured is counted; the model's figures follow the last bit of every step, which another engine may round otherwise.
    for (const id of ['startsPerHour', 'dutyPercent', 'defrostMinutes', 'airMean', 'airDayMax']) {
      expect(box.fit[id]!.measured).toBeCloseTo(example.fit[id]!.measured, 9);
      expect(Math.abs(box.fit[id]!.model - example.fit[id]!.model)).toBeLessThan(
        0.1 * Math.abs(example.fit[id]!.model),
      );
    }
  });

  test.each([
    [['identify'], 'expected a file *.log.csv'],
    [['identify', log, '--settings', settings], '--unit: expected a file *.unit.json'],
    [['identify', log, '--unit', unit], '--settings: expected a file *.settings.json'],
  ])('%j is refused', (argv, words) => {
    const { stdout, stderr, exitCode } = run(argv);
    expect([stdout, exitCode]).toEqual(['', 2]);
    expect(stderr).toContain(words);
  });

  test('a log too short says how long it is and what is needed', () => {
    const short = readFileSync(log, 'utf8').split('\n').slice(0, 300).join('\n');
    const { stderr, exitCode } = run([
      'identify',
      scratch.file('short.log.csv', short),
      '--unit',
      unit,
      '--settings',
      settings,
    ]);
    expect(exitCode).toBe(2);
    expect(stderr).toContain('The log has 10 h in one piece; a day is needed');
    expect(stderr.trimEnd().split('\n')).toHaveLength(1);
  });

  test('another unit’s settings are seen to be another’s', () => {
    const warm = JSON.parse(readFileSync(settings, 'utf8')) as { values: Record<string, unknown> };
    warm.values['regulation.setpoint'] = { value: 3, unit: 'degC' };
    const other = scratch.file('other.settings.json', JSON.stringify(warm));
    const { stderr } = run(['identify', log, '--unit', unit, '--settings', other]);
    expect(stderr).toContain('another unit’s log, or other settings were in force');
  });
});

describe('predict', () => {
  const predict = (...more: string[]) =>
    run(['predict', '--box', file('freezer.box.json'), '--unit', unit, ...more]);
  type Figures = Readonly<
    Record<string, { readonly value: number; readonly low: number; readonly high: number }>
  >;
  const figures = (...more: string[]) =>
    (JSON.parse(predict(...more).stdout) as { figures: Figures }).figures;

  test('a wider differential starts less often, about the log’s own duty; every figure lies in its interval', () => {
    const now = figures('--settings', settings);
    const wider = figures('--settings', file('wider.settings.json'));
    expect(wider['startsPerHour']!.high).toBeLessThan(now['startsPerHour']!.low);
    const { fit } = JSON.parse(readFileSync(file('freezer.box.json'), 'utf8')) as {
      readonly fit: Readonly<Record<string, { readonly measured: number }>>;
    };
    // What was measured under the same settings is what is predicted.
    for (const id of ['startsPerHour', 'dutyPercent', 'defrostMinutes']) {
      expect(fit[id]!.measured).toBeGreaterThan(now[id]!.low);
      expect(fit[id]!.measured).toBeLessThan(now[id]!.high);
    }
    for (const { value, low, high } of Object.values(wider)) {
      expect(value).toBeGreaterThanOrEqual(low);
      expect(value).toBeLessThanOrEqual(high);
    }
  });

  test('in warmer air it runs longer', () =>
    expect(
      figures('--settings', settings, '--ambient', '36C', '--days', '1')['dutyPercent']!.low,
    ).toBeGreaterThan(
      figures('--settings', settings, '--ambient', '20C', '--days', '1')['dutyPercent']!.high,
    ));

  test.each([
    [['--settings', settings, '--ambient', '300C'], '--ambient: expected a temperature'],
    [['--settings', settings, '--ambient', '30'], '--ambient'],
    [['--settings', settings, '--days', '0'], '--days: 0: expected 1 to 14'],
    [[], '--settings: expected a file'],
  ])('%j is refused', (more, words) => {
    const { stderr, exitCode } = predict(...more);
    expect(exitCode).toBe(2);
    expect(stderr).toContain(words);
  });

  test('a box of another kind is refused', () => {
    const fridge = JSON.parse(readFileSync(unit, 'utf8')) as Record<string, unknown>;
    const other = scratch.file('fridge.unit.json', JSON.stringify({ ...fridge, application: 'cellar' }));
    const { stderr } = run([
      'predict',
      '--box',
      file('freezer.box.json'),
      '--unit',
      other,
      '--settings',
      settings,
    ]);
    expect(stderr).toContain('learned of a unit of the kind walkInFreezer, this one is cellar');
  });
});
