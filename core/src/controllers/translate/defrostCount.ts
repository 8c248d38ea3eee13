import {
  baseValue,
  isQuantity,
  printQuantity,
  quantity,
  valueIn,
  type DurationUnit,
  type Quantity,
} from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { ControllerDefinition } from '../definitions/index.ts';
import { changed, type Meaning } from './meaning.ts';
import { canChoose, holdersOf, standingValue } from './target.ts';

const convertible: Readonly<Record<string, 'interval' | 'coolingTime'>> = {
  interval: 'coolingTime',
  coolingTime: 'interval',
};

/**
 * Keeps the defrosts as often as they were where the target counts otherwise: interval = coolingTime + maxDuration + drainTime, so
 * 360 min of cooling with 30 min of defrost is 390 min from start to start. Run time, times of day and demand are not convertible.
 */
export function keepDefrostCount(meaning: Meaning, target: ControllerDefinition): Meaning {
  const from = meaning.values['defrost.initiation'] as string | undefined;
  if (from === undefined || canChoose(target, 'defrost.initiation', from)) return meaning;
  const standing =
    standingValue(target, 'defrost.initiation') ??
    (holdersOf(target, 'defrost.interval').length > 0 ? 'interval' : undefined);
  if (standing === from || (standing === undefined && from !== 'manual')) return meaning;
  const to = convertible[from];
  if (to !== undefined && canChoose(target, 'defrost.initiation', to))
    return convertCount(
      changed(meaning, {
        set: { 'defrost.initiation': to },
        recomputed: {
          'defrost.initiation': `this control counts ${countName(to)} instead of ${countName(from)}`,
        },
        converted: ['defrost.initiation'],
      }),
      to,
    );
  if (to !== undefined && to === standing)
    return convertCount(changed(meaning, { converted: ['defrost.initiation'] }), to);
  return loseCount(meaning, from);
}

function convertCount(meaning: Meaning, to: 'interval' | 'coolingTime'): Meaning {
  const count = meaning.values['defrost.interval'];
  if (!isQuantity(count)) return meaning;
  const away =
    secondsOf(meaning.values, 'defrost.maxDuration') + secondsOf(meaning.values, 'defrost.drainTime');
  const seconds = baseValue(count) + (to === 'interval' ? away : -away);
  const unit = count.unit as DurationUnit;
  const value: Quantity = quantity(valueIn(quantity(seconds, 's'), unit), unit);
  const minutes = printQuantity(quantity(away / 60, 'min'));
  const how =
    to === 'interval'
      ? `${printQuantity(count)} of cooling and`
      : `${printQuantity(count)} from start to start, less`;
  return changed(meaning, {
    set: { 'defrost.interval': value },
    recomputed: { 'defrost.interval': `${how} ${minutes} of defrost and drip time` },
  });
}

function loseCount(meaning: Meaning, from: string): Meaning {
  const ids: readonly SettingId[] =
    from === 'compressorRunTime' || from === 'demand'
      ? ['defrost.initiation', 'defrost.interval']
      : ['defrost.initiation'];
  const lost = ids.filter((id) => meaning.values[id] !== undefined);
  return changed(meaning, {
    set: { 'defrost.initiation': undefined, 'defrost.interval': undefined },
    lost: Object.fromEntries(
      lost.map((id) => [id, `this control cannot count ${countName(from)}; choose its own interval`]),
    ),
  });
}

function secondsOf(values: SettingValues, id: SettingId): number {
  const value = values[id];
  return isQuantity(value) ? baseValue(value) : 0;
}

function countName(initiation: string): string {
  const names: Readonly<Record<string, string>> = {
    interval: 'hours from start to start',
    coolingTime: 'cooling time between defrosts',
    compressorRunTime: 'compressor run time',
    clock: 'times of day',
    demand: 'frost on the coil',
    manual: 'defrosts by hand only',
  };
  return names[initiation] ?? initiation;
}
