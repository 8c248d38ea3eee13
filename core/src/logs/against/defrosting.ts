import { printFor, quantity } from '../../foundation/quantities/index.ts';
import type { Defrost } from '../analysis/index.ts';
import { median } from '../../foundation/statistics/index.ts';
import type { Against } from './band.ts';
import type { LogFinding } from './finding.ts';

/** A coil that ends its defrosts below this was not heated, °C. */
const NEVER_WARM = -1.5;
const INTERVAL_SHARE = 0.12;

/** What the defrosts say. */
export function defrostFindings({ found, config, unit }: Against): readonly LogFinding[] {
  const { defrosts } = found;
  const findings: LogFinding[] = [];
  const ends = defrosts.flatMap((d) => (d.endTemperature === null ? [] : [d.endTemperature]));
  const warmest = ends.length > 0 ? Math.max(...ends) : null;
  const heated =
    config !== null && (config.defrost.method === 'electric' || config.defrost.method === 'hotGas');
  const dead =
    defrosts.length >= 2 && warmest !== null && warmest < NEVER_WARM && (heated || config === null);
  const degrees = (celsius: number) => printFor(quantity(celsius, 'degC'), unit);
  if (dead)
    findings.push({
      code: 'heaterDead',
      severity: 'error',
      message: `In ${defrosts.length} defrosts the coil never came above ${degrees(warmest)}.`,
      why: 'No heat comes: heater open, its limit open, relay or contactor not closing, no feed to the relay; or the coil probe is not on the coil.',
      numbers: { defrosts: defrosts.length, warmest },
    });
  const byTime = defrosts.filter((d) => d.endedBy === 'time').length;
  if (!dead && defrosts.length >= 3 && byTime === defrosts.length)
    findings.push({
      code: 'endsByTime',
      severity: 'warning',
      message: `All ${byTime} defrosts ended by time${warmest === null ? '' : `, the coil at ${degrees(warmest)} at most`}.`,
      why: 'The termination temperature is too high, the heater too weak, the coil iced beyond what one defrost clears, or the coil probe sits wrong.',
      numbers: { defrosts: byTime, ...(warmest !== null && { warmest }) },
    });
  findings.push(
    ...endFindings(defrosts, config?.defrost.byTemperature ? config.defrost.endTemperature : null, degrees),
  );
  const set = config && config.defrost.initiation === 'interval' ? config.defrost.interval / 3600 : 0;
  const interval = found.defrostIntervalHours;
  if (interval !== null && set > 0 && Math.abs(interval / set - 1) > INTERVAL_SHARE)
    findings.push({
      code: 'intervalDiffers',
      severity: 'warning',
      message: `A defrost every ${interval.toFixed(1)} h; ${set.toFixed(1)} h are set.`,
      why: 'The value was not saved, somebody defrosts by hand, power was cut, or this control counts another time than the clock’s.',
      numbers: { hours: interval, setHours: set },
    });
  return findings;
}

/** A coil may come out so far from the end temperature that is set, K: rows are a minute apart and it rises quickly. */
const END_AGREES = 3;

function endFindings(
  defrosts: readonly Defrost[],
  set: number | null,
  degrees: (celsius: number) => string,
): readonly LogFinding[] {
  const ends = defrosts.flatMap((d) =>
    d.endedBy === 'temperature' && d.endTemperature !== null ? [d.endTemperature] : [],
  );
  if (set === null || ends.length < 3) return [];
  const usual = median(ends);
  if (Math.abs(usual - set) < END_AGREES) return [];
  return [
    {
      code: 'endDiffers',
      severity: 'warning',
      message: `Defrosts end with the coil at ${degrees(usual)}; ${degrees(set)} are set.`,
      why: 'Another termination temperature is in the control than on the sheet, an offset of the coil probe, or the logger’s sensor sits elsewhere on the coil.',
      numbers: { endTemperature: usual, setTemperature: set },
    },
  ];
}
