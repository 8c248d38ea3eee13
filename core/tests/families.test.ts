import { describe, expect, test } from '@jest/globals';
import { family } from '../testing/families.ts';
import { isCombined, settingsOf } from '../src/controllers/definitions/index.ts';

/** Every setting that a family holds by a code, options that say two included. */
function held(id: string): ReadonlySet<string> {
  return new Set(
    family(id).parameters.flatMap((parameter) => [
      ...settingsOf(parameter),
      ...(parameter.encoding.type === 'choice'
        ? parameter.encoding.options.flatMap((o) => (isCombined(o.means) ? Object.keys(o.means) : []))
        : []),
    ]),
  );
}

describe('what the trade meets and a first demo had not: one family each', () => {
  // Common practice: each is met in the trade.
  test.each([
    ['a call delay', 'strath-5', ['compressor.callDelay']],
    ['a second coil probe', 'noup-4', ['probes.secondCoilPresent']],
    ['a shortcut key whose function is chosen', 'ayre-3', ['access.shortcutKey']],
    ['the sensor type, with decimals', 'taing-s', ['probes.sensorType', 'display.decimal']],
    [
      'least run and rest of two outputs',
      'gloup-2',
      ['compressor.minOnTime', 'stage2.minOnTime', 'stage2.minOffTime'],
    ],
    ['one differential for alarms and fan', 'lochan-1', ['alarms.differential', 'fans.coilDifferential']],
    [
      'a door input with many options',
      'hamna-6',
      ['inputs.doorContact', 'fans.whileDoorOpen', 'compressor.whileDoorOpen'],
    ],
    [
      'relative condensing alarms with a cut-off differential',
      'skaill-c',
      ['condenser.highOffset', 'condenser.lowOffset', 'condenser.cutOffDifferential'],
    ],
    [
      'a drive’s type, and fans fitted against fans controlled',
      'brough-v',
      ['condenser.driveType', 'condenser.fansFitted', 'condenser.fanCount'],
    ],
    ['a second probe’s own set point', 'sound-2', ['stage2.probe', 'stage2.setpoint']],
  ])('%s: %s', (_, id, settings) => {
    for (const setting of settings) expect([setting, held(id).has(setting)]).toEqual([setting, true]);
  });

  test('one number of lochan-1 stands for both differentials; “on” of gloup-2 runs and rests by its minimum times', () => {
    const code = (id: string, name: string) => family(id).parameters.find((p) => p.code === name)!;
    expect(settingsOf(code('lochan-1', 'x3'))).toEqual(['alarms.differential', 'fans.coilDifferential']);
    expect(settingsOf(code('gloup-2', 'A3'))).toEqual(['compressor.minOffTime', 'compressor.faultOffTime']);
    expect(settingsOf(code('gloup-2', 'A4'))).toEqual(['compressor.minOnTime', 'compressor.faultOnTime']);
  });

  test('three programmable hour meters stay outside the dictionary', () => {
    const meters = family('quern-3').parameters.filter(({ code }) => /^h\d$/.test(code));
    expect(meters).toHaveLength(9);
    expect(meters.flatMap((p) => settingsOf(p))).toEqual([]);
    expect(meters.filter(({ encoding }) => encoding.type === 'reading')).toHaveLength(3);
  });
});
