import { describe, expect, test } from '@jest/globals';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { lines, runOver, units } from '../../../../testing/runs.ts';
import { bandOf } from './demand.ts';

const { c, k, s } = units;
const f = (value: number) => ({ value, unit: 'degF' }) as const;
const df = (value: number) => ({ value, unit: 'deltaF' }) as const;
const controlled: SettingValues = { 'fans.control': 'controlled', 'fans.whileCompressorOff': 'stop' };

// Times below are worked out by hand from docs/control.md.

describe('band', () => {
  test.each([
    ['setpointIsCutOut', false, 36, 2, 36, 38],
    ['setpointIsMiddle', false, 37, 4, 35, 39],
    ['setpointIsCutIn', false, 40, 3, 37, 40],
    ['setpointIsCutOut', true, 55, 2, 55, 53],
    ['setpointIsMiddle', true, 55, 4, 57, 53],
    ['setpointIsCutIn', true, 55, 2, 57, 55],
  ] as const)(
    '%s, heat %s, %d and %d: off at %d, on at %d',
    (placement, heat, setpoint, differential, cutOut, cutIn) => {
      expect(bandOf({ placement, heat, differential }, setpoint)).toEqual({ cutOut, cutIn });
    },
  );

  test.each([
    // Common practice: what the trade counts on its fingers.
    [36, 2, 38, 36],
    [37, 7, 44, 37],
    [-7.6, 7, -0.6, -7.6],
    [85, 15, 100, 85],
  ])(
    'common practice: set %d °F, differential %d: runs from %d down to %d, and not a hair off',
    (set, diff, cutIn, cutOut) => {
      const run = runOver(
        { 'regulation.setpoint': f(set), 'regulation.differential': df(diff) },
        `time,air_degF\n0,${cutOut}\n10,${cutIn - 0.001}\n20,${cutIn}\n30,${cutOut + 0.001}\n40,${cutOut}\n50,${cutOut}`,
      );
      expect(lines(run, 'compressor')).toEqual(['20 compressor on', '40 compressor off']);
    },
  );

  test('without a differential: on above the set point, off at it', () => {
    const run = runOver({ 'regulation.differential': k(0) }, 'time,air_degC\n0,2\n5,2.1\n9,2\n12,2');
    expect(lines(run, 'compressor')).toEqual(['5 compressor on', '9 compressor off']);
  });

  test('set-back raises both ends while it is on; a set point outside the user’s range is refused', () => {
    const run = runOver(
      { 'regulation.setback': k(3), 'regulation.setpointMax': c(6) },
      'time,air_degC,command\n0,4,\n5,4,setbackOn\n9,4,setbackOff\n12,4,setpoint=9C\n15,4,setpoint=5C\n20,4,',
    );
    expect(lines(run, 'compressor', 'commandRefused')).toEqual([
      '0 compressor on',
      '5 compressor off',
      '9 compressor on',
      '12 commandRefused setpoint (outside the user’s range)',
      '15 compressor off',
    ]);
  });
});

