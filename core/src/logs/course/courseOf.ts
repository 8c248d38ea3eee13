import type { SettingValues } from '../../foundation/settings/index.ts';
import { bandOf, type ControlConfig } from '../../machines/box/index.ts';
import type { Course } from '../../machines/identification/index.ts';
import { configOf, knownOf } from '../against/index.ts';
import { analyse, coolingOf, type Analysis } from '../analysis/index.ts';
import type { Log } from '../reading/index.ts';
import { courseFrom } from './courseFrom.ts';
import { cutLog, LEAST_HOURS, partFor } from './partFor.ts';
import type { CourseProblem } from './problem.ts';

/** A log as a course, or why there is none. */
export interface CourseFound {
  readonly course: Course | null;
  /** When the course begins, in the seconds of the log. */
  readonly begins: number;
  readonly problems: readonly CourseProblem[];
}

const LEAST_STARTS = 12;
/** A cycle of fewer rows than this is counted wrongly even from the compressor's own column. */
const LEAST_ROWS_WITH_OUTPUTS = 3;
/**
 * What a log shows, brought to what a box is run along: the longest part without a gap in which the settings stayed, its switchings, stretches and defrosts. Where outputs were not logged they
 * are read from the turns of the air, the fan from the settings.
 */
export function courseOf(log: Log, values: SettingValues): CourseFound {
  const config = configOf(values);
  if (!config) throw new RangeError('courseOf: settings with a set point and a differential are needed');
  const known = knownOf(values);
  const whole = analyse(log, known);
  const problems: CourseProblem[] = [];
  const fail = (code: CourseProblem['code'], numbers: CourseProblem['numbers'] = {}): CourseFound => ({
    course: null,
    begins: log.time[0] ?? 0,
    problems: [...problems, { code, fatal: true, numbers }],
  });
  if (!log.values.air?.some((t) => t === t)) return fail('noAir');
  const part = partFor(log, whole, known, config);
  const hours = (part.to - part.from) / 3600;
  if (whole.gaps.length > 0)
    problems.push({
      code: 'gap',
      fatal: false,
      numbers: {
        gaps: whole.gaps.length,
        hours,
        longest: Math.max(...whole.gaps.map((g) => g.to - g.from)) / 60,
      },
    });
  const changed = whole.changes.at(-1);
  if (changed) problems.push({ code: 'changed', fatal: false, numbers: { hours, at: changed.after } });
  if (hours < LEAST_HOURS) return fail('tooShort', { hours });
  const piece = cutLog(log, part);
  const analysis = analyse(piece, known);
  const off = offBand(analysis, config);
  if (off) return fail('otherSettings', off);
  const cooling = coolingOf(piece);
  const starts = cooling.filter((s) => s.on).length;
  if (starts < 2) return fail('nothingSwitches', { hours });
  const rows = (part.to - part.from) / analysis.step / starts;
  // Outputs that were logged say when it switched even where a row holds half a run; the air alone does not.
  if (analysis.tooCoarse !== null && !(piece.values.compressor && rows >= LEAST_ROWS_WITH_OUTPUTS))
    return fail('tooCoarse', { minutes: analysis.step / 60 });
  if (starts < LEAST_STARTS) return fail('fewCycles', { starts, hours });
  return { course: courseFrom(piece, config, analysis, cooling), begins: piece.time[0]!, problems };
}

/** So far from the settings' own band no thermometer is off, K. */
const OFF_BAND_K = 2.5;

/** Where the log swings about, and where these settings would hold it, °C; null where they agree or the log shows no band. */
function offBand(
  { cutIn, cutOut }: Analysis,
  config: ControlConfig,
): Record<'logged' | 'set', number> | null {
  if (cutIn === null || cutOut === null) return null;
  const band = bandOf(config.stage, config.setpoint);
  const [logged, set] = [(cutIn + cutOut) / 2, (band.cutIn + band.cutOut) / 2];
  return Math.abs(logged - set) > OFF_BAND_K + (band.cutIn - band.cutOut) / 2 ? { logged, set } : null;
}
