import { expect, test } from '@jest/globals';
import { quantity } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { cycleOf } from './cycleOf.ts';

const values: SettingValues = {
  'regulation.setpoint': quantity(2, 'degC'),
  'regulation.differential': quantity(2, 'K'),
};

// By hand: off at the set point, on a differential above; four starts an hour are a quarter of an hour each.
test('band, period and share of a box', () => {
  expect(cycleOf(values, { startsPerHour: 4, dutyPercent: 40 })).toEqual({
    low: 2,
    high: 4,
    period: 900,
    runShare: 0.4,
  });
});

test.each([
  ['it heats', { ...values, 'regulation.action': 'heat' }, { startsPerHour: 4, dutyPercent: 40 }],
  ['it hardly starts', values, { startsPerHour: 0.1, dutyPercent: 90 }],
  ['nothing is known of it', values, null],
  ['nothing regulates', {}, { startsPerHour: 4, dutyPercent: 40 }],
] as const)('no cycle: %s', (_, of, expected) => {
  expect(cycleOf(of as SettingValues, expected)).toBeNull();
});