describe('compressor', () => {
  test('a minimum off time of 180 s after a stop at 1000 allows a start at 1180; the hold is told with the seconds left', () => {
    const run = runOver({ 'compressor.minOffTime': s(180) }, 'time,air_degC\n0,5\n1000,2\n1010,5\n1300,5');
    expect(lines(run, 'compressor')).toEqual([
      '0 compressor on',
      '1000 compressor off',
      '1180 compressor on',
    ]);
    expect(run.events.find((e) => e.kind === 'held')).toMatchObject({
      t: 1010,
      value: 'minOffTime',
      numbers: { seconds: 170 },
    });
  });

  test('start-up delay 120: earliest start at 120; no rest before the first stop', () => {
    const run = runOver(
      { 'compressor.powerOnDelay': s(120), 'compressor.minOffTime': s(600) },
      'time,air_degC\n0,5\n200,5',
    );
    expect(lines(run, 'compressor')).toEqual(['120 compressor on']);
  });

  test('the shortest run is kept, the start interval and the delay of the call too; the hold that ends last decides', () => {
    const run = runOver(
      {
        'compressor.minOnTime': s(60),
        'compressor.minStartInterval': s(300),
        'compressor.minOffTime': s(100),
        'compressor.callDelay': s(20),
      },
      'time,air_degC\n0,5\n30,2\n85,5\n400,5',
    );
    // Called at 0, starts at 20; the call ends at 30, the run at 80. Rest until 180, start to start until 320, call from 85 on.
    expect(lines(run, 'compressor')).toEqual(['20 compressor on', '80 compressor off', '320 compressor on']);
  });

  test.each([
    ['stop', []],
    ['run', ['10 compressor on']],
    [
      'dutyCycle',
      [
        '10 compressor on',
        '13 compressor off',
        '15 compressor on',
        '18 compressor off',
        '20 compressor on',
        '23 compressor off',
      ],
    ],
  ] as const)('air probe failed: %s', (choice, expected) => {
    const run = runOver(
      { 'compressor.onProbeFault': choice, 'compressor.faultOnTime': s(3), 'compressor.faultOffTime': s(2) },
      'time,air_degC\n0,3\n10,open\n24,open',
    );
    expect(lines(run, 'compressor')).toEqual(expected);
  });

  test('the demand is kept through a failure', () => {
    const run = runOver({}, 'time,air_degC\n0,5\n10,\n20,3\n30,3');
    expect(lines(run, 'compressor')).toEqual(['0 compressor on', '10 compressor off', '20 compressor on']);
  });
});

