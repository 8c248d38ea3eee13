import type { Analysis } from '@brine/core/logs/analysis';
import { printFor, printNumber, quantity, type TemperatureUnit } from '@brine/core/foundation/quantities';

/** A figure of a log as a line: what, how much, how sure. */
export interface FigureLine {
  readonly name: string;
  readonly value: string;
  readonly sure: string;
}

const round = (n: number, places = 1) => Math.round(n * 10 ** places) / 10 ** places;

/** The figures of a log for their reader; one that the log does not tell says why. */
export function figureLines(found: Analysis, unit: TemperatureUnit): readonly FigureLine[] {
  const degrees = (t: number) => printFor(quantity(round(t, 2), 'degC'), unit);
  const kelvin = (d: number) => printFor(quantity(round(d, 2), 'K'), unit);
  const number = (n: number, places = 1) => printNumber(n, places);
  const sure = (key: string) => {
    const c = found.confidence[key];
    if (!c) return '';
    const margin =
      c.plusMinus === null
        ? ''
        : key === 'cutIn' || key === 'cutOut'
          ? `± ${kelvin(c.plusMinus)}, `
          : `± ${number(c.plusMinus)} min, `;
    return `${margin}${c.words}`;
  };
  const line = (name: string, value: string | null, words: string): FigureLine => ({
    name,
    value: value ?? 'not told',
    sure: words,
  });
  const lines: FigureLine[] = [
    line('Cut-in', found.cutIn === null ? null : degrees(found.cutIn), sure('cutIn')),
    line('Cut-out', found.cutOut === null ? null : degrees(found.cutOut), sure('cutOut')),
    line('Differential', found.differential === null ? null : kelvin(found.differential), ''),
    line(
      'Starts an hour',
      found.startsPerHour === null ? null : number(found.startsPerHour, 2),
      sure('startsPerHour'),
    ),
    line(
      'Runs',
      found.dutyPercent === null ? null : `${number(found.dutyPercent, 0)} % of the time`,
      'defrost and drip time left out',
    ),
    line(
      'Shortest run',
      found.shortestRunMinutes === null ? null : `${number(found.shortestRunMinutes)} min`,
      sure('shortestRunMinutes'),
    ),
    line(
      'Shortest off-cycle',
      found.shortestRestMinutes === null ? null : `${number(found.shortestRestMinutes)} min`,
      sure('shortestRestMinutes'),
    ),
    line(
      'Defrosts',
      found.defrosts.length === 0 ? 'none seen' : `${found.defrosts.length}${endings(found)}`,
      sure('defrosts'),
    ),
  ];
  if (found.defrostIntervalHours !== null)
    lines.push(line('From one to the next', `${number(found.defrostIntervalHours)} h`, ''));
  if (found.recoveryMinutes !== null)
    lines.push(
      line('Recovery', `${number(found.recoveryMinutes, 0)} min to cut-in`, 'after a defrost, middle of all'),
    );
  if (found.doors)
    lines.push(
      line(
        'Door',
        `${found.doors.openings} openings, ${number(found.doors.openMinutes, 0)} min`,
        `longest ${number(found.doors.longestMinutes)} min`,
      ),
    );
  if (found.fanPercentMean !== null)
    lines.push(
      line(
        'Fan, mean',
        `${number(found.fanPercentMean, 0)} %`,
        'of all the time, off-cycles too; the speed to hold when a probe fails stands below',
      ),
    );
  if (found.meanKineticTemperature !== null)
    lines.push(
      line('Mean kinetic temperature', degrees(found.meanKineticTemperature), 'USP <1079>, equal weights'),
    );
  if (found.minutesAbove !== null)
    lines.push(line('Above the alarm limit', `${number(found.minutesAbove, 0)} min`, ''));
  if (found.minutesBelow !== null)
    lines.push(line('Below the alarm limit', `${number(found.minutesBelow, 0)} min`, ''));
  if (found.drift)
    lines.push(
      line(
        'Drift',
        Math.abs(found.drift.perDay) < 2 * found.drift.error
          ? 'none'
          : `${found.drift.perDay > 0 ? '+' : '−'}${kelvin(Math.abs(found.drift.perDay))} a day`,
        `over ${found.drift.days} days, ± ${kelvin(2 * found.drift.error)}`,
      ),
    );
  return lines;
}

function endings(found: Analysis): string {
  const count = (by: string) => found.defrosts.filter((d) => d.endedBy === by).length;
  const parts = [
    [count('temperature'), 'by temperature'],
    [count('time'), 'by time'],
    [count('unknown'), 'not known'],
  ] as const;
  return `: ${parts
    .filter(([n]) => n > 0)
    .map(([n, words]) => `${n} ${words}`)
    .join(', ')}`;
}
