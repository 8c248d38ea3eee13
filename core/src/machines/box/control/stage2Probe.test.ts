import { describe, expect, test } from '@jest/globals';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { lines, runOver, units } from '../../../../testing/runs.ts';

const { c, k } = units;
const second: SettingValues = {
  'regulation.setpoint': c(2),
  'regulation.differential': k(2),
  'stage2.function': 'thermostat',
  'stage2.setpoint': c(8),
  'stage2.differential': k(2),
  'stage2.probe': 'second',
  'probes.coilPresent': false,
};

// Worked out by hand from docs/control.md.

describe('a second stage that goes by the second probe', () => {
  test('switches on that reading alone, whatever the air does', () => {
    const run = runOver(second, 'time,air_degC,coil_degC\n0,2,8\n5,2,10\n9,12,9\n12,12,8\n15,2,8');
    expect(lines(run, 'stage2')).toEqual(['5 stage2 on', '12 stage2 off']);
  });

  test('by the air it is the air’s', () => {
    const run = runOver(
      { ...second, 'stage2.probe': 'air' },
      'time,air_degC,coil_degC\n0,2,8\n5,2,10\n9,10,9\n12,8,12\n15,2,8',
    );
    expect(lines(run, 'stage2')).toEqual(['9 stage2 on', '12 stage2 off']);
  });

  test.each([
    ['stop', []],
    ['run', ['4 stage2 on', '8 stage2 off']],
  ] as const)(
    'rests by its own choice when that probe fails: %s; the first stage goes on',
    (choice, expected) => {
      const run = runOver(
        { ...second, 'stage2.onProbeFault': choice },
        'time,air_degC,coil_degC\n0,6,8\n4,6,open\n8,6,8\n12,6,8',
      );
      expect(lines(run, 'stage2')).toEqual(expected);
      expect(lines(run, 'compressor')).toEqual(['0 compressor on']);
      expect(lines(run, 'probeFault')).toEqual(['4 probeFault on (second)', '8 probeFault off (second)']);
    },
  );

  test('two stages that regulate two places fight over nothing', () => {
    const run = runOver(
      { ...second, 'stage2.action': 'heat', 'stage2.setpoint': c(20) },
      'time,air_degC,coil_degC\n0,6,10\n5,6,10',
    );
    expect(lines(run, 'stagesFight')).toEqual([]);
  });
});
