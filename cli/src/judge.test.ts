import { afterAll, describe, expect, test } from '@jest/globals';
import { join } from 'node:path';
import { run } from './run.ts';
import { family, root, Scratch } from '../testing/scratch.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());
const examples = join(root, 'docs/formats/examples');
const fishStore = join(examples, 'fish-store.unit.json');

interface Printed {
  readonly findings: readonly {
    readonly code: string;
    readonly severity: string;
    readonly by: string;
    readonly settings: readonly string[];
    readonly message: string;
    readonly remedy: { readonly values?: object; readonly work?: string; readonly words: string } | null;
    readonly consequenceOf?: string;
  }[];
  readonly day: Readonly<Record<string, number | string | null>> | null;
}

function judged(...argv: string[]): Printed & { readonly note: string } {
  const { stdout, stderr, exitCode } = run(['judge', ...argv]);
  expect(exitCode).toBe(0);
  return { ...(JSON.parse(stdout) as Printed), note: stderr };
}

/** The plan of a unit as a settings file, with what is changed in it. */
function settingsOf(unit: string, change: object = {}): string {
  const { settings } = JSON.parse(run(['plan', unit]).stdout) as {
    readonly settings: readonly { readonly setting: string; readonly value: unknown }[];
  };
  const values = { ...Object.fromEntries(settings.map((s) => [s.setting, s.value])), ...change };
  return scratch.file('judged.settings.json', JSON.stringify({ format: 'brine-dial/settings@1', values }));
}

const figures = [
  'startsPerHour',
  'dutyPercent',
  'airMin',
  'airMax',
  'productMax',
  'iceLeftGrams',
  'defrosts',
  'alarms',
];
const unitFile = (more: object) =>
  scratch.file('own.unit.json', JSON.stringify({ format: 'brine-dial/unit@1', probes: ['air'], ...more }));

describe('brine judge', () => {
  test('a plan stands its own day: its figures, by the machine that the unit is', () => {
    const { findings, day } = judged(settingsOf(fishStore), '--unit', fishStore);
    expect(findings.filter((f) => f.severity === 'error')).toEqual([]);
    expect(day!['machine']).toBe('box');
    for (const name of figures) expect(typeof day![name]).toBe('number');
  });

  test('what goes wrong is told with its remedy, by rule and by run, and a consequence names its cause', () => {
    const wrong = { 'defrost.endTemperature': { value: 34, unit: 'degF' } };
    const { findings } = judged(settingsOf(fishStore, wrong), '--unit', fishStore);
    for (const by of ['rule', 'run'])
      expect(
        findings.filter((f) => f.by === by && f.settings.includes('defrost.endTemperature')),
      ).not.toEqual([]);
    for (const { remedy, consequenceOf, severity, message } of findings) {
      expect(message).toMatch(/\.$/);
      if (remedy) expect(remedy.words).not.toBe('');
      if (consequenceOf !== undefined) expect(severity).toBe('note');
    }
    expect(findings.some((f) => f.remedy?.values !== undefined)).toBe(true);
  });

  test('each machine has its own day; a figure it has not is null', () => {
    const tank = unitFile({ application: 'chilledWaterTank', goods: 'liveShellfish', defrostMethod: 'none' });
    expect(judged(settingsOf(tank), '--unit', tank).day).toMatchObject({
      machine: 'tank',
      iceLeftGrams: null,
      defrosts: null,
    });
    const fans = unitFile({
      application: 'condenserFans',
      goods: 'nothing',
      defrostMethod: 'none',
      probes: ['liquid'],
    });
    expect(judged(settingsOf(fans), '--unit', fans).day).toMatchObject({
      machine: 'condenser',
      airMax: null,
    });
    const road = unitFile({
      application: 'transportUnit',
      goods: 'dairy',
      defrostMethod: 'electric',
      probes: ['air', 'coil'],
    });
    expect(judged(settingsOf(road), '--unit', road).day).toMatchObject({ machine: 'engine' });
    const meter = unitFile({
      application: 'heatMeter',
      goods: 'nothing',
      defrostMethod: 'none',
      probes: ['supply', 'return'],
    });
    expect(judged(settingsOf(meter), '--unit', meter)).toMatchObject({
      day: null,
      note: expect.stringContaining('regulates nothing'),
    });
  });

  test('with a control the values are those that it will hold, with a circuit what is wrong with it is told too', () => {
    const own = judged(settingsOf(fishStore), '--unit', fishStore);
    const held = judged(settingsOf(fishStore), '--unit', fishStore, '--controller', family('lochan-1'));
    expect(held.findings.map((f) => f.code)).not.toEqual(own.findings.map((f) => f.code));
    const circuit = join(examples, 'wire/reach-in.circuit.json');
    const wired = judged(settingsOf(fishStore), '--unit', fishStore, '--circuit', circuit);
    expect(wired.day).toEqual(own.day);
  });

  test.each([
    [[], 'expected a file *.settings.json'],
    [[join(examples, 'freezer.settings.json')], '--unit'],
    [
      [join(examples, 'freezer.settings.json'), '--unit', join(examples, 'freezer.settings.json')],
      'brine-dial/unit@1',
    ],
  ])('refuses %j', (argv, words) => {
    const { stdout, stderr, exitCode } = run(['judge', ...argv]);
    expect({ stdout, exitCode }).toEqual({ stdout: '', exitCode: 2 });
    expect(stderr).toContain(words);
  });
});
