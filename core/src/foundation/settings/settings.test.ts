import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { parseCsv, isFileProblem } from '../files/index.ts';
import { applications } from './applications.ts';
import { dictionary, findSetting, isSettingId } from './dictionary.ts';
import { isQuiet } from './quiet.ts';
import { readSettingsFile } from './file.ts';
import { sameValue } from './sameValue.ts';
import { validateSet, validateValue } from './validate.ts';
import { baseValue } from '../quantities/index.ts';

const table = parseCsv(
  readFileSync(new URL('../../../../docs/formats/settings.csv', import.meta.url), 'utf8'),
  ['id', 'kind'],
);

describe('the dictionary', () => {
  // Oracle: docs/formats/settings.csv, the published list others build on.
  test('holds exactly the ids, kinds, units, choices and meanings of the published list', () => {
    if (isFileProblem(table)) throw new Error(table.message);
    const published = table.rows.map(({ cells }) => ({
      id: cells.get('id'),
      kind: cells.get('kind'),
      unit: cells.get('unit'),
      choices: cells.get('choices'),
      meaning: cells.get('meaning'),
    }));
    const own = dictionary.map((s) => ({
      id: s.id,
      kind: s.kind,
      unit: s.unit ?? '',
      choices: s.choices?.join('|') ?? '',
      meaning: s.meaning,
    }));
    const byId = (a: { id?: string | undefined }, b: { id?: string | undefined }) => (a.id! < b.id! ? -1 : 1);
    expect([...own].sort(byId)).toEqual([...published].sort(byId));
  });

  test('every related setting exists, and none relates to itself', () => {
    for (const setting of dictionary) {
      expect(setting.related.filter((id) => !isSettingId(id))).toEqual([]);
      expect(setting.related).not.toContain(setting.id);
    }
  });

  test('every number says what too low and too high do, every choice what each option does', () => {
    const silent = dictionary.filter((s) => {
      if (
        s.id.startsWith('meter.') ||
        ['clockTime', 'clockTimes', 'count'].includes(s.kind) ||
        s.id === 'condenser.refrigerant'
      )
        return false;
      if (s.kind === 'choice') return !s.choices!.every((c) => s.effects?.[c]);
      if (s.kind === 'flag') return !(s.effects?.['true'] && s.effects['false']);
      return !(s.tooLow && s.tooHigh);
    });
    expect(silent.map((s) => s.id)).toEqual([]);
  });

  test('sound ranges are possible values in ascending order', () => {
    for (const setting of dictionary)
      for (const application of applications) {
        const range = setting.sound?.[application];
        if (!range) continue;
        expect(validateValue(setting.id, range.min)).toBeNull();
        expect(validateValue(setting.id, range.max)).toBeNull();
        expect(baseValue(range.min)).toBeLessThan(baseValue(range.max));
      }
  });

  test('an id from a file cannot reach into the object', () => {
    expect(findSetting('__proto__')).toBeUndefined();
    expect(findSetting('constructor')).toBeUndefined();
  });
});

describe('one value', () => {
  test.each([
    ['regulation.setpoint', { value: 37, unit: 'degF' }],
    ['regulation.differential', { value: 2, unit: 'deltaF' }],
    ['probes.airOffset', { value: -3, unit: 'deltaF' }],
    ['compressor.minOffTime', { value: 3, unit: 'min' }],
    ['compressor.onProbeFault', 'stop'],
    ['defrost.atPowerOn', true],
    ['network.address', 12],
    ['meter.supplySlope', 20.431],
    ['condenser.quietStart', '22:00'],
    ['defrost.clockTimes', ['02:00', '14:00']],
  ])('%s takes %j', (id, value) => {
    expect(validateValue(id, value)).toBeNull();
  });

  test.each([
    ['regulation.differential', { value: 2, unit: 'degF' }, 'differenceTypedAsTemperature', '1.1 K'],
    // 2 °F put through (t − 32)·5/9: the slip of the trade, −16.7 instead of 1.1.
    ['regulation.differential', { value: -16.7, unit: 'K' }, 'differenceTypedAsTemperature', '2 °F'],
    ['regulation.differential', { value: -1, unit: 'K' }, 'impossible', 'width'],
    ['regulation.setpoint', { value: 3, unit: 'K' }, 'unitDoesNotFit', '37F'],
    ['regulation.setpoint', 38, 'wrongKind', 'a temperature such as'],
    ['regulation.setpoint', { value: 900, unit: 'degF' }, 'impossible', '−100…200 °C'],
    ['compressor.minOffTime', { value: -1, unit: 'min' }, 'impossible', '0 or more'],
    ['compressor.onProbeFault', 'maybe', 'unknownChoice', 'stop, run, dutyCycle'],
    ['defrost.atPowerOn', 'yes', 'wrongKind', 'true or false'],
    ['condenser.quietStart', '25:00', 'wrongKind', '06:30'],
    ['condenser.speedMax', { value: 120, unit: '%' }, 'impossible', '0…100'],
    ['network.address', 1.5, 'wrongKind', 'whole number'],
    ['no.such', 1, 'unknownSetting', 'brine settings'],
  ])('%s refuses %j', (id, value, code, part) => {
    const problem = validateValue(id, value);
    expect(problem?.code).toBe(code);
    expect(problem?.message).toContain(part);
  });
});

describe('a set of values', () => {
  test('a set point outside the user range is a contradiction that names both', () => {
    const problems = validateSet({
      'regulation.setpoint': { value: 40, unit: 'degF' },
      'regulation.setpointMax': { value: 2, unit: 'degC' },
    });
    expect(problems).toHaveLength(1);
    expect(problems[0]).toMatchObject({
      code: 'contradiction',
      settings: ['regulation.setpoint', 'regulation.setpointMax'],
    });
  });

  test('36 °F and 2.2222… °C are the same value, 2 K and 2 °C are not', () => {
    expect(sameValue({ value: 36, unit: 'degF' }, { value: 20 / 9, unit: 'degC' })).toBe(true);
    expect(sameValue({ value: 2, unit: 'K' }, { value: 2, unit: 'degC' })).toBe(false);
  });

  // Oracle: what a control does without the setting, as docs/decisions/0004 lists it.
  test.each([
    ['compressor.minOffTime', { value: 0, unit: 'min' }, true],
    ['compressor.minOffTime', { value: 1, unit: 's' }, false],
    ['defrost.initiation', 'manual', true],
    ['defrost.initiation', 'interval', false],
    ['fans.whileDefrost', 'stop', true],
    ['fans.control', 'always', true],
    ['probes.airSlope', 1, true],
    ['defrost.endTemperature', { value: 0, unit: 'degC' }, false],
    ['defrost.atPowerOn', false, true],
  ] as const)('%s at %j is quiet: %s', (id, value, quiet) => {
    expect(isQuiet(id, value)).toBe(quiet);
  });
});

describe('a settings file', () => {
  test('keeps fields it does not know', () => {
    const file = { format: 'brine-dial/settings@1', values: {}, colour: 'blue' };
    expect(readSettingsFile(file)).toEqual(file);
  });

  test.each([
    [{ format: 'brine-dial/settings@2', values: {} }, 'newer'],
    [{ format: 'brine-dial/unit@1' }, 'expected "brine-dial/settings@1"'],
    [{ format: 'brine-dial/settings@1', values: [] }, 'object from setting ids'],
    [[], 'expected an object'],
  ])('%j is refused', (data, part) => {
    const read = readSettingsFile(data);
    expect(isFileProblem(read) && read.message).toContain(part);
  });
});
