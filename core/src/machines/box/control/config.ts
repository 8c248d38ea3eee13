import type { Placement } from '../../../foundation/regulation/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { settingReader, type SettingReader } from './settingReader.ts';

/** What an output does while its probe is failed. */
export type OnFault = 'stop' | 'run' | 'dutyCycle';

/** A stage's own numbers: °C and K. */
export interface StageConfig {
  readonly heat: boolean;
  readonly differential: number;
  readonly placement: Placement;
}

export interface CompressorConfig {
  readonly powerOnDelay: number;
  readonly powerOnHoldsFans: boolean;
  readonly minOff: number;
  readonly minOn: number;
  readonly startInterval: number;
  readonly callDelay: number;
  readonly onFault: OnFault;
  readonly faultOn: number;
  readonly faultOff: number;
  readonly stopsAtDoor: boolean;
}

export interface DefrostConfig {
  readonly method: 'none' | 'offCycle' | 'electric' | 'hotGas';
  readonly initiation: 'interval' | 'coolingTime' | 'compressorRunTime' | 'clock' | 'demand' | 'manual';
  readonly interval: number;
  /** Seconds since midnight. */
  readonly clockTimes: readonly number[];
  readonly demandDifference: number;
  readonly byTemperature: boolean;
  readonly endTemperature: number | null;
  readonly maxDuration: number;
  readonly drain: number;
  readonly atPowerOn: boolean;
  readonly manualMaxCoil: number | null;
}

export interface FanConfig {
  readonly controlled: boolean;
  readonly inRest: 'run' | 'stop' | 'cycle';
  readonly restOn: number;
  readonly restOff: number;
  readonly runOn: number;
  readonly runsInDefrost: boolean;
  readonly stopCoil: number | null;
  readonly coilDifferential: number;
  /** Null where absent: then a temperature alone is waited for. */
  readonly delayAfterDrain: number | null;
  readonly restartCoil: number | null;
  readonly stopsAtDoor: boolean;
  readonly doorCloseDelay: number;
  readonly doorForcedStart: number;
}

export interface Stage2Config extends StageConfig {
  readonly function: 'none' | 'thermostat' | 'alarm';
  /** Null where it follows the first set point. */
  readonly setpoint: number | null;
  readonly offset: number;
  readonly minOff: number;
  readonly minOn: number;
  readonly onFault: OnFault;
  /** It goes by the second probe, not by the air. */
  readonly bySecond: boolean;
}

export interface AlarmConfig {
  readonly reference: 'none' | 'absolute' | 'relative';
  /** Degrees where absolute, an offset where relative; null: no limit. */
  readonly high: number | null;
  readonly low: number | null;
  readonly differential: number;
  readonly delay: number;
  readonly powerOnExclusion: number;
  readonly defrostExclusion: number;
  readonly doorDelay: number;
  readonly inputDelay: number;
  readonly inputStops: boolean;
}

/** Settings brought to seconds, °C and K, with the quiet choice for everything absent. */
export interface ControlConfig {
  readonly setpoint: number;
  readonly setpointMin: number | null;
  readonly setpointMax: number | null;
  readonly setback: number;
  readonly stage: StageConfig;
  readonly compressor: CompressorConfig;
  readonly defrost: DefrostConfig;
  readonly fans: FanConfig;
  readonly stage2: Stage2Config;
  readonly alarms: AlarmConfig;
  readonly probes: {
    readonly airSlope: number;
    readonly airOffset: number;
    readonly coilOffset: number;
    readonly filter: number;
    /** False: the coil column of the readings is not looked at. */
    readonly coilPresent: boolean;
  };
}

/**
 * Brings settings to what the machine computes with. A sentence instead where set point or differential is missing: nothing can be
 * regulated then.
 */
