import type { SettingValues } from '../../../foundation/settings/index.ts';
import { settingReader, type SettingReader } from '../../box/index.ts';

export type FanMethod = 'onOff' | 'proportional' | 'proportionalIntegral' | 'neutralZone';
export type Rotation = 'firstInFirstOut' | 'lastInFirstOut' | 'runTime' | 'fixed';

/** Most fans one control rotates. */
export const MOST_FANS = 8;

/** How a control runs condenser fans: °C, K, s, shares of full speed 0 to 1, volts of the drive. */
export interface CondenserConfig {
  readonly setpoint: number;
  readonly setpointMin: number | null;
  readonly setpointMax: number | null;
  readonly differential: number;
  readonly method: FanMethod;
  /** 0 disables the integral part. */
  readonly integralTime: number;
  readonly neutralZone: number;
  /** Null: fans are not cut. */
  readonly cutOffTemperature: number | null;
  /** Once cut, fans run again this far above it, K. */
  readonly cutOffDifferential: number;
  readonly onlyWithCompressor: boolean;
  readonly fanCount: number;
  /** Fans of the condenser; those beyond the controlled ones run whenever there is power. */
  readonly fansFitted: number;
  readonly rotation: Rotation;
  readonly volts: { readonly min: number; readonly max: number };
  readonly speed: { readonly min: number; readonly max: number };
  readonly riseTime: number;
  readonly fallTime: number;
  readonly kickTime: number;
  readonly quiet: {
    readonly source: 'none' | 'clock' | 'input';
    readonly cap: number;
    readonly start: number;
    readonly end: number;
  };
  /** Set point less outdoor temperature; null: the set point does not float. */
  readonly floatingDifference: number | null;
  /** Part of the condenser can be closed off in the cold. */
  readonly split: boolean;
  readonly faultOutput: number;
  readonly backupProbe: boolean;
  readonly alarms: {
    /** Limits are distances from the set point in force, and move with it. */
    readonly relative: boolean;
    readonly high: number | null;
    readonly low: number | null;
    readonly differential: number;
    readonly delay: number;
  };
  readonly overload: { readonly fitted: boolean; readonly delay: number; readonly manual: boolean };
}

/** The condenser group of a set of settings, or null where it regulates none: it has no set point of its own. */
export const fansOf = (values: SettingValues): CondenserConfig | null =>
  condenserConfig(settingReader(values));

function condenserConfig(read: SettingReader): CondenserConfig | null {
  const setpoint = read.amount('condenser.setpoint');
  if (setpoint === null) return null;
  const share = (percent: number | null, quiet: number) => Math.min(1, Math.max(0, (percent ?? quiet) / 100));
  const [quietStart, quietEnd] = [read.clock('condenser.quietStart'), read.clock('condenser.quietEnd')];
  const fanCount = Math.min(MOST_FANS, Math.max(1, Math.round(read.amount('condenser.fanCount') ?? 1)));
  const relative = read.word('condenser.alarmReference', 'absolute') === 'relative';
  const floats = read.flag('condenser.floating') && read.flag('condenser.outdoorProbe');
  return {
    setpoint,
    setpointMin: read.amount('condenser.setpointMin'),
    setpointMax: read.amount('condenser.setpointMax'),
    differential: Math.max(0, read.number('condenser.differential')),
    method: read.word('condenser.method', 'onOff') as FanMethod,
    integralTime: read.number('condenser.integralTime'),
    neutralZone: Math.max(0, read.number('condenser.neutralZone')),
    cutOffTemperature: read.flag('condenser.cutOff') ? read.amount('condenser.cutOffTemperature') : null,
    cutOffDifferential: Math.max(0, read.number('condenser.cutOffDifferential')),
    onlyWithCompressor: read.flag('condenser.onlyWithCompressor'),
    fanCount,
    fansFitted: Math.max(fanCount, Math.round(read.amount('condenser.fansFitted') ?? fanCount)),
    rotation: read.word('condenser.rotation', 'fixed') as Rotation,
    volts: {
      min: read.amount('condenser.driveMinVolts') ?? 0,
      max: read.amount('condenser.driveMaxVolts') ?? 10,
    },
    speed: {
      min: share(read.amount('condenser.speedMin'), 0),
      max: share(read.amount('condenser.speedMax'), 100),
    },
    riseTime: read.number('condenser.riseTime'),
    fallTime: read.number('condenser.fallTime'),
    kickTime: read.number('condenser.kickTime'),
    quiet: {
      source: read.word('condenser.quietSource', 'none') as CondenserConfig['quiet']['source'],
      cap: share(read.amount('condenser.quietCap'), 100),
      start: quietStart ?? 0,
      end: quietEnd ?? 0,
    },
    floatingDifference: floats ? read.number('condenser.floatingDifference') : null,
    split: read.flag('condenser.split'),
    faultOutput: share(read.amount('condenser.probeFaultOutput'), 0),
    backupProbe: read.flag('condenser.backupProbe'),
    alarms: {
      relative,
      high: read.amount(relative ? 'condenser.highOffset' : 'condenser.highTemperature'),
      low: read.amount(relative ? 'condenser.lowOffset' : 'condenser.lowTemperature'),
      differential: read.number('condenser.alarmDifferential'),
      delay: read.number('condenser.alarmDelay'),
    },
    overload: {
      fitted: read.flag('condenser.overloadInput'),
      delay: read.number('condenser.overloadDelay'),
      manual: read.word('condenser.overloadReset', 'automatic') === 'manual',
    },
  };
}
