import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { isFileProblem } from '../../foundation/files/index.ts';
import { readVary, sweep, type Swept, type Vary } from './sweep.ts';

const freezer = JSON.parse(
  readFileSync(
    new URL('../../../../docs/formats/examples/fish-freezer.scenario.json', import.meta.url),
    'utf8',
  ),
) as Record<string, unknown>;
const vary = (text: string): Vary => {
  const read = readVary(text);
  if (typeof read === 'string') throw new Error(read);
  return read;
};

describe('what is varied', () => {
  test.each([
    ['defrost.endTemperature=4C..16C/4K', [4, 8, 12, 16], 'degC'],
    ['defrost.endTemperature=40F..50F/5dF', [40, 45, 50], 'degF'],
    ['defrost.drainTime=1min..5min/2min', [1, 3, 5], 'min'],
    ['regulation.differential=1K..2K/0.5K', [1, 1.5, 2], 'K'],
  ])('%s', (text, values, unit) => {
    expect(vary(text).values).toEqual(values.map((value) => ({ value, unit })));
  });

  test.each([
    ['defrost.endTemperature', 'expected ID=a..b/step'],
    ['defrost.colour=1C..2C/1K', 'is not a known setting'],
    ['defrost.endTemperature=4..16/2', 'three quantities with units'],
    ['defrost.endTemperature=4C..16min/2K', 'one dimension'],
    ['defrost.endTemperature=16C..4C/2K', 'ends in order'],
    ['defrost.endTemperature=4C..16C/0.001K', 'expected at most 200'],
    ['defrost.endTemperature=4min..16min/2min', 'defrost.endTemperature'],
  ])('%s is refused', (text, words) => expect(readVary(text)).toContain(words));
});

describe('termination temperature of the demo freezer', () => {
  const swept = sweep(
    { ...freezer, hours: 48, storage: undefined },
    vary('defrost.endTemperature=4C..16C/3K'),
  ) as Swept;

  test('those that leave ice have it said against them; the advised one is sound and costs least', () => {
    expect(swept.rows.map((row) => row.value.value)).toEqual([4, 7, 10, 13, 16]);
    expect(swept.rows[0]!.against.join()).toContain('of ice');
    expect(swept.rows.at(-1)!.against).toEqual([]);
    const sound = swept.rows.filter((row) => row.against.length === 0);
    const least = sound.reduce((a, b) => (b.metrics.kWhPerDay < a.metrics.kWhPerDay ? b : a));
    expect(swept.advised.value).toEqual(least.value);
    expect(swept.advised.reason).toContain('kWh a day, the least');
  });
});

test('where none is sound the one with least against it is named as such', () => {
  const hot = { ...freezer, hours: 12, storage: { max: { value: -40, unit: 'degC' } } };
  const swept = sweep(hot, vary('compressor.minOffTime=3min..5min/2min')) as Swept;
  expect(swept.advised.reason).toMatch(/^none is sound; .*the product reaches/);
});

test('it can be stopped, and a scenario that cannot be run says why', () => {
  expect(sweep(freezer, vary('defrost.drainTime=1min..5min/2min'), () => false)).toBeNull();
  const problem = sweep({ ...freezer, hours: -1 }, vary('defrost.drainTime=1min..5min/2min'));
  expect(isFileProblem(problem) && problem.field).toBe('hours');
});