describe('defrost', () => {
  const electric: SettingValues = {
    'defrost.method': 'electric',
    'defrost.initiation': 'interval',
    'defrost.interval': s(1000),
    'defrost.maxDuration': s(100),
    'defrost.drainTime': s(30),
  };
  const warm = 'time,air_degC,coil_degC\n0,5,-10\n2500,5,-10';

  test('begun at 1000 it ends by time at 1100, drains until 1130; the next is due 1000 s after the start', () => {
    expect(lines(runOver(electric, warm), 'phase', 'defrost', 'compressor')).toEqual([
      '0 compressor on',
      '1000 compressor off',
      '1000 defrost on',
      '1000 phase defrost',
      '1100 defrost off',
      '1100 phase drain',
      '1130 compressor on',
      '1130 phase regulate',
      '2000 compressor off',
      '2000 defrost on',
      '2000 phase defrost',
      '2100 defrost off',
      '2100 phase drain',
      '2130 compressor on',
      '2130 phase regulate',
    ]);
  });

  test('cooling time counts from the end of drain: 1000 of cooling, 100, 30, then 1000 again', () => {
    const run = runOver({ ...electric, 'defrost.initiation': 'coolingTime' }, warm);
    expect(lines(run, 'phase').filter((l) => l.endsWith('defrost'))).toEqual([
      '1000 phase defrost',
      '2130 phase defrost',
    ]);
  });

  test('compressor run time counts only running seconds, none of a hot gas defrost', () => {
    const run = runOver(
      { ...electric, 'defrost.method': 'hotGas', 'defrost.initiation': 'compressorRunTime' },
      'time,air_degC,coil_degC\n0,5,-10\n400,2,-10\n700,5,-10\n2600,5,-10',
    );
    // 400 s, a rest of 300, then 600 more: 1300. After the drain at 1430 another 1000.
    expect(lines(run, 'phase').filter((l) => l.endsWith('defrost'))).toEqual([
      '1300 phase defrost',
      '2430 phase defrost',
    ]);
    // Hot gas: the compressor runs through the defrost and rests in the drain.
    expect(lines(run, 'compressor').slice(3)).toEqual([
      '1400 compressor off',
      '1430 compressor on',
      '2530 compressor off',
      '2560 compressor on',
    ]);
  });

  test('by the clock, also over midnight; a time during a defrost is lost', () => {
    const run = runOver(
      { ...electric, 'defrost.initiation': 'clock', 'defrost.clockTimes': ['23:59', '00:01'] },
      'time,air_degC,coil_degC\n2026-03-01T23:58:00Z,5,-10\n2026-03-02T00:05:00Z,5,-10',
    );
    expect(lines(run, 'phase').filter((l) => l.endsWith('defrost'))).toEqual(['60 phase defrost']);
  });

  test('ends by temperature with a good probe only', () => {
    const byTemperature: SettingValues = {
      ...electric,
      'defrost.termination': 'temperature',
      'defrost.endTemperature': c(8),
    };
    const table = 'time,air_degC,coil_degC\n0,5,-10\n1040,5,8\n1050,5,-10\n1500,5,-10';
    expect(lines(runOver(byTemperature, table), 'phase')).toEqual([
      '1000 phase defrost',
      '1040 phase drain',
      '1070 phase regulate',
    ]);
    const failed = table.replaceAll('1040,5,8', '1040,5,open').replaceAll('1050,5,-10', '1050,5,open');
    expect(lines(runOver(byTemperature, failed), 'phase')[1]).toBe('1100 phase drain');
  });

  test('due while the coil is warm it is skipped, and counts as a start', () => {
    const run = runOver(
      { ...electric, 'defrost.termination': 'temperature', 'defrost.endTemperature': c(8) },
      'time,air_degC,coil_degC\n0,5,-10\n900,5,9\n1100,5,-10\n2200,5,-10',
    );
    expect(lines(run, 'defrostSkipped')).toEqual(['1000 defrostSkipped on (interval: the coil is warm)']);
    expect(lines(run, 'phase')[0]).toBe('2000 phase defrost');
    expect(run.totals.defrosts).toBe(1);
  });

  test('by hand: refused above its limit, in the drain, with none set; stopped by hand it drains', () => {
    const run = runOver(
      { ...electric, 'defrost.manualMaxCoilTemperature': c(7) },
      `time,air_degC,coil_degC,command
       0,5,9,startDefrost
       10,5,-10,startDefrost
       20,5,-10,stopDefrost
       30,5,-10,startDefrost
       60,5,-10,`,
    );
    expect(lines(run, 'phase', 'commandRefused')).toEqual([
      '0 commandRefused startDefrost (the coil is too warm)',
      '10 phase defrost',
      '20 phase drain',
      '30 commandRefused startDefrost (draining)',
      '50 phase regulate',
    ]);
    expect(lines(runOver({}, 'time,air_degC,command\n0,5,startDefrost\n5,5,'), 'commandRefused')).toEqual([
      '0 commandRefused startDefrost (no defrost is set)',
    ]);
  });

  test('at power-up, whatever counts; a drain of 0 writes no drain', () => {
    const run = runOver(
      { ...electric, 'defrost.initiation': 'manual', 'defrost.atPowerOn': true, 'defrost.drainTime': s(0) },
      'time,air_degC,coil_degC\n0,5,-10\n300,5,-10',
    );
    expect(lines(run, 'phase')).toEqual(['0 phase defrost', '100 phase regulate']);
  });

  test('with two coil probes the colder one ends it', () => {
    const run = runOver(
      { ...electric, 'defrost.termination': 'temperature', 'defrost.endTemperature': c(8) },
      'time,air_degC,coil_degC,coil2_degC\n0,5,-10,-10\n1010,5,9,-1\n1060,5,9,8\n1200,5,9,8',
    );
    expect(lines(run, 'phase')[1]).toBe('1060 phase drain');
  });

  test('on demand: 600 counted seconds make the clean value, a rise beyond the amount for 300 in a row begins it', () => {
    const run = runOver(
      {
        ...electric,
        'defrost.initiation': 'demand',
        'defrost.interval': s(0),
        'defrost.demandTemperatureDifference': k(3),
      },
      'time,air_degC,coil_degC\n0,5,0\n1000,5,-10\n4000,5,-10',
    );
    // Counted from 120 on; a difference of 5 K until 1000, of 15 K after. The mean of 600 stands over 5 + 3 once more than
    // 600 · 3/10 = 180 of them are 15: at the 181st, second 1180; 300 in a row end at 1479.
    expect(lines(run, 'phase')[0]).toBe('1479 phase defrost');
  });
});

