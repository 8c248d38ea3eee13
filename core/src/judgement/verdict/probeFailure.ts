import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import { written } from '../../foundation/regulation/index.ts';
import { sentence } from '../../foundation/sentences/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { simulate } from '../../machines/simulation/index.ts';
import { faultsOf } from '../tuning/index.ts';
import type { JudgedFinding } from './runFindings.ts';
import { unitDay } from './unitDay.ts';

/** Nobody comes before the second night is over: it is watched for so long, h. */
const WATCHED_H = 48;
/** A coarse step is enough for an hour. */
const STRIDE = 5;

/**
 * What stopping on a failed air probe costs: a run with the probe open from 02:00, and the hours until the product has passed its limit. Told as a note, since both sides
 * are defended. Nothing where something else is chosen or no limit is known.
 */
export function priceOfStopping(
  unit: UnitDescription,
  values: SettingValues,
  display: TemperatureUnit,
): readonly JudgedFinding[] {
  if (values['compressor.onProbeFault'] !== 'stop') return [];
  // The probe fails at the hour at which the forecast tries it.
  const faults = faultsOf('airProbeOpen', WATCHED_H);
  const day = unitDay(unit, values, { faults, hours: WATCHED_H });
  if (typeof day === 'string' || day.machine === 'condenser') return [];
  const heats = values['regulation.action'] === 'heat';
  const limit = heats ? day.scenario.storage.min : day.scenario.storage.max;
  if (limit === null) return [];
  const { minutesUntilOutside } = simulate(day.scenario, { stride: STRIDE })!.figures;
  const hours =
    minutesUntilOutside === null ? null : Math.max(0, minutesUntilOutside / 60 - faults[0]!.from / 3600);
  const at = written(limit, display);
  return [
    {
      code: 'stopOnProbeFailure',
      severity: 'note',
      by: 'run',
      settings: ['compressor.onProbeFault'],
      message:
        hours === null
          ? sentence`If the air probe fails, ${heats ? 'heating' : 'cooling'} stops; in two days the product does not pass ${at}. The machine is safe meanwhile.`
          : sentence`If the air probe fails, ${heats ? 'heating' : 'cooling'} stops, and the product passes ${at} after ${hours < 1 ? 'less than an hour' : `about ${hours.toFixed(0)} h`}. That is the price of saving the ${heats ? 'heater' : 'compressor'}; a fixed duty keeps most of both.`,
      numbers: { ...(hours !== null && { hours }), limit },
      remedy: null,
    },
  ];
}
