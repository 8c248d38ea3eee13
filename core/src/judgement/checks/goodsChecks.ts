import { sentence } from '../../foundation/sentences/index.ts';
import { EPSILON } from '../../foundation/limits/index.ts';
import { baseValue } from '../../foundation/quantities/index.ts';
import { goodsOf } from '../../foundation/unit/index.ts';
import {
  alarmLimits,
  switchingBand,
  written,
  type SwitchingBand,
} from '../../foundation/regulation/index.ts';
import type { Check, Finding } from './finding.ts';

/** Cut-in, also at the top of the user's range, above the goods' limit: 38 + 5 restarts at 43, above a limit of 41. */
export const cutInAboveGoodsLimit: Check = ({ values, unit }) => {
  const limit = unit && goodsOf(unit).max;
  const band = switchingBand(values);
  if (!limit || !band) return [];
  const max = baseValue(limit.value);
  const found: Finding[] = [];
  if (band.cutIn > max + EPSILON)
    found.push({
      code: 'cutInAboveGoodsLimit',
      severity: 'error',
      settings: ['regulation.setpoint', 'regulation.differential'],
      message: sentence`Cooling restarts at ${written(band.cutIn, band.unit)}, above the limit of the product, ${written(max, band.unit)} (${limit.source}). Lower the set point or narrow the differential.`,
      numbers: { cutIn: band.cutIn, limit: max },
    });
  const top = switchingBand(values, 'regulation.setpointMax');
  if (top && top.cutIn > max + EPSILON && band.cutIn <= max + EPSILON)
    found.push({
      code: 'userRangeAboveGoodsLimit',
      severity: 'warning',
      settings: ['regulation.setpointMax', 'regulation.differential'],
      message: sentence`With the user's set point at its warmest, ${written(top.setpoint, band.unit)}, cooling restarts at ${written(top.cutIn, band.unit)}, above the limit of the product, ${written(max, band.unit)}. Lower the highest set point.`,
      numbers: { cutIn: top.cutIn, limit: max },
    });
  return found;
};

/** Cut-out below what the goods stand. */
export const cutOutBelowGoodsLimit: Check = ({ values, unit }) => {
  const limit = unit && goodsOf(unit).min;
  const band = switchingBand(values);
  if (!limit || !band) return [];
  const min = baseValue(limit.value);
  if (values['regulation.action'] === 'heat') return heatedBelowLimit(band, min, limit.source);
  if (band.cutOut >= min - EPSILON) return [];
  return [
    {
      code: 'cutOutBelowGoodsLimit',
      severity: 'error',
      settings: ['regulation.setpoint'],
      message: sentence`Cooling goes on down to ${written(band.cutOut, band.unit)}, below what the product bears, ${written(min, band.unit)} (${limit.source}). Raise the set point.`,
      numbers: { cutOut: band.cutOut, limit: min },
    },
  ];
};

/** What keeps warm and begins to heat only below what the goods need. */
function heatedBelowLimit(band: SwitchingBand, min: number, source: string): readonly Finding[] {
  if (band.cutIn >= min - EPSILON) return [];
  return [
    {
      code: 'cutInBelowGoodsLimit',
      severity: 'error',
      settings: ['regulation.setpoint', 'regulation.differential'],
      message: sentence`Heating begins only at ${written(band.cutIn, band.unit)}, below what the product needs, ${written(min, band.unit)} (${source}). Raise the set point or narrow the differential.`,
      numbers: { cutIn: band.cutIn, limit: min },
    },
  ];
}

/** A high alarm so far above the goods' limit that the goods are lost before it sounds: more than 8 K over it. */
const LATE_K = 8;
export const highAlarmAboveGoodsLimit: Check = ({ values, unit }) => {
  const limit = unit && goodsOf(unit).max;
  const { high } = alarmLimits(values);
  const band = switchingBand(values);
  if (!limit || high === null || !band) return [];
  const max = baseValue(limit.value);
  if (high <= max + LATE_K + EPSILON) return [];
  return [
    {
      code: 'highAlarmAboveGoodsLimit',
      severity: 'warning',
      settings: ['alarms.highTemperature', 'alarms.highOffset'].filter((id) => id in values),
      message: sentence`The high alarm at ${written(high, band.unit)} sounds long after the product has passed its limit, ${written(max, band.unit)}. Lower it and give it a delay instead.`,
      numbers: { high, limit: max },
    },
  ];
};
