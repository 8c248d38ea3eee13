import type { ControlConfig } from '../../machines/box/index.ts';
import { printFor, quantity, type TemperatureUnit } from '../../foundation/quantities/index.ts';
import type { Analysis } from '../analysis/index.ts';
import { clockWords } from '../reading/index.ts';
import type { Log } from '../reading/index.ts';
import type { LogFinding } from './finding.ts';
import { plannedBand } from './known.ts';
import { jumpShare } from './supplyAir.ts';

/** Below this a level is taken to agree, K: a display of whole degrees and a logger beside the probe differ by as much. */
const AGREES = 0.6;

export interface Against {
  readonly log: Log;
  readonly found: Analysis;
  readonly config: ControlConfig | null;
  readonly unit: TemperatureUnit;
}

const degrees = (celsius: number, unit: TemperatureUnit) => printFor(quantity(celsius, 'degC'), unit);
const difference = (kelvin: number, unit: TemperatureUnit) => printFor(quantity(Math.abs(kelvin), 'K'), unit);

/** `on Tuesday 3 Mar, 14:10`, or between two times where the log leaves more than half an hour. */
function moment(log: Log, { after, before }: { readonly after: number; readonly before: number }): string {
  return before - after > 1800
    ? `between ${clockWords(log.clock, after)} and ${clockWords(log.clock, before)}`
    : `on ${clockWords(log.clock, before)}`;
}

/** Somebody moved the band while the log ran. */
export function changeFindings({ log, found, unit }: Against): readonly LogFinding[] {
  return found.changes.map((change): LogFinding => {
    const { cutOut, cutIn } = change;
    const [out, into] = [cutOut.is - cutOut.was, cutIn ? cutIn.is - cutIn.was : null];
    const both = into !== null && Math.abs(into - out) < 0.5 * Math.abs(out);
    return {
      code: 'setPointChanged',
      severity: 'warning',
      message: `Cut-out went from ${degrees(cutOut.was, unit)} to ${degrees(cutOut.is, unit)} ${moment(log, change)}${cutIn ? `, cut-in from ${degrees(cutIn.was, unit)} to ${degrees(cutIn.is, unit)}` : ''}.`,
      why: both
        ? 'Both moved alike: somebody changed the set point, or an offset.'
        : 'They did not move alike: somebody changed the differential, or the set point and the differential.',
      numbers: { at: change.before, cutOutWas: cutOut.was, cutOutIs: cutOut.is },
    };
  });
}

/** The band as logged against the band as set. */
export function bandFindings({ log, found, config, unit }: Against): readonly LogFinding[] {
  if (!config || found.cutIn === null || found.cutOut === null) return [];
  const planned = plannedBand(config);
  const [out, into] = [found.cutOut - planned.cutOut, found.cutIn - planned.cutIn];
  const numbers = {
    cutIn: found.cutIn,
    cutOut: found.cutOut,
    plannedCutIn: planned.cutIn,
    plannedCutOut: planned.cutOut,
  };
  const said = `It cuts in at ${degrees(found.cutIn, unit)} and out at ${degrees(found.cutOut, unit)}; set are ${degrees(planned.cutIn, unit)} and ${degrees(planned.cutOut, unit)}.`;
  const held = restHolds(found, config, into, out);
  if (held)
    return [
      {
        code: 'restHoldsStart',
        severity: 'warning',
        message: `${said} Its off-cycles last ${found.restMinutesMedian!.toFixed(0)} min and its starts spread by ${difference(found.startSpread!, unit)}.`,
        why: 'The minimum off time holds the compressor beyond cut-in: it is too long for this differential, or the box warms too fast.',
        numbers,
      },
    ];
  if (Math.abs(out) < AGREES && Math.abs(into) < AGREES) return [];
  if (Math.abs(into - out) < Math.max(0.5, 0.3 * Math.abs(out)))
    return [
      {
        code: 'bandShifted',
        severity: found.changes.length > 0 ? 'note' : Math.abs(out) > 2 ? 'error' : 'warning',
        message: `${said} Both lie ${difference((out + into) / 2, unit)} too ${out > 0 ? 'high' : 'low'}.`,
        why: shiftedWhy((out + into) / 2, found, config, log, unit),
        numbers,
      },
    ];
  const wider = into - out > 0;
  const share = jumpShare(log, found);
  return [
    {
      code: 'differentialDiffers',
      severity: 'warning',
      message: `${said} The band is ${difference(into - out, unit)} ${wider ? 'wider' : 'narrower'} than set.`,
      why: wider
        ? share > 0.35
          ? 'The air jumps when the compressor switches: the sensor hangs in the supply air.'
          : 'Minimum off time, a slow or buffered sensor, or another differential than the sheet says.'
        : 'The logger sits where the air moves less than at the control’s probe, or another differential is in it.',
      numbers,
    },
  ];
}

/** Starts that come late by the rest alone: every rest as long as the least, and starts spread wide above cut-in. */
function restHolds(found: Analysis, config: ControlConfig, into: number, out: number): boolean {
  const rest = config.compressor.minOff / 60;
  return (
    rest > 0 &&
    into > AGREES &&
    Math.abs(out) < 1 &&
    found.restMinutesMedian !== null &&
    Math.abs(found.restMinutesMedian - rest) <= Math.max(1.5, found.step / 40) &&
    found.startSpread !== null
  );
}

function shiftedWhy(
  by: number,
  found: Analysis,
  config: ControlConfig,
  log: Log,
  unit: TemperatureUnit,
): string {
  if (found.changes.length > 0) return 'It was moved while the log ran: see there.';
  const offset = config.probes.airOffset;
  if (offset !== 0 && Math.abs(by + offset) < AGREES)
    return `Just the offset that is in the control (${difference(offset, unit)}): the logger shows the air as it is, the control as it is corrected. Check both against ice.`;
  if (jumpShare(log, found) > 0.35)
    return 'The air jumps when the compressor switches: the sensor hangs in the supply air.';
  return by > 0
    ? 'Likeliest: an offset in the control, then a probe in colder air than the logger, then a set point that is not the one on the sheet.'
    : 'Likeliest: an offset in the control, then a probe in warmer air than the logger, then a set point that is not the one on the sheet.';
}
