import { expect, test } from '@jest/globals';
import type { Parameter } from '@brine/core/controllers/definitions';
import { writeWarnings } from './writeWarnings.ts';

const parameter = (setting: string): Parameter =>
  ({
    code: 'x',
    name: '',
    setting,
    encoding: { type: 'number', unit: 'none', min: 0, max: 1, default: 0 },
  }) as Parameter;

test('each kind of value has the caution that belongs to it, once', () => {
  expect(writeWarnings([])).toEqual([]);
  expect(writeWarnings([parameter('regulation.setpoint'), parameter('compressor.minOff')])).toEqual([
    'A compressor may start at once. Keep hands and tools out of fans and belts.',
  ]);
  const all = writeWarnings(['defrost.interval', 'fans.whileDefrost', 'alarms.highOffset'].map(parameter));
  expect(all).toHaveLength(3);
  expect(all[0]).toContain('heaters get hot');
  expect(writeWarnings([parameter('display.unit')])).toEqual([]);
});
