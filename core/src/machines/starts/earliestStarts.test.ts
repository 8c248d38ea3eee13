import { describe, expect, test } from '@jest/globals';
import { plainCooler, units } from '../../../testing/runs.ts';
import { seeded } from '../../../testing/seeded.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { controlConfig, powerUp, tick, type Command, type ControlConfig } from '../box/index.ts';
import { earliestStarts } from './earliestStarts.ts';
import { startOutputs, type StartOutput } from './runUnder.ts';

const { c, k, s } = units;

function configOf(values: SettingValues): ControlConfig {
  const config = controlConfig(values);
  if (typeof config === 'string') throw new Error(config);
  return config;
}
const startsOf = (values: SettingValues, minutes = 10) =>
  new Map(earliestStarts(configOf({ ...plainCooler, ...values }), minutes).map((one) => [one.output, one]));

// Oracle: the rules of the control, by hand (docs: what a control does each second).
describe('what may start after the power is back', () => {
  test('a warm box starts the compressor after its delay from power-up', () => {
    const start = startsOf({ 'compressor.powerOnDelay': s(120), 'compressor.callDelay': s(30) }).get(
      'compressor',
    )!;
    expect(start.earliestSeconds).toBe(120);
    expect(start.by).toEqual(['powerOn', 'boxWarm']);
  });

  test('an open probe starts it as well where the choice on probe failure is to run', () => {
    const values: SettingValues = { 'compressor.onProbeFault': 'run', 'compressor.powerOnDelay': s(60) };
    const ways = startsOf(values).get('compressor')!.ways;
    expect(ways).toContainEqual({ seconds: 60, by: ['probeOpens'] });
    expect(
      startsOf({ ...values, 'compressor.onProbeFault': 'stop' }).get('compressor')!.ways,
    ).not.toContainEqual(expect.objectContaining({ by: ['probeOpens'] }));
  });

  test('a key starts the heater at once; after the power it needs none where a defrost is set at power-up', () => {
    const electric: SettingValues = {
      'defrost.method': 'electric',
      'defrost.maxDuration': s(900),
      'defrost.initiation': 'interval',
      'defrost.interval': s(6 * 3600),
    };
    const byKey = startsOf(electric).get('defrost')!;
    expect([byKey.earliestSeconds, byKey.by]).toEqual([0, ['powerOn', 'defrostKey']]);
    const atOnce = startsOf({ ...electric, 'defrost.atPowerOn': true }).get('defrost')!;
    expect([atOnce.earliestSeconds, atOnce.by]).toEqual([0, ['powerOn']]);
    expect(startsOf({}).get('defrost')).toBeUndefined();
  });

  test('a clock calls a defrost only where it is named as what does', () => {
    const clocked = startsOf({
      'defrost.method': 'electric',
      'defrost.maxDuration': s(900),
      'defrost.initiation': 'clock',
      'defrost.clockTimes': ['00:05', '12:00', '23:58'],
    }).get('defrost')!;
    expect(clocked.ways.map(({ by }) => by)).not.toContainEqual([]);
    expect(clocked.ways).toContainEqual({ seconds: 0, by: ['defrostDue'] });
  });

  test('what does not start within the time is not named', () => {
    expect(startsOf({ 'compressor.powerOnDelay': s(900) }, 10).get('compressor')).toBeUndefined();
    expect(startsOf({ 'compressor.powerOnDelay': s(900) }, 15).get('compressor')!.earliestSeconds).toBe(900);
  });
});