export function controlConfig(values: SettingValues): ControlConfig | string {
  const read = settingReader(values);
  const setpoint = read.amount('regulation.setpoint');
  const differential = read.amount('regulation.differential');
  if (setpoint === null)
    return 'regulation.setpoint: expected a set point; nothing can be regulated without one';
  if (differential === null)
    return 'regulation.differential: expected a differential; nothing can be regulated without one';
  const placement = read.word('regulation.differentialPlacement', 'setpointIsCutOut') as Placement;
  return {
    setpoint,
    setpointMin: read.amount('regulation.setpointMin'),
    setpointMax: read.amount('regulation.setpointMax'),
    setback: read.number('regulation.setback'),
    stage: {
      heat: read.word('regulation.action', 'cool') === 'heat',
      differential: Math.max(0, differential),
      placement,
    },
    compressor: compressorConfig(read),
    defrost: defrostConfig(read),
    fans: fanConfig(read),
    stage2: {
      function: read.word('stage2.function', 'none') as Stage2Config['function'],
      heat: read.word('stage2.action', 'cool') === 'heat',
      setpoint:
        read.word('stage2.reference', 'absolute') === 'absolute' ? read.amount('stage2.setpoint') : null,
      offset: read.number('stage2.offset'),
      differential: Math.max(0, read.number('stage2.differential')),
      placement: read.word('stage2.differentialPlacement', placement) as Placement,
      minOff: read.number('stage2.minOffTime'),
      minOn: read.number('stage2.minOnTime'),
      onFault: read.word('stage2.onProbeFault', 'stop') as OnFault,
      bySecond: read.word('stage2.probe', 'air') === 'second',
    },
    alarms: alarmConfig(read),
    probes: {
      airSlope: read.amount('probes.airSlope') ?? 1,
      airOffset: read.number('probes.airOffset'),
      coilOffset: read.number('probes.coilOffset'),
      filter: read.number('probes.filterTime'),
      coilPresent: values['probes.coilPresent'] !== false,
    },
  };
}

function compressorConfig(read: SettingReader): CompressorConfig {
  return {
    powerOnDelay: read.number('compressor.powerOnDelay'),
    powerOnHoldsFans: read.flag('compressor.powerOnDelayHoldsFans'),
    minOff: read.number('compressor.minOffTime'),
    minOn: read.number('compressor.minOnTime'),
    startInterval: read.number('compressor.minStartInterval'),
    callDelay: read.number('compressor.callDelay'),
    onFault: read.word('compressor.onProbeFault', 'stop') as OnFault,
    faultOn: read.number('compressor.faultOnTime'),
    faultOff: read.number('compressor.faultOffTime'),
    stopsAtDoor: read.word('compressor.whileDoorOpen', 'run') === 'stop',
  };
}

function defrostConfig(read: SettingReader): DefrostConfig {
  return {
    method: read.word('defrost.method', 'none') as DefrostConfig['method'],
    initiation: read.word('defrost.initiation', 'manual') as DefrostConfig['initiation'],
    interval: read.number('defrost.interval'),
    clockTimes: read.clockTimes('defrost.clockTimes'),
    demandDifference: read.number('defrost.demandTemperatureDifference'),
    byTemperature: read.word('defrost.termination', 'time') === 'temperature',
    endTemperature: read.amount('defrost.endTemperature'),
    maxDuration: read.number('defrost.maxDuration'),
    drain: read.number('defrost.drainTime'),
    atPowerOn: read.flag('defrost.atPowerOn'),
    manualMaxCoil: read.amount('defrost.manualMaxCoilTemperature'),
  };
}

function fanConfig(read: SettingReader): FanConfig {
  return {
    controlled: read.word('fans.control', 'always') === 'controlled',
    inRest: read.word('fans.whileCompressorOff', 'run') as FanConfig['inRest'],
    restOn: read.number('fans.restOnTime'),
    restOff: read.number('fans.restOffTime'),
    runOn: read.number('fans.runOnTime'),
    runsInDefrost: read.word('fans.whileDefrost', 'stop') === 'run',
    stopCoil: read.amount('fans.stopCoilTemperature'),
    coilDifferential: read.number('fans.coilDifferential'),
    delayAfterDrain: read.amount('fans.delayAfterDrain'),
    restartCoil: read.amount('fans.restartCoilTemperature'),
    stopsAtDoor: read.word('fans.whileDoorOpen', 'run') === 'stop',
    doorCloseDelay: read.number('fans.doorCloseDelay'),
    doorForcedStart: read.number('fans.doorForcedStart'),
  };
}

function alarmConfig(read: SettingReader): AlarmConfig {
  const reference = read.word('alarms.reference', 'none') as AlarmConfig['reference'];
  return {
    reference,
    high: read.amount(reference === 'relative' ? 'alarms.highOffset' : 'alarms.highTemperature'),
    low: read.amount(reference === 'relative' ? 'alarms.lowOffset' : 'alarms.lowTemperature'),
    differential: read.number('alarms.differential'),
    delay: read.number('alarms.delay'),
    powerOnExclusion: read.number('alarms.powerOnExclusion'),
    defrostExclusion: read.number('alarms.defrostExclusion'),
    doorDelay: read.number('alarms.doorDelay'),
    inputDelay: read.number('alarms.inputDelay'),
    inputStops: read.word('alarms.inputAction', 'warn') === 'stop',
  };
}