describe('fan', () => {
  test('always: on through everything but standby', () => {
    const run = runOver({}, 'time,air_degC,command\n0,1,\n5,1,standbyOn\n9,1,standbyOff\n12,1,');
    expect(lines(run, 'fan')).toEqual(['0 fan on', '5 fan off', '9 fan on']);
  });

  test('run-on after the stop, then the cycle, both counted from the stop', () => {
    const run = runOver(
      {
        ...controlled,
        'fans.whileCompressorOff': 'cycle',
        'fans.restOnTime': s(10),
        'fans.restOffTime': s(20),
        'fans.runOnTime': s(15),
      },
      'time,air_degC\n0,5\n100,2\n170,2',
    );
    expect(lines(run, 'fan')).toEqual([
      '0 fan on',
      '115 fan off',
      '130 fan on',
      '140 fan off',
      '160 fan on',
      '170 fan off',
    ]);
  });

  test('stops above a warm coil until it is colder by the differential', () => {
    const run = runOver(
      { ...controlled, 'fans.stopCoilTemperature': c(-5), 'fans.coilDifferential': k(2) },
      'time,air_degC,coil_degC\n0,5,-10\n10,5,-5\n20,5,-4.9\n30,5,-6\n40,5,-7\n50,5,-7',
    );
    expect(lines(run, 'fan')).toEqual(['0 fan on', '20 fan off', '40 fan on']);
  });

  test('door: off while open, on again 10 s after it shuts; open for long it is forced, and shutting then stops nothing', () => {
    const door: SettingValues = {
      ...controlled,
      'fans.whileDoorOpen': 'stop',
      'compressor.whileDoorOpen': 'stop',
      'fans.doorCloseDelay': s(10),
      'fans.doorForcedStart': s(50),
    };
    const run = runOver(door, 'time,air_degC,door\n0,5,0\n20,5,1\n30,5,0\n100,5,1\n170,5,0\n200,5,0');
    expect(lines(run, 'fan')).toEqual(['0 fan on', '20 fan off', '40 fan on', '100 fan off', '150 fan on']);
    expect(lines(run, 'compressor')).toEqual([
      '0 compressor on',
      '20 compressor off',
      '30 compressor on',
      '100 compressor off',
      '150 compressor on',
    ]);
  });

  test('the start-up delay may hold the fan as well', () => {
    const run = runOver(
      {
        ...controlled,
        'fans.whileCompressorOff': 'run',
        'compressor.powerOnDelay': s(30),
        'compressor.powerOnDelayHoldsFans': true,
      },
      'time,air_degC\n0,5\n40,5',
    );
    expect(lines(run, 'fan')).toEqual(['30 fan on']);
  });
});

describe('second stage', () => {
  test('a plug-in control with two outlets: heats at 53, cools at 57 (common practice)', () => {
    const run = runOver(
      {
        'regulation.setpoint': f(55),
        'regulation.differential': df(2),
        'stage2.function': 'thermostat',
        'stage2.action': 'heat',
        'stage2.reference': 'relative',
        'stage2.differential': df(2),
      },
      'time,air_degF\n0,55\n10,57\n20,55\n30,53.1\n40,53\n50,55\n60,55',
    );
    expect(lines(run, 'compressor', 'stage2')).toEqual([
      '10 compressor on',
      '20 compressor off',
      '40 stage2 on',
      '50 stage2 off',
    ]);
  });

  test('both calling against each other is told', () => {
    const run = runOver(
      {
        'stage2.function': 'thermostat',
        'stage2.action': 'heat',
        'stage2.setpoint': c(8),
        'stage2.differential': k(2),
      },
      'time,air_degC\n0,3\n10,5\n20,5',
    );
    expect(lines(run, 'stagesFight')).toEqual(['10 stagesFight on (one stage cools while the other heats)']);
  });

  test('as an alarm contact it follows the alarm', () => {
    const run = runOver({ 'stage2.function': 'alarm' }, 'time,air_degC\n0,3\n5,open\n9,3\n12,3');
    expect(lines(run, 'stage2', 'alarm')).toEqual([
      '5 alarm on',
      '5 stage2 on',
      '9 alarm off',
      '9 stage2 off',
    ]);
  });
});