/** Any settings of a control, short times, so that much meets within a minute. */
function anySettings(random: () => number): SettingValues {
  const one = <Of>(list: readonly Of[]) => list[Math.floor(random() * list.length)]!;
  const time = () => s(Math.floor(random() * random() * 40));
  return {
    'regulation.setpoint': c(one([-20, 3, 40])),
    'regulation.differential': k(one([0, 1, 3])),
    'regulation.action': one(['cool', 'cool', 'heat']),
    'regulation.differentialPlacement': one(['setpointIsCutOut', 'setpointIsMiddle', 'setpointIsCutIn']),
    'compressor.powerOnDelay': time(),
    'compressor.powerOnDelayHoldsFans': random() < 0.3,
    'compressor.minOffTime': time(),
    'compressor.minOnTime': time(),
    'compressor.minStartInterval': time(),
    'compressor.callDelay': time(),
    'compressor.onProbeFault': one(['stop', 'run', 'dutyCycle']),
    'compressor.faultOnTime': time(),
    'compressor.faultOffTime': time(),
    'compressor.whileDoorOpen': one(['run', 'stop']),
    'defrost.method': one(['none', 'offCycle', 'electric', 'hotGas']),
    'defrost.initiation': one(['interval', 'coolingTime', 'compressorRunTime', 'manual', 'clock']),
    // Beyond what is looked at: the shortest interval of a booklet is an hour (common practice).
    'defrost.interval': s(61 + Math.floor(random() * 60)),
    'defrost.clockTimes': [one(['06:00', '14:30'])],
    'defrost.maxDuration': time(),
    'defrost.drainTime': time(),
    'defrost.termination': one(['time', 'temperature']),
    'defrost.endTemperature': c(10),
    'defrost.atPowerOn': random() < 0.2,
    ...(random() < 0.3 && { 'defrost.manualMaxCoilTemperature': c(5) }),
    'fans.control': one(['always', 'controlled', 'controlled']),
    'fans.whileCompressorOff': one(['run', 'stop', 'cycle']),
    'fans.restOnTime': time(),
    'fans.restOffTime': time(),
    'fans.runOnTime': time(),
    'fans.whileDefrost': one(['run', 'stop']),
    ...(random() < 0.4 && { 'fans.stopCoilTemperature': c(8), 'fans.coilDifferential': k(2) }),
    ...(random() < 0.4 && { 'fans.restartCoilTemperature': c(-3) }),
    ...(random() < 0.4 && { 'fans.delayAfterDrain': time() }),
    'fans.whileDoorOpen': one(['run', 'stop']),
    'fans.doorCloseDelay': time(),
    'fans.doorForcedStart': time(),
    'stage2.function': one(['none', 'thermostat', 'alarm']),
    'stage2.action': one(['cool', 'heat']),
    'stage2.reference': one(['absolute', 'relative']),
    'stage2.setpoint': c(one([-10, 5])),
    'stage2.offset': k(one([-4, 2])),
    'stage2.differential': k(one([0, 2])),
    'stage2.minOffTime': time(),
    'stage2.onProbeFault': one(['stop', 'run', 'dutyCycle']),
    'stage2.probe': one(['air', 'second']),
    'alarms.reference': one(['none', 'absolute', 'relative']),
    'alarms.highTemperature': c(12),
    'alarms.lowTemperature': c(-30),
    'alarms.highOffset': k(5),
    'alarms.lowOffset': k(5),
    'alarms.delay': time(),
    'alarms.powerOnExclusion': time(),
    'alarms.doorDelay': time(),
    'alarms.inputDelay': time(),
    'alarms.inputAction': one(['warn', 'stop']),
    'probes.coilPresent': random() < 0.8,
    ...(random() < 0.2 && { 'probes.filterTime': time() }),
  };
}

/** A search that knows nothing of causes: every few seconds anything a hand, a probe or a clock can do is drawn anew. The earliest second of each output over many days. */
function searched(
  config: ControlConfig,
  seconds: number,
  tries: number,
  random: () => number,
): Map<StartOutput, number> {
  const found = new Map<StartOutput, number>();
  const readings = [-60, -15, config.setpoint, 6, 15, 90, Number.NaN];
  const commands: readonly Command['does'][] = [
    'startDefrost',
    'stopDefrost',
    'standbyOn',
    'standbyOff',
    'setbackOn',
    'setbackOff',
  ];
  const draw = <Of>(list: readonly Of[]) => list[Math.floor(random() * list.length)]!;
  for (let n = 0; n < tries; n += 1) {
    const state = powerUp(config.setpoint);
    const changes = draw([0.02, 0.1, 0.5]);
    const clock = draw([0, 21_600, 52_200, 52_180, Math.floor(random() * 86_400)]);
    let [air, coil, coil2, doorOpen, alarmInput] = [
      draw(readings),
      draw(readings),
      draw(readings),
      false,
      false,
    ];
    for (let t = 0; t <= seconds; t += 1) {
      if (random() < changes) air = draw(readings);
      if (random() < changes) coil = draw(readings);
      if (random() < changes) coil2 = draw(readings);
      if (random() < changes) doorOpen = !doorOpen;
      if (random() < changes / 3) alarmInput = !alarmInput;
      const told: readonly Command[] =
        random() < changes / 2
          ? [
              random() < 0.2
                ? { does: 'setpoint', celsius: draw([-30, 0, 50]) }
                : { does: draw(commands) as 'startDefrost' },
            ]
          : [];
      const out = tick(
        config,
        state,
        {
          air,
          coil: config.probes.coilPresent ? coil : null,
          coil2: config.stage2.bySecond ? coil2 : null,
          doorOpen,
          alarmInput,
          timeOfDay: (clock + t) % 86_400,
          commands: told,
        },
        () => undefined,
      );
      for (const output of startOutputs)
        if (out[output] && t < (found.get(output) ?? Infinity)) found.set(output, t);
    }
  }
  return found;
}

// Oracle: an independent, slow search, second by second, over anything that inputs can do. BRINE_LONG runs the thousand settings.
test('no search over inputs finds an earlier start than the one that is told', () => {
  const random = seeded(2101);
  const long = process.env['BRINE_LONG'] === '1';
  const earlier: unknown[] = [];
  for (let n = 0; n < (long ? 1000 : 100); n += 1) {
    const values = anySettings(random);
    const config = configOf(values);
    const told = new Map(earliestStarts(config, 1).map((one) => [one.output, one.earliestSeconds]));
    for (const [output, seconds] of searched(config, 60, long ? 60 : 25, random))
      if (seconds < (told.get(output) ?? Infinity))
        earlier.push(JSON.stringify({ n, output, seconds, told: told.get(output), ...values }));
  }

  expect(earlier.slice(0, 1)).toEqual([]);
});
