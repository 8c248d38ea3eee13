import { describe, expect, test } from '@jest/globals';
import type { SettingId } from '../../../foundation/settings/index.ts';
import { optionMeanings } from './meanings.ts';
import { readOptions } from './readOptions.ts';

/** What each option means, "?" where it is only custom. */
function polarity(setting: SettingId, description: string, min = '0', max = '1'): string {
  const { options } = readOptions(description, min, max);
  return optionMeanings(setting, description, options)
    .map((o) => `${o.value}=${o.means}${o.sure ? '' : '?'}`)
    .join(' ');
}

describe('what 0 and 1 stand for is read from the words (oracle: read by a person)', () => {
  test.each<[SettingId, string, string, string?, string?]>([
    ['fans.whileDefrost', 'Fan in defrost: 0 = fan runs, 1 = fan stops', '0=run 1=stop'],
    ['fans.whileDefrost', 'Fan in defrost: 0 = fan stops, 1 = fan runs', '0=stop 1=run'],
    ['fans.whileCompressorOff', 'Fan stops together with the compressor (y/n)', 'n=run y=stop', 'n', 'y'],
    ['fans.whileDefrost', 'Fan runs during defrosting yes/no', 'n=stop y=run', 'n', 'y'],
    ['compressor.whileDoorOpen', 'Door opening stops compressor (0 = no, 1 = yes)', '0=run 1=stop'],
    [
      'compressor.onProbeFault',
      'Compressor when room sensor fails: 0 OFF 1 ON 2 duty cycle',
      '0=stop 1=run 2=dutyCycle',
      '0',
      '2',
    ],
    [
      'defrost.method',
      'Defrost type: 0 electric heater, 1 hot gas, 2 by stop of compressor',
      '0=electric 1=hotGas 2=offCycle',
      '0',
      '2',
    ],
    ['defrost.termination', 'Defrost ends by: 0 = temperature, 1 = time', '0=temperature 1=time'],
    [
      'alarms.reference',
      'Alarm config: rE = relative to set point, Ab = absolute',
      'rE=relative Ab=absolute',
      '',
      '',
    ],
    ['regulation.action', 'Action of output: 0 = heating, 1 = cooling', '0=heat 1=cool'],
    ['display.unit', 'Measurement unit °C/°F', 'C=celsius F=fahrenheit', 'C', 'F'],
    [
      'inputs.doorContact',
      'Door switch: 0 = contact closes when door opens, 1 = contact opens when door opens',
      '0=closesOnOpen 1=opensOnOpen',
    ],
    ['access.keypadLock', 'Keyboard lock', '0=false? 1=true?'],
    ['probes.coilPresent', 'Coil probe: 0 = without, 1 = in use', '0=false 1=true?'],
    ['display.decimal', 'Resolution: in / dE', 'in=false dE=true', 'in', 'dE'],
    ['alarms.buzzer', 'Buzzer', 'oF=false on=true', 'oF', 'on'],
    ['compressor.onProbeFault', 'Compressor on probe failure', '0=null? 1=null? 2=null?', '0', '2'],
  ])('%s: %s', (setting, description, expected, min = '0', max = '1') => {
    expect(polarity(setting, description, min, max)).toBe(expected);
  });

  test('two options never get one meaning', () => {
    expect(polarity('fans.whileDefrost', 'Fan: 0 = stop always, 1 = stop in drip')).toBe('0=null? 1=null?');
  });

  test('one option may stand for two settings: how, and what ends it', () => {
    const words = 'Type of defrost; 0 = heater, by temperature; 1 = heater, by time; 2 = hot gas, by time';
    const { options } = readOptions(words, '0', '2');
    expect(optionMeanings('defrost.method', words, options)).toMatchObject([
      { means: 'electric', also: { setting: 'defrost.termination', value: 'temperature' } },
      { means: 'electric', also: { setting: 'defrost.termination', value: 'time' } },
      { means: 'hotGas', also: { setting: 'defrost.termination', value: 'time' } },
    ]);
    const plain = 'Type of defrost: 0 = heater, 1 = hot gas';
    expect(optionMeanings('defrost.method', plain, readOptions(plain).options).some((o) => o.also)).toBe(
      false,
    );
  });

  test('the one option left gets the one choice left, and is said to be unsure', () => {
    expect(polarity('defrost.termination', 'Ends: 0 = temperature, 1 = xyz')).toBe('0=temperature 1=time?');
  });
});