describe('alarms', () => {
  const high: SettingValues = {
    'alarms.reference': 'absolute',
    'alarms.highTemperature': c(8),
    'alarms.delay': s(60),
    'alarms.differential': k(1),
  };

  test('passed at 100 with a delay of 60 it alarms at 160; a break starts the time anew; it clears inside by the differential', () => {
    const run = runOver(high, 'time,air_degC\n0,5\n50,8\n90,7.9\n100,8\n200,7.5\n220,7\n230,7');
    expect(lines(run, 'alarm')).toEqual(['160 alarm on', '220 alarm off']);
  });

  test('relative limits count from the set point in force', () => {
    const run = runOver(
      { 'alarms.reference': 'relative', 'alarms.highOffset': k(5), 'alarms.lowOffset': k(3) },
      'time,air_degC\n0,3\n10,7\n20,6.9\n30,-1\n40,-0.9\n50,-0.9',
    );
    expect(lines(run, 'alarmCause')).toEqual([
      '10 alarmCause on (high)',
      '20 alarmCause off (high)',
      '30 alarmCause on (low)',
      '40 alarmCause off (low)',
    ]);
  });

  test('muted after power-up and after a defrost; the first free second is the end', () => {
    const run = runOver(
      {
        ...high,
        'alarms.delay': s(0),
        'alarms.powerOnExclusion': s(50),
        'alarms.defrostExclusion': s(40),
        'defrost.method': 'offCycle',
        'defrost.initiation': 'interval',
        'defrost.interval': s(100),
        'defrost.maxDuration': s(20),
        'defrost.drainTime': s(5),
      },
      'time,air_degC\n0,9\n170,9',
    );
    expect(lines(run, 'alarm')).toEqual(['50 alarm on', '100 alarm off', '165 alarm on']);
  });

  test('door and input are never muted; the input may stop the compressor', () => {
    const run = runOver(
      {
        'alarms.doorDelay': s(30),
        'alarms.inputDelay': s(5),
        'alarms.inputAction': 'stop',
        'alarms.powerOnExclusion': s(999),
      },
      'time,air_degC,door,input\n0,5,1,0\n40,5,0,1\n60,5,0,0\n70,5,0,0',
    );
    expect(lines(run, 'alarmCause', 'compressor')).toEqual([
      '0 compressor on',
      '30 alarmCause on (door)',
      '40 alarmCause off (door)',
      '45 alarmCause on (input)',
      '45 compressor off',
      '60 alarmCause off (input)',
      '60 compressor on',
    ]);
  });

  test('a failed probe alarms at once, with no limits set', () => {
    const run = runOver({}, 'time,air_degC,coil_degC\n0,3,-5\n5,3,short\n9,3,-5\n12,3,-5');
    expect(lines(run, 'alarmCause', 'probeFault')).toEqual([
      '5 alarmCause on (coilProbe)',
      '5 probeFault on (coil)',
      '9 alarmCause off (coilProbe)',
      '9 probeFault off (coil)',
    ]);
  });
});

test('standby: all off; leaving it restarts the start-up delay, and the rest still counts from the last stop', () => {
  const run = runOver(
    { 'compressor.powerOnDelay': s(20), 'compressor.minOffTime': s(100) },
    'time,air_degC,command\n0,5,\n50,5,standbyOn\n60,5,standbyOff\n200,5,',
  );
  expect(lines(run, 'compressor')).toEqual(['20 compressor on', '50 compressor off', '150 compressor on']);
});

test('slope before offset, then the smoothing: one time constant covers 1 − 1/e of a step (closed form)', () => {
  // 10 · (1 − e^(−t/60)) passes 4 at t = −60 · ln(0.6) = 30.65, so at tick 31 counted from the first after the step.
  const run = runOver(
    { 'probes.filterTime': s(60), 'probes.airSlope': 2, 'probes.airOffset': k(-10) },
    'time,air_degC\n0,5\n100,10\n200,10',
  );
  expect(lines(run, 'compressor')).toEqual(['130 compressor on']);
});
