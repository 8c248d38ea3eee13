import type { UnitDescription } from '../../foundation/unit/index.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { simulate } from '../../machines/simulation/index.ts';
import { unitScenario } from './unitScenario.ts';

/** A dead compressor is to be called within this, min: a full box stands inside its limit for hours, and no thermometer can tell before. */
export const CALL_WITHIN = 30;
/** The unit that is watched, and the stride it runs at. */
interface Watch {
  readonly unit: UnitDescription;
  readonly stride: number;
}

/** How long a dead compressor is watched for, h. */
const WATCHED_H = 8;

/** A dead compressor: minutes from its death to the alarm, and from the goods passing their limit to the alarm. */
export interface Called {
  readonly minutes: number;
  readonly late: number;
}

/** Why a late call speaks against a variant. */
export const lateSays = ({ late }: Called): string =>
  Number.isFinite(late)
    ? `a dead compressor is called only ${late.toFixed(0)} min after the product has passed its limit`
    : `a dead compressor is not called in ${WATCHED_H} h`;

/** The worse of two moments: at rest between defrosts, and half an interval later. */
export function calledAfter(values: SettingValues, watch: Watch): Called {
  const interval = values['defrost.interval'];
  const half = isQuantity(interval) ? Math.min(6, baseValue(interval) / 7200) : 3;
  const runs = [1, 1 + half].map((hour) => watchDeath(values, watch, Math.round(hour * 3600)));
  return { minutes: Math.max(...runs.map((r) => r.minutes)), late: Math.max(...runs.map((r) => r.late)) };
}

function watchDeath(values: SettingValues, { unit, stride }: Watch, from: number): Called {
  const faults = [{ kind: 'deadCompressor' as const, from, to: from + WATCHED_H * 3600, amount: null }];
  const scenario = unitScenario(unit, values, { faults, hours: from / 3600 + WATCHED_H });
  if (typeof scenario === 'string') return { minutes: WATCHED_H * 60, late: WATCHED_H * 60 };
  const { events, series } = simulate(scenario, { stride, sampleEvery: 60 })!;
  const alarm = events.find(
    (e) => e.kind === 'alarmCause' && e.value === true && e.reason === 'high' && e.t >= from,
  );
  const { max } = scenario.storage;
  // Without a limit of the goods it counts from the death.
  const passed = max === null ? from : (series.find((s) => s.t >= from && s.product > max)?.t ?? Infinity);
  if (!alarm) return { minutes: WATCHED_H * 60, late: Infinity };
  return { minutes: (alarm.t - from) / 60, late: Math.max(0, (alarm.t - passed) / 60) };
}
